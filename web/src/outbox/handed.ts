// What waits on a device that cannot tell it any more, as a file, and such a file told by another one. Ids, numbers and the
// device stay what they were: told twice it is one fact.
import { ask, words } from '../api/ask';
import { client, type EntryTyped } from '../api/client';
import { entriesOf, waits } from './press';
import type { OutboxStore } from './store';

const FORMAT = 'nimble-eyelet-waiting';
type Entries = Omit<EntryTyped, 'sent_at'>[];
type Packed = { format: typeof FORMAT; version: 1; workroom: string; device: string; entries: Entries };

/** Facts in one list at most, as long as what was pressed together stays together. */
const LIST = 40;

export const NO_FILE = 'This is no file of steps that waited on a device.';
export const ELSEWHERE = 'These steps are of another workroom.';

/** @returns the file, and how many facts are in it */
export async function packed(store: OutboxStore, slug: string): Promise<{ file: File; facts: number }> {
  const entries = entriesOf((await store.all(slug)).filter(waits));
  const what: Packed = { format: FORMAT, version: 1, workroom: slug, device: await store.device(), entries };
  const file = new File([JSON.stringify(what)], `${slug}-waiting.json`, { type: 'application/json' });
  return { file, facts: entries.length };
}

/** Tells what is in such a file. @returns what came of it, in words */
export async function takeIn(text: string, slug: string, now: () => number = Date.now): Promise<string> {
  const given = read(text);
  if (!given) return NO_FILE;
  if (given.workroom !== slug) return ELSEWHERE;
  const answers = { kept: 0, known: 0, refused: [] as string[] };
  for (const list of lists(given.entries)) {
    const sent_at = new Date(now()).toISOString();
    const params = { path: { slug }, header: { 'X-Device': given.device } };
    const body = { entries: list.map((entry) => ({ ...entry, sent_at })) };
    const answer = await ask(client.POST('/api/workrooms/{slug}/journal', { params, body }));
    if (answer.kind !== 'data') return words(answer);
    for (const one of answer.data.entries) {
      if (one.answer === 'refused') answers.refused.push(one.why);
      else answers[one.answer === 'known' ? 'known' : 'kept'] += 1;
    }
  }
  return told(answers);
}

function told({ kept, known, refused }: { kept: number; known: number; refused: string[] }): string {
  const parts = [`${kept} saved`];
  if (known) parts.push(`${known} known already`);
  if (refused.length) parts.push(`${refused.length} not taken: ${[...new Set(refused)].join(' ')}`);
  return `${parts.join(', ')}.`.replace('..', '.');
}

function read(text: string): Packed | undefined {
  try {
    const given = JSON.parse(text) as Partial<Packed>;
    return given.format === FORMAT && given.version === 1 && Array.isArray(given.entries)
      ? (given as Packed)
      : undefined;
  } catch {
    return undefined;
  }
}

function lists(entries: Entries): Entries[] {
  const all: Entries[] = [];
  for (const entry of entries) {
    const last = all.at(-1);
    const together = last?.at(-1)?.press === entry.press;
    if (last && (together || last.length < LIST)) last.push(entry);
    else all.push([entry]);
  }
  return all;
}
