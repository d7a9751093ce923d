// Saver saves what is typed: one request at a time, again when the server cannot be reached, merged when it was saved
// elsewhere in between. What is typed lies in the browser until the server has confirmed it.
import { awayOf, type Answer, type Answered } from '../api/ask';
import { Retry } from '../api/retry';
import type { Closure, Problem } from '../api/client';
import type { Draft } from './draft.svelte';
import { KeptTyped, type Saved } from './kept';
import { conflicts, type Conflict } from './merge';
import type { Requests } from './requests';
import type { Entry } from './typed';

const PAUSE_BEFORE_SAVING = 200;
/** A failing server is asked so often before the field is set aside. */
const TRIES = 3;

export class Saver {
  away = $state<'' | 'silent' | 'sign_in'>('');
  saving = $state(false);
  missing = $state(false);
  notice = $state('');
  conflicts = $state<Conflict[]>([]);
  private readonly kept: KeptTyped;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly retry = new Retry();
  private running: Promise<void> | undefined;
  private broken = 0;
  /** Fields are sent one by one, to find the one that fails. */
  private alone = false;
  private gone = false;

  constructor(
    key: string,
    private readonly draft: Draft,
    private readonly requests: Requests,
    private readonly of: Saved,
  ) {
    this.kept = new KeptTyped(key, draft.paths);
  }

  /** What is typed and neither refused nor waiting for anything. */
  get open(): string[] {
    return this.draft.sendable(this.conflicts.map(({ path }) => path)).filter((path) => !this.of.waits(path));
  }

  soon(pause = PAUSE_BEFORE_SAVING): void {
    clearTimeout(this.timer);
    if (!this.gone) this.timer = setTimeout(() => void this.save(), pause);
  }

  /** Saves all that is typed; whoever asks while that goes on waits for it. */
  async save(): Promise<void> {
    // With nothing to save, whoever could not read has said when to ask again.
    if (!this.of.closure || this.gone || this.open.length === 0) return this.running;
    clearTimeout(this.timer);
    this.saving = true;
    this.running ??= (async () => {
      while (await this.send()) this.keep();
    })().finally(() => {
      this.running = undefined;
      this.saving = false;
      this.keep();
    });
    await this.running;
  }

  /** What is typed is sent now; what cannot be stays kept for the next visit, and nothing is tried again. */
  leave(): void {
    clearTimeout(this.timer);
    if (!this.draft.empty) void this.save();
    this.gone = true;
  }

  keep(): void {
    this.kept.write(this.draft.entries);
  }

  /** Asks once; when the server cannot be reached, says so and tries again later. */
  async try<T>(call: () => Promise<Answer<T>>): Promise<Answered<T> | undefined> {
    const answer = await call();
    this.away = awayOf(answer);
    if (answer.kind !== 'away') {
      this.retry.reset();
      return answer;
    }
    clearTimeout(this.timer);
    if (!this.gone) this.timer = setTimeout(() => void this.again(), this.retry.next());
    return undefined;
  }

  resolve(conflict: Conflict, mine: boolean): void {
    this.conflicts = this.conflicts.filter((other) => other.path !== conflict.path);
    const value = this.draft.entries[conflict.path]?.value;
    this.draft.forget(conflict.path);
    if (mine && value !== undefined) this.draft.type(conflict.path, value, this.of.closure);
    this.keep();
    this.soon(0);
  }

  private async send(): Promise<boolean> {
    const open = this.open;
    const paths = this.alone ? open.slice(0, 1) : open;
    const body = this.draft.body(paths);
    if (!body) return false;
    const entries = $state.snapshot(this.draft.entries);
    const sent = Object.fromEntries(Object.entries(entries).filter(([path]) => paths.includes(path)));
    const answer = await this.try(() =>
      this.requests.change(body, this.of.closure?.version ?? '', this.of.station),
    );
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
      this.soon(this.retry.next());
      return false;
    }
    this.broken = 0;
    const allowed = 'The server could not keep this. It stays here: type it differently, or drop it.';
    const [first, ...others] = Object.keys(sent);
    if (others.length > 0) this.alone = true;
    else this.draft.refuse(sent, [{ field: first ?? '', allowed }]);
    return true;
  }

  /** @returns whether there is something else to try at once */
  private refuse(status: number, problem: Problem, sent: Record<string, Entry>): boolean {
    this.of.preview.clear();
    if ((this.missing ||= status === 404)) return false;
    if (status === 412 && problem.current) {
      this.of.take(problem.current as Closure);
      this.conflicts = conflicts(this.draft.entries, problem.current as Closure);
      return true;
    }
    this.draft.refuse(sent, problem.faults ?? []);
    if (!problem.faults?.length) this.notice = problem.detail;
    return true;
  }

  private async again(): Promise<void> {
    if (this.open.length > 0 && this.of.closure) await this.save();
    else await this.of.load();
  }
}
