// A prose checker reads everything a person can meet: docs/screens.yml, which is written from the sources. What it finds
// may only become less.
import { readFileSync } from 'node:fs';
import { retext } from 'retext';
import retextEnglish from 'retext-english';
import retextPassive from 'retext-passive';
import retextReadability from 'retext-readability';
import retextRepeatedWords from 'retext-repeated-words';
import retextSimplify from 'retext-simplify';
import retextStringify from 'retext-stringify';
import { expect, it } from 'vitest';
import { PATIENCE } from './patience';

/** So many findings are left. */
const BUDGET: Record<string, number> = { passive: 114, readability: 18, 'repeated-words': 0, simplify: 8 };

/** Sentences of the list, without the names of files and with a figure where one is filled in. */
function sentences(): string[] {
  const list = readFileSync(new URL('../../docs/screens.yml', import.meta.url), 'utf8');
  return list
    .split('\n')
    .filter((line) => line.startsWith('- '))
    .map((line) => line.slice(2).replace(/^(['"])(.*)\1$/, '$2'))
    .map((line) => line.replaceAll("''", "'").replaceAll('{…}', '9'))
    .filter((line) => line.split(' ').length > 3);
}

it('finds no more in the prose than is left', { timeout: PATIENCE.timeout }, async () => {
  const reader = retext()
    .use(retextEnglish)
    .use(retextPassive)
    .use(retextReadability, { age: 14 })
    .use(retextRepeatedWords)
    // Words of the craft, and how anybody points at something.
    .use(retextSimplify, { ignore: ['overall', 'type', 'it is', 'there is', 'there are', 'very'] })
    .use(retextStringify);
  const found: Record<string, string[]> = {};
  for (const sentence of new Set(sentences()))
    for (const message of (await reader.process(sentence)).messages)
      (found[(message.source ?? '').replace('retext-', '')] ??= []).push(`${message.reason}: ${sentence}`);
  for (const [source, most] of Object.entries(BUDGET))
    expect(found[source]?.length ?? 0, found[source]?.slice(0, 20).join('\n')).toBeLessThanOrEqual(most);
});
