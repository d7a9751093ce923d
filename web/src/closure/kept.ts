// What is typed into a closure, as the browser keeps it, and whose plan it is.
import { keep, recall } from '../api/browser_store';
import type { Closure, StageWord } from '../api/client';
import type { Entry } from './typed';

/** Whose plan is saved. */
export type Saved = {
  readonly closure: Closure | undefined;
  /** The stage that is looked at. */
  readonly station: StageWord;
  /** This is saved. */
  take: (closure: Closure) => void;
  /** Whether something at a path has to wait for a fact that is not told yet. */
  waits: (path: string) => boolean;
  /** What is being dragged. */
  readonly preview: { clear(): void };
  load: () => Promise<void>;
};

/** What the browser keeps of a closure. deeds: what an earlier build did and did not tell. */
type Kept = { entries: Record<string, Entry>; deeds?: unknown[] };

/** What earlier pages of this browser typed and did not save. */
export const typedBefore = (key: string): Record<string, Entry> | undefined => recall<Kept>(key)?.entries;

export class KeptTyped {
  /** @param written paths that this page has written */
  constructor(
    private readonly key: string,
    private written: string[],
  ) {}

  /** Writes what is unsaved beside what other tabs have written, and takes back only our own. */
  write(entries: Record<string, Entry>): void {
    const kept = recall<Kept>(this.key) ?? { entries: {} };
    for (const path of this.written) delete kept.entries[path];
    Object.assign(kept.entries, entries);
    this.written = Object.keys(entries);
    const empty = Object.keys(kept.entries).length + (kept.deeds?.length ?? 0) === 0;
    keep(this.key, empty ? undefined : kept);
  }
}
