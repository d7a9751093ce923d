// What a session needs without a connection lies in the browser: its steps as they were given out, and the facts that
// wait to be told, in the order in which they happened. A browser that keeps nothing works from memory.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { EntryTyped, Session, SessionStep } from '../api/client';
import type { Deed } from './overlay';

export type Fact = Omit<EntryTyped, 'sent_at' | 'happened_at'>;

/** A fact that waits. n gives the order; about is for whoever reads why it was refused. */
export type Waiting = { n?: number; slug: string; id: string; fact: Fact; at: string; says: string };

/** A session as this browser knows it: as it was given out, and what was done since. */
export type KeptSession = { doc?: Session; deeds: Deed[]; past: SessionStep[]; undoable: Undoable[] };
export type Undoable = { ids: string[]; step?: SessionStep; mishap?: string };

interface Schema extends DBSchema {
  facts: { key: number; value: Waiting; indexes: { slug: string } };
  sittings: { key: string; value: KeptSession };
}

export class SessionStore {
  private opened: Promise<IDBPDatabase<Schema>> | undefined;
  private memory: Waiting[] = [];
  private count = 0;

  /** Keeps facts behind all others. */
  async add(facts: Waiting[]): Promise<void> {
    const db = await this.db();
    if (!db) {
      this.memory.push(...facts.map((fact) => ({ ...fact, n: ++this.count })));
      return;
    }
    const write = db.transaction('facts', 'readwrite');
    for (const fact of facts) void write.store.add(fact);
    await write.done;
  }

  /** Facts of a workroom that wait, oldest first. */
  async waiting(slug: string): Promise<Waiting[]> {
    const db = await this.db();
    return db ? db.getAllFromIndex('facts', 'slug', slug) : this.memory.filter((fact) => fact.slug === slug);
  }

  /** This one was told, or is set aside. */
  async drop(n: number): Promise<void> {
    this.memory = this.memory.filter((fact) => fact.n !== n);
    await (await this.db())?.delete('facts', n);
  }

  async keep(key: string, kept: KeptSession): Promise<void> {
    await (await this.db())?.put('sittings', kept, key);
  }

  async recall(key: string): Promise<KeptSession | undefined> {
    return (await this.db())?.get('sittings', key);
  }

  private async db(): Promise<IDBPDatabase<Schema> | undefined> {
    try {
      this.opened ??= openDB<Schema>('nimble-eyelet', 1, {
        upgrade(db) {
          db.createObjectStore('facts', { keyPath: 'n', autoIncrement: true }).createIndex('slug', 'slug');
          db.createObjectStore('sittings');
        },
      });
      return await this.opened;
    } catch {
      return undefined;
    }
  }
}
