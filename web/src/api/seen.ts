// What was read last stays in the browser, so that a page opens without a connection. It is asked for only when nobody
// answers, and only by the build that kept it: another one may expect something else of it.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

type Seen = { build: string; at: number; data: unknown };

interface Schema extends DBSchema {
  seen: { key: string; value: Seen };
}

const NAME = 'nimble-eyelet-seen';
/** Pages that are remembered; the oldest go first. */
const MOST = 300;

let opened: Promise<IDBPDatabase<Schema>> | undefined;

/** The name of the script that began carries what it is made of. */
function build(): string {
  return globalThis.document?.querySelector<HTMLScriptElement>('script[type=module]')?.src ?? '';
}

function db(): Promise<IDBPDatabase<Schema>> {
  return (opened ??= openDB<Schema>(NAME, 1, { upgrade: (fresh) => void fresh.createObjectStore('seen') }));
}

/** Keeps what was read. A browser that keeps nothing shows nothing later: no reason to fail now. */
export async function keepSeen(key: string, data: unknown): Promise<void> {
  try {
    await (await db()).put('seen', { build: build(), at: Date.now(), data }, key);
  } catch {
    // Full, or closed.
  }
}

/** What was read last, if this build kept it. */
export async function recallSeen<T>(key: string): Promise<T | undefined> {
  try {
    const seen = await (await db()).get('seen', key);
    return seen?.build === build() ? (seen.data as T) : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets what another build kept, and the oldest of what is too much. */
export async function sweepSeen(): Promise<void> {
  try {
    const write = (await db()).transaction('seen', 'readwrite');
    const keys = await write.store.getAllKeys();
    const all = (await write.store.getAll()).map((seen, index) => ({ ...seen, key: keys[index] ?? '' }));
    const own = all.filter((seen) => seen.build === build()).sort((one, other) => other.at - one.at);
    const stay = new Set(own.slice(0, MOST).map((seen) => seen.key));
    for (const { key } of all) if (!stay.has(key)) void write.store.delete(key);
    await write.done;
  } catch {
    // It is looked at again at the next start.
  }
}

/** Forgets all of it: it was read for somebody else. */
export async function forgetSeen(): Promise<void> {
  try {
    await (await db()).clear('seen');
  } catch {
    // What is not kept is not there.
  }
}
