// ClosureWork holds one closure as somebody works on it: what is saved, what was typed, what was
// done, and the way all of it is saved: one request at a time, again when the server cannot be
// reached, merged when it was saved elsewhere in between.
import type { Answer } from '../api/ask';
import { keep, recall, uuid } from '../api/browser_store';
import {
  planText,
  type Closure,
  type ListPath,
  type PlanChange,
  type Problem,
  type StageWord,
} from '../api/client';
import { announce } from '../ui/announce.svelte';
import { Draft, type Entry, type Row, type Value } from './draft.svelte';
import { conflicts, type Conflict } from './merge';
import { Outbox } from '../outbox/outbox.svelte';
import { both, waits, type Fact, type Press, type Said } from '../outbox/press';
import { over, Preview, type Previewed } from './preview.svelte';
import { Requests } from './requests';

/** What the browser keeps of a closure. deeds: what an earlier build did and did not tell. */
type Kept = { entries: Record<string, Entry>; deeds?: unknown[] };

const PAUSE_BEFORE_SAVING = 200;
const FIRST_RETRY = 1000;
const LONGEST_RETRY = 8000;
/** A failing server is asked so often before the field is set aside. */
const TRIES = 3;

export class ClosureWork {
  closure = $state.raw<Closure>();
  missing = $state(false);
  /** The plan cannot be asked for or saved. */
  private silent = $state(false);
  /** The machine that stands in sews a test hole. */
  simulating = $state(false);
  saving = $state(false);
  notice = $state('');
  conflicts = $state<Conflict[]>([]);
  /** The fact entered last, while nothing else was done since: undo offers to withdraw it. */
  last = $state.raw<{ id: string; says: string }>();
  /** The station that is looked at: a preview answers it and the table. */
  station: StageWord = 'cloth';
  readonly draft: Draft;
  readonly outbox: Outbox;
  readonly preview: Preview;
  private readonly requests: Requests;

  private written: string[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private retry = FIRST_RETRY;
  private broken = 0;
  /** Fields are sent one by one, to find the one that fails. */
  private alone = false;
  private gone = false;

  constructor(
    readonly slug: string,
    readonly id: number,
  ) {
    const kept = recall<Kept>(this.key);
    this.draft = new Draft(kept?.entries);
    this.outbox = new Outbox(slug);
    this.outbox.onTold = () => this.told();
    this.written = this.draft.paths;
    this.preview = new Preview((changes) => this.askPreview(changes));
    this.requests = new Requests(slug, id);
  }

  private get key(): string {
    return `typed:${this.slug}:${this.id}`;
  }

  /** What was seen, and what is typed rests on. */
  private get version(): string {
    return this.closure?.version ?? '';
  }

  get away(): boolean {
    return this.silent || this.outbox.away !== '';
  }

  /** What happened to this closure and is not in what is saved: told or not. */
  readonly facts: Said[] = $derived.by(() =>
    this.outbox.facts.filter(({ fact }) => fact.closure === this.id || fact.kind === 'withdrawal'),
  );

  /** Something typed or done that the server has not confirmed. */
  get unsaved(): boolean {
    return !this.draft.empty || this.facts.length > 0;
  }

  /** How many things cannot be taken as they are. */
  get refused(): number {
    return this.draft.refused + this.outbox.refused.length;
  }

  /** In one word how it stands with saving. */
  get state(): 'away' | 'refused' | 'asked' | 'saving' | 'saved' {
    if (this.away) return 'away';
    if (this.conflicts.length) return 'asked';
    if (this.refused) return 'refused';
    return this.saving || this.unsaved ? 'saving' : 'saved';
  }

  /** What is shown: the preview while something is dragged, else what is saved. */
  get shown(): Closure | undefined {
    return this.preview.closure ?? this.closure;
  }

  async load(): Promise<void> {
    await this.outbox.open();
    const known = this.outbox.told;
    const answer = await this.try(() => this.requests.read());
    if (answer?.kind === 'data') this.take(answer.data, known);
    else if (answer?.status === 404) this.missing = true;
    if (!this.draft.empty) this.saveSoon(0);
    void this.outbox.send();
  }

  /** Something happened elsewhere: it is looked at, unless something of our own is still on its way. */
  async follow(): Promise<void> {
    if (this.unsaved || this.saving || this.preview.closure || !this.closure) return;
    const version = this.closure.version;
    const answer = await this.requests.read();
    if (answer.kind === 'data' && !this.saving && this.closure.version === version) this.take(answer.data);
  }

  /** What waits is sent now; what cannot be stays kept for the next visit, and nothing is tried again. */
  leave(): void {
    clearTimeout(this.timer);
    if (!this.draft.empty) void this.save();
    this.gone = true;
    this.outbox.leave();
  }

  /** What a field shows: what was typed, else what is saved. */
  text(path: string): string {
    return this.draft.typed(path) ?? (this.closure ? planText(this.closure, path) : '');
  }

  type(path: string, value: Value): void {
    this.draft.type(path, value, this.closure);
    this.last = undefined;
    this.keep();
    this.saveSoon();
  }

  /** Several fields at once, such as a button taken off the shelf. */
  typeAll(fields: Record<string, string | null>): void {
    for (const [path, text] of Object.entries(fields)) this.type(path, text);
    this.saveSoon(0);
  }

  rows(list: ListPath): { id: string; row: Row }[] {
    return this.draft.rows(this.closure, list);
  }

  /** A row of a list, changed, added or taken away. */
  typeRow(list: ListPath, id: string | undefined, row: Row | null): string {
    const known = id ?? uuid().slice(0, 8);
    this.type(`${list}.${known}`, row);
    return known;
  }

  /** Drops what was typed at a path and shows what is saved. */
  forget(path: string): void {
    this.draft.forget(path);
    this.keep();
  }

  /** Drops what was refused of a list, or everything refused, and shows what is saved. */
  forgetRefused(list?: ListPath): void {
    this.draft.forgetRefused(list);
    this.keep();
    this.saveSoon(0);
  }

  /** Something happened at the table: it is told as soon as it can be. @param given what the fact is called, where its
   * step was given out */
  enter({ id: given, ...fact }: Fact & { id?: string }, says: string): string {
    const id = given ? this.notTakenBack(given) : uuid();
    const closure = fact.kind === 'withdrawal' ? {} : { closure: this.id };
    const machine = fact.moves && this.closure ? { machine: this.closure.machine.id } : {};
    const plan = this.closure ? { plan: this.closure.version } : {};
    const facts = [{ id, fact: { ...closure, ...machine, ...plan, ...fact } }];
    this.last = fact.kind === 'withdrawal' ? undefined : { id, says };
    void this.outbox.add({ closure: this.id, facts, says });
    return id;
  }

  /** What was taken back and is done again is another fact. */
  private notTakenBack(id: string): string {
    const back = this.outbox.takenBack(id);
    return back ? this.notTakenBack(both(id, back.id)) : id;
  }

  withdraw(id: string): void {
    this.enter({ kind: 'withdrawal', about: id }, '');
  }

  /** A stage is settled or taken up, a test hole accepted: that is typed as well. */
  decide(path: string, value: string | null): void {
    this.type(path, value);
    this.saveSoon(0);
  }

  /** Has the machine that stands in sew a test hole, or look again at one. */
  async sewOnStandIn(again?: string): Promise<void> {
    if (this.simulating) return;
    this.simulating = true;
    await this.save();
    const answer = await this.try(() => this.requests.standIn(uuid(), again));
    if (answer?.kind === 'data') this.take(answer.data);
    else if (answer) this.notice = answer.problem.detail;
    this.simulating = false;
  }

  async undo(): Promise<void> {
    await this.move('undo', this.closure?.undo ?? '');
  }

  async redo(): Promise<void> {
    await this.move('redo', this.closure?.redo ?? '');
  }

  async bringBack(number: number): Promise<void> {
    await this.save();
    await this.settle(() => this.requests.bringBack(number, this.version), 'Brought back.');
  }

  resolve(conflict: Conflict, mine: boolean): void {
    this.conflicts = this.conflicts.filter((other) => other.path !== conflict.path);
    const value = this.draft.entries[conflict.path]?.value;
    this.draft.forget(conflict.path);
    if (mine && value !== undefined) this.draft.type(conflict.path, value, this.closure);
    this.keep();
    this.saveSoon(0);
  }

  saveSoon(pause = PAUSE_BEFORE_SAVING): void {
    clearTimeout(this.timer);
    if (!this.gone) this.timer = setTimeout(() => void this.save(), pause);
  }

  /** Sends what was typed. */
  async save(): Promise<void> {
    clearTimeout(this.timer);
    if (this.saving || !this.closure || this.gone) return;
    this.saving = true;
    try {
      while (await this.sendTyped()) this.keep();
    } finally {
      this.saving = false;
      this.keep();
    }
  }

  /** Only what the table shows comes back; the rest stays as it is saved. */
  private async askPreview(changes: PlanChange): Promise<Previewed | undefined> {
    const saved = this.closure;
    const places = saved?.sheet.placket?.holes.map((hole) => hole.at.mm) ?? [];
    const answer = await this.requests.preview(changes, places, this.station);
    return answer.kind === 'data' && saved ? over(saved, answer.data) : undefined;
  }

  /** Writes what is unsaved beside what other tabs have written, and takes back only our own. */
  private keep(): void {
    const kept = recall<Kept>(this.key) ?? { entries: {} };
    for (const path of this.written) delete kept.entries[path];
    Object.assign(kept.entries, this.draft.entries);
    this.written = this.draft.paths;
    const empty = Object.keys(kept.entries).length + (kept.deeds?.length ?? 0) === 0;
    keep(this.key, empty ? undefined : kept);
  }

  private async sendTyped(): Promise<boolean> {
    const open = this.draft
      .sendable(this.conflicts.map((conflict) => conflict.path))
      .filter((path) => !this.waitsForItsFact(path));
    const paths = this.alone ? open.slice(0, 1) : open;
    const body = this.draft.body(paths);
    if (!body) return false;
    const entries = $state.snapshot(this.draft.entries);
    const sent = Object.fromEntries(Object.entries(entries).filter(([path]) => paths.includes(path)));
    const known = this.outbox.told;
    const answer = await this.try(() => this.requests.change(body, this.version));
    if (!answer) return false;
    if (answer.kind === 'refused' && answer.status >= 500) return this.broke(sent);
    if (answer.kind === 'refused') return this.refuse(answer.status, answer.problem, sent);
    this.broken = 0;
    this.alone = this.alone && open.length > 1;
    this.draft.confirm(sent);
    this.take(answer.data, known);
    return true;
  }

  /** A test hole is accepted once the server knows it. */
  private waitsForItsFact(path: string): boolean {
    return (
      path === 'swatch.accepted' &&
      this.outbox.presses.some(
        (press) => waits(press) && press.facts.some(({ id }) => id === this.draft.typed(path)),
      )
    );
  }

  /** The server failed over this: after some tries each field is sent alone, and one that still fails is set aside. */
  private broke(sent: Record<string, Entry>): boolean {
    this.broken += 1;
    if (this.broken < TRIES) {
      this.saveSoon(this.broken * FIRST_RETRY);
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
    this.preview.clear();
    if (status === 404) this.missing = true;
    if (status === 404) return false;
    if (status === 412 && problem.current) {
      this.take(problem.current);
      this.conflicts = conflicts(this.draft.entries, problem.current);
      return true;
    }
    this.draft.refuse(sent, problem.faults ?? []);
    if (!problem.faults?.length) this.notice = problem.detail;
    return true;
  }

  /** How far the work is by now is looked at once all is told: with what is typed, or by itself. */
  private async told(): Promise<void> {
    if (!this.closure || this.saving) return;
    if (this.draft.sendable(this.conflicts.map(({ path }) => path)).length > 0) this.saveSoon(0);
    else if (this.outbox.told.length > 0) await this.look();
  }

  private async look(): Promise<void> {
    const known = this.outbox.told;
    const answer = await this.requests.read();
    if (answer.kind === 'data') this.take(answer.data, known);
  }

  private async move(direction: 'undo' | 'redo', what: string): Promise<void> {
    await this.save();
    const words = direction === 'undo' ? 'Undone' : 'Done again';
    await this.settle(() => this.requests.move(direction, this.version), `${words}: ${what}.`);
  }

  private async settle(call: () => Promise<Answer<Closure>>, says: string): Promise<void> {
    const answer = await this.try(call);
    if (answer?.kind === 'data') {
      this.take(answer.data);
      this.last = undefined;
      announce(says);
    } else if (answer) {
      if (answer.problem.current) this.take(answer.problem.current);
      this.notice = answer.problem.detail;
    }
  }

  /** @param known what was told before it was asked for */
  private take(closure: Closure, known: Press[] = []): void {
    this.closure = closure;
    this.outbox.forget(known);
    this.preview.clear();
  }

  /** Asks once; when the server cannot be reached, says so and tries again later. */
  private async try<T>(
    call: () => Promise<Answer<T>>,
  ): Promise<Exclude<Answer<T>, { kind: 'away' }> | undefined> {
    const answer = await call();
    if (answer.kind !== 'away') {
      this.silent = false;
      this.retry = FIRST_RETRY;
      return answer;
    }
    this.silent = true;
    clearTimeout(this.timer);
    if (!this.gone) {
      this.timer = setTimeout(() => void this.again(), this.retry);
      this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
    }
    return undefined;
  }

  /** Another try: what is unsaved, or just whether the server is back. */
  private async again(): Promise<void> {
    if (!this.draft.empty && this.closure) await this.save();
    else await this.load();
  }
}
