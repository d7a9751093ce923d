// Saver saves what is typed: one request at a time, again when the server cannot be reached, merged when it was saved
// elsewhere in between. What is typed lies in the browser until the server has confirmed it.
import type { Answer } from '../api/ask';
import { keep, recall } from '../api/browser_store';
import type { Closure, Problem } from '../api/client';
import type { Draft } from './draft.svelte';
import { conflicts, type Conflict } from './merge';
import type { Requests } from './requests';
import type { Entry } from './typed';

/** What the browser keeps of a closure. deeds: what an earlier build did and did not tell. */
type Kept = { entries: Record<string, Entry>; deeds?: unknown[] };

/** Whose plan is saved. */
export type Saved = {
  readonly closure: Closure | undefined;
  /** What is saved by now. */
  take: (closure: Closure) => void;
  /** Whether something at a path has to wait for a fact that is not told yet. */
  waits: (path: string) => boolean;
  /** What is being dragged. */
  readonly preview: { clear(): void };
  load: () => Promise<void>;
};

const PAUSE_BEFORE_SAVING = 200;
const FIRST_RETRY = 1000;
const LONGEST_RETRY = 8000;
/** A failing server is asked so often before the field is set aside. */
const TRIES = 3;

/** What earlier pages of this browser typed and did not save. */
export const typedBefore = (key: string): Record<string, Entry> | undefined => recall<Kept>(key)?.entries;

export class Saver {
  /** The plan cannot be asked for or saved. */
  away = $state<'' | 'silent' | 'sign_in'>('');
  saving = $state(false);
  missing = $state(false);
  notice = $state('');
  conflicts = $state<Conflict[]>([]);
  private written: string[];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private retry = FIRST_RETRY;
  private broken = 0;
  /** Fields are sent one by one, to find the one that fails. */
  private alone = false;
  private gone = false;

  constructor(
    private readonly key: string,
    private readonly draft: Draft,
    private readonly requests: Requests,
    private readonly of: Saved,
  ) {
    this.written = draft.paths;
  }

  /** What is typed and neither refused nor waiting for anything. */
  get open(): string[] {
    const asked = this.conflicts.map((conflict) => conflict.path);
    return this.draft.sendable(asked).filter((path) => !this.of.waits(path));
  }

  soon(pause = PAUSE_BEFORE_SAVING): void {
    clearTimeout(this.timer);
    if (!this.gone) this.timer = setTimeout(() => void this.save(), pause);
  }

  async save(): Promise<void> {
    clearTimeout(this.timer);
    if (this.saving || !this.of.closure || this.gone) return;
    this.saving = true;
    try {
      while (await this.send()) this.keep();
    } finally {
      this.saving = false;
      this.keep();
    }
  }

  /** What is typed is sent now; what cannot be stays kept for the next visit, and nothing is tried again. */
  leave(): void {
    clearTimeout(this.timer);
    if (!this.draft.empty) void this.save();
    this.gone = true;
  }

  /** Writes what is unsaved beside what other tabs have written, and takes back only our own. */
  keep(): void {
    const kept = recall<Kept>(this.key) ?? { entries: {} };
    for (const path of this.written) delete kept.entries[path];
    Object.assign(kept.entries, this.draft.entries);
    this.written = this.draft.paths;
    const empty = Object.keys(kept.entries).length + (kept.deeds?.length ?? 0) === 0;
    keep(this.key, empty ? undefined : kept);
  }

  /** Asks once; when the server cannot be reached, says so and tries again later. */
  async try<T>(call: () => Promise<Answer<T>>): Promise<Exclude<Answer<T>, { kind: 'away' }> | undefined> {
    const answer = await call();
    if (answer.kind !== 'away') {
      this.away = '';
      this.retry = FIRST_RETRY;
      return answer;
    }
    this.away = answer.signIn ? 'sign_in' : 'silent';
    clearTimeout(this.timer);
    if (!this.gone) {
      this.timer = setTimeout(() => void this.again(), this.retry);
      this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
    }
    return undefined;
  }

  /** Somebody chose which of two to keep. */
  resolve(conflict: Conflict, mine: boolean): void {
    this.conflicts = this.conflicts.filter((other) => other.path !== conflict.path);
    const value = this.draft.entries[conflict.path]?.value;
    this.draft.forget(conflict.path);
    if (mine && value !== undefined) this.draft.type(conflict.path, value, this.of.closure);
    this.keep();
    this.soon(0);
  }

  /** @returns whether there is something else to try at once */
  private async send(): Promise<boolean> {
    const open = this.open;
    const paths = this.alone ? open.slice(0, 1) : open;
    const body = this.draft.body(paths);
    if (!body) return false;
    const entries = $state.snapshot(this.draft.entries);
    const sent = Object.fromEntries(Object.entries(entries).filter(([path]) => paths.includes(path)));
    const answer = await this.try(() => this.requests.change(body, this.of.closure?.version ?? ''));
    if (!answer) return false;
    if (answer.kind === 'refused' && answer.status >= 500) return this.broke(sent);
    if (answer.kind === 'refused') return this.refuse(answer.status, answer.problem, sent);
    this.broken = 0;
    this.alone = this.alone && open.length > 1;
    this.draft.confirm(sent);
    this.of.take(answer.data);
    return true;
  }

  /** The server failed over this: after some tries each field is sent alone, and one that still fails is set aside. */
  private broke(sent: Record<string, Entry>): boolean {
    this.broken += 1;
    if (this.broken < TRIES) {
      this.soon(this.broken * FIRST_RETRY);
      return false;
    }
    this.broken = 0;
    const allowed =
      'The server could not keep this. It stays here as you typed it: write it otherwise, or drop it.';
    const [first, ...others] = Object.keys(sent);
    if (others.length > 0) this.alone = true;
    else this.draft.refuse(sent, [{ field: first ?? '', allowed }]);
    return true;
  }

  /** @returns whether there is something else to try at once */
  private refuse(status: number, problem: Problem, sent: Record<string, Entry>): boolean {
    this.of.preview.clear();
    if (status === 404) this.missing = true;
    if (status === 404) return false;
    if (status === 412 && problem.current) {
      this.of.take(problem.current);
      this.conflicts = conflicts(this.draft.entries, problem.current);
      return true;
    }
    this.draft.refuse(sent, problem.faults ?? []);
    if (!problem.faults?.length) this.notice = problem.detail;
    return true;
  }

  /** Another try: what is unsaved, or just whether the server is back. */
  private async again(): Promise<void> {
    if (!this.draft.empty && this.of.closure) await this.save();
    else await this.of.load();
  }
}
