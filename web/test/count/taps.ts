// Counts what a person meets between the first step of a session and the machine put back: taps, and words on the
// screen. Sessions come in as JSON, as they are given out; the cards are those of the screen.
//
//   rolldown test/count/taps.ts --file taps.mjs && node taps.mjs < sessions.json
import { readFileSync } from 'node:fs';
import type { Session, SessionStep } from '../../src/api/client';
import { beatsKnown, cardOf, headlineOf, isRow, settingsAhead, toldInFull } from '../../src/session/card';

/** Its figure with where it is from, and the fold with its beats. */
const WORDS_OF_KNOWN = 11;

const count = (text: string | null | undefined): number => text?.split(/\s+/).filter(Boolean).length ?? 0;

/** Words of a card, the cautions apart: as SewStep shows them. */
function wordsOf(card: SessionStep[], list: SessionStep[], past: SessionStep[], session: Session): number {
  const [now] = card;
  if (!now) return 0;
  const closure = session.closures.find((one) => one.id === now.closure);
  const headline = count(headlineOf(card, closure));
  if (isRow(card)) return headline + card.length + count(now.does) + count(now.how);
  if (card.length > 1 && beatsKnown(card, past)) return headline + WORDS_OF_KNOWN;
  if (card.length > 1)
    return headline + card.reduce((sum, beat) => sum + count(beat.does) + count(beat.how), 0);
  const others = list.slice(1).reduce((sum, step) => sum + count(step.does), 0);
  return headline + count(now.how) + (toldInFull(now, past) ? count(now.symptom) : 0) + others;
}

function walk(session: Session) {
  let steps = session.steps;
  const past: SessionStep[] = [];
  let taps = 0;
  let words = 0;
  while (steps.length > 0) {
    const list = settingsAhead(steps);
    const card = cardOf(steps, past, false);
    const done = list.length > 1 ? list : card;
    words += wordsOf(card, list, past, session);
    // What is not dry yet is asked about once.
    taps += done.some((step) => step.dry_wait) ? 2 : 1;
    past.push(...done);
    steps = steps.slice(done.length);
  }
  return { taps, words, steps: past.length };
}

const sessions = JSON.parse(readFileSync(0, 'utf8')) as Session[];
process.stdout.write(JSON.stringify(sessions.map(walk)));
