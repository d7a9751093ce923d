// What earlier builds kept to be told is taken over, by id, at every start: a tab of such a build may still live, and
// tell the same. Theirs was a database of its own, and a list beside what was typed.
import { openDB } from 'idb';
import { keep, keptKeys, recall, uuid } from '../api/browser_store';
import type { Fact, NewPress } from './press';
import type { OutboxStore } from './store';
import { inTurn } from './turn';

type OlderFact = { n: number; slug: string; id: string; fact: Fact; at: string; says: string };
type OlderDeed =
  | { kind: 'fact'; id: string; fact: Fact; at: string; says: string }
  | { kind: 'settle'; stage: string; settled: boolean }
  | { kind: 'accept'; entry: string }
  | { kind: 'stand_in'; id: string };
type Kept = { entries: Record<string, { value: string | null; before: string }>; deeds?: OlderDeed[] };

/** @returns workrooms of which something was taken over */
export async function takeOver(store: OutboxStore): Promise<string[]> {
  const found = [...(await beside(store)), ...(await fromDatabase(store))];
  return [...new Set(found)];
}

/** What waited beside what was typed, of each set of buttonholes. */
async function beside(store: OutboxStore): Promise<string[]> {
  const slugs: string[] = [];
  for (const key of keptKeys('typed:')) {
    const [, slug = '', id = ''] = key.split(':');
    for (const deed of recall<Kept>(key)?.deeds ?? []) {
      if (deed.kind === 'fact') await store.add(pressed(slug, deed, { closure: Number(id) }));
      const kept = recall<Kept>(key) ?? { entries: {} };
      const deeds = (kept.deeds ?? []).filter((other) => JSON.stringify(other) !== JSON.stringify(deed));
      const entries = { ...kept.entries, ...decided(deed) };
      const empty = Object.keys(entries).length + deeds.length === 0;
      keep(key, empty ? undefined : { entries, deeds });
      slugs.push(slug);
    }
  }
  return slugs;
}

/** Settling and accepting are typed nowadays. */
function decided(deed: OlderDeed): Kept['entries'] {
  if (deed.kind === 'settle')
    return { [`settled.${deed.stage}`]: { value: deed.settled ? 'yes' : null, before: '' } };
  return deed.kind === 'accept' ? { 'swatch.accepted': { value: deed.entry, before: '' } } : {};
}

/** What a session kept. At its own version: a newer one would hang behind tabs that hold it open. */
async function fromDatabase(store: OutboxStore): Promise<string[]> {
  try {
    const db = await openDB('nimble-eyelet', 1, {
      upgrade(fresh) {
        fresh.createObjectStore('facts', { keyPath: 'n', autoIncrement: true }).createIndex('slug', 'slug');
        fresh.createObjectStore('sittings');
      },
    });
    const facts = (await db.getAll('facts')) as OlderFact[];
    for (const fact of facts)
      await inTurn(fact.slug, async () => {
        const session = Number(fact.fact.with?.['sitting.id']) || undefined;
        await store.add(pressed(fact.slug, fact, session ? { session } : {}));
        await db.delete('facts', fact.n);
      });
    db.close();
    return facts.map((fact) => fact.slug);
  } catch {
    return [];
  }
}

function pressed(
  slug: string,
  { id, fact, at, says }: Pick<OlderFact, 'id' | 'fact' | 'at' | 'says'>,
  where: Pick<NewPress, 'closure' | 'session'>,
): NewPress {
  return { slug, id: uuid(), facts: [{ id, fact }], at, says, ...where };
}
