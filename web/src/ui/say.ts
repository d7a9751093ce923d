// Words and numbers as somebody likes to read them, from the table that prints use too (app/dialect.rb; bin/words
// writes american.json).
import { capital } from './capital';
import american from './american.json';

export type Words = 'british' | 'american';
export type Numbers = 'point' | 'comma';

const table = new Map(Object.entries(american));
const british = new RegExp(
  `\\b(?:${[...table.keys()].sort((a, b) => b.length - a.length).join('|')})\\b`,
  'gi',
);
// A number, and no date or version.
const POINT = /(?<![\d.])(\d+)\.(\d+)(?![\d.]*\d)/g;
const like = (word: string, other: string): string => (/^[A-Z]/.test(word) ? capital(other) : other);

/** A text as somebody reads it who likes these words and numbers. */
export function say(text: string, words: Words, numbers: Numbers): string {
  const worded =
    words === 'american'
      ? text.replace(british, (word) => like(word, table.get(word.toLowerCase()) ?? word))
      : text;
  return numbers === 'comma' ? worded.replace(POINT, '$1,$2') : worded;
}
