// Where presses wait: in the browser's database, in the order in which they happened, for all its tabs. This browser's
// own id comes out of the same database, so that id and numbers are lost together or not at all. A browser that keeps
// nothing works from memory.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { uuid } from '../api/browser_store';
import type { Session, SessionStep } from '../api/client';
import { takesBack, waits, type NewPress, type Press } from './press';

/** A session as this browser knows it: as it was given out, and steps that were done, to be gone back to. */
export type KeptSession = { doc: Session; past: SessionStep[] };

interface Schema extends DBSchema {
  presses: { key: number; value: Press; indexes: { slug: string } };
  sessions: { key: string; value: KeptSession };
  own: { key: string; value: string };
}

/** Steps that are remembered to be gone back to. */
const REMEMBERED = 120;
const NAME = 'nimble-eyelet-outbox';
/** A week, ms. */
const LONG_TOLD = 7 * 24 * 3_600_000;
/** Room between two numbers of the store, for what it could not keep. */
const BETWEEN = 1 / 16;

/** What was done on a session in these presses, to be gone back to. */
export const doneIn = (presses: Press[]): SessionStep[] =>
  presses.flatMap(({ deed }) => (deed?.kind === 'done' ? [deed.step] : []));

export class OutboxStore {
  private opened: Promise<IDBPDatabase<Schema>> | undefined;
  private memory: Press[] = [];
  private readonly forNow = uuid();

  /** Keeps presses of one workroom behind all others: all of them or, where the browser ends meanwhile, none. */
  async add(...presses: NewPress[]): Promise<void> {
    const [first] = presses;
    const db = await this.db();
    // A store that is full keeps nothing more: the page still holds it, and tells it.
    if (!first || (db && (await this.written(db, presses)))) return;
    // Behind what is there, and before what the store will number next.
    const last = Math.max(0, ...(await this.all(first.slug)).map((one) => one.n));
    let step = db ? BETWEEN : 1;
    while (db && step * presses.length >= 1) step /= 2;
    this.memory.push(...presses.map((press, index) => ({ ...press, n: last + (index + 1) * step })));
  }

  private async written(db: IDBPDatabase<Schema>, presses: NewPress[]): Promise<boolean> {
    try {
      const write = db.transaction('presses', 'readwrite');
      await Promise.all([...presses.map((press) => write.store.add(press as Press)), write.done]);
      return true;
    } catch {
      return false;
    }
  }

  /** All of a workroom, oldest first. */
  async all(slug: string): Promise<Press[]> {
    const db = await this.db();
    const found = db ? await db.getAllFromIndex('presses', 'slug', slug) : [];
    return [...found, ...this.memory]
      .filter((press) => press.slug === slug)
      .sort((one, other) => one.n - other.n);
  }

  /** Workrooms of which something waits. */
  async slugs(): Promise<string[]> {
    const db = await this.db();
    const presses = db ? await db.getAll('presses') : [];
    return [...new Set([...presses, ...this.memory].filter(waits).map((press) => press.slug))];
  }

  /** This browser's id. */
  async device(): Promise<string> {
    const db = await this.db();
    if (!db) return this.forNow;
    const write = db.transaction('own', 'readwrite');
    const known = await write.store.get('device');
    if (!known) await write.store.put(this.forNow, 'device');
    await write.done;
    return known ?? this.forNow;
  }

  /** The server has it. What a session shows of it stays until a newer session is kept. */
  async told(press: Press): Promise<void> {
    if (press.session === undefined) await this.drop([press.n]);
    else await this.put({ ...press, told: true });
  }

  /** The server does not take it; what takes it back goes with it. */
  async refuse(press: Press, why: string): Promise<void> {
    await this.put({ ...press, refused: why });
    const ids = press.facts.map(({ id }) => id);
    const back = (await this.all(press.slug)).filter((one) => takesBack(one).some((id) => ids.includes(id)));
    await this.drop(back.map((one) => one.n));
  }

  /** A refused one is to be told again. */
  async again(press: Press): Promise<void> {
    const waiting = { ...press };
    delete waiting.refused;
    await this.put(waiting);
  }

  async drop(numbers: number[]): Promise<void> {
    this.memory = this.memory.filter((press) => !numbers.includes(press.n));
    const db = await this.db();
    if (!db || numbers.length === 0) return;
    const write = db.transaction('presses', 'readwrite');
    for (const n of numbers) void write.store.delete(n);
    await write.done;
  }

  /** Drops what was told so long ago that no session waits for it any more. @param now ms */
  async sweep(now: number): Promise<void> {
    const db = await this.db();
    const old = (press: Press) => press.told && now - Date.parse(press.at) > LONG_TOLD;
    await this.drop(((await db?.getAll('presses')) ?? []).filter(old).map((press) => press.n));
  }

  /** Keeps a session as it was given out, and drops what it knows of, at one moment. An older one is not kept. */
  async keepSession(key: string, doc: Session, known: Press[]): Promise<KeptSession> {
    const db = await this.db();
    const kept = (before: KeptSession | undefined): KeptSession => ({
      doc: before && before.doc.as_of > doc.as_of ? before.doc : doc,
      past: [...(before?.past ?? []), ...doneIn(known)].slice(-REMEMBERED),
    });
    if (!db) {
      await this.drop(known.map((press) => press.n));
      return (this.inMemory = kept(this.inMemory));
    }
    const write = db.transaction(['presses', 'sessions'], 'readwrite');
    const now = kept(await write.objectStore('sessions').get(key));
    void write.objectStore('sessions').put(now, key);
    for (const press of known) void write.objectStore('presses').delete(press.n);
    await write.done;
    this.memory = this.memory.filter((press) => !known.some(({ n }) => n === press.n));
    return now;
  }

  private inMemory: KeptSession | undefined;

  async session(key: string): Promise<KeptSession | undefined> {
    const db = await this.db();
    return db ? db.get('sessions', key) : this.inMemory;
  }

  /** Says something else of a press, unless another tab is done with it. */
  private async put(press: Press): Promise<void> {
    this.memory = this.memory.map((one) => (one.n === press.n ? press : one));
    const write = (await this.db())?.transaction('presses', 'readwrite');
    if (await write?.store.get(press.n)) await write?.store.put(press);
    await write?.done;
  }

  private async db(): Promise<IDBPDatabase<Schema> | undefined> {
    try {
      this.opened ??= openDB<Schema>(NAME, 1, {
        upgrade(db) {
          db.createObjectStore('presses', { keyPath: 'n', autoIncrement: true }).createIndex('slug', 'slug');
          db.createObjectStore('sessions');
          db.createObjectStore('own');
        },
      });
      return await this.opened;
    } catch {
      return undefined;
    }
  }
}
