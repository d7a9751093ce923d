// ClosureWork holds one closure as somebody works on it: what is saved, what was typed and is being saved, what happened
// and waits to be told, and what is shown of all of it.
import { untrack } from 'svelte';
import { uuid } from '../api/browser_store';
import { AfterAPause } from '../api/pause';
import { keepSeen, recallSeen } from '../api/seen';
import { planText, type Closure, type ListPath, type StageWord } from '../api/client';
import { Outbox } from '../outbox/outbox.svelte';
import { both, waits, type Fact, type Press, type Said } from '../outbox/press';
import { Draft } from './draft.svelte';
import { typedBefore } from './kept';
import type { Conflict } from './merge';
import { Moves } from './moves.svelte';
import { Preview, previewOf } from './preview.svelte';
import { Requests } from './requests';
import { Saver } from './saver.svelte';
import type { Row, Value } from './typed';
import { covers, filledUp } from './whole';

/** After a save so long until the whole is read again, ms: who types on is not overtaken by it. */
const PAUSE_BEFORE_THE_WHOLE = 3000;

export class ClosureWork {
  closure = $state.raw<Closure>();
  /** The fact entered last, while nothing else was done since: undo offers to withdraw it. */
  last = $state.raw<{ id: string; says: string }>();
  /** The station that is looked at: whatever is asked answers it and the table. */
  station = $state<StageWord>('cloth');
  readonly draft: Draft;
  readonly saver: Saver;
  readonly moves: Moves;
  readonly outbox: Outbox;
  readonly preview: Preview;
  private readonly requests: Requests;
  private readonly whole = new AfterAPause(() => void this.readWhole());
  /** What happened to this closure and is not in what is saved: told or not. */
  readonly facts: Said[] = $derived.by(() =>
    this.outbox.facts.filter(({ fact }) => fact.closure === this.id || fact.kind === 'withdrawal'),
  );

  constructor(
    readonly slug: string,
    readonly id: number,
  ) {
    const key = `typed:${slug}:${id}`;
    this.draft = new Draft(typedBefore(key));
    this.requests = new Requests(slug, id);
    this.outbox = new Outbox(slug);
    this.outbox.onTold = () => this.told();
    this.preview = new Preview((changes) => previewOf(this, this.requests, changes));
    this.saver = new Saver(key, this.draft, this.requests, this);
    this.moves = new Moves(this, this.saver, this.requests);
  }

  /** Why nothing is saved just now. */
  get away(): '' | 'silent' | 'sign_in' {
    return this.saver.away || this.outbox.away;
  }

  get conflicts(): Conflict[] {
    return this.saver.conflicts;
  }

  /** Something typed or done that the server has not confirmed. */
  get unsaved(): boolean {
    return !this.draft.empty || this.facts.length > 0;
  }

  /** How many things cannot be taken as they are. */
  get refused(): number {
    return this.draft.refused + this.outbox.refused.length + this.outbox.failing.length;
  }

  /** In one word how it stands with saving. */
  get state(): 'away' | 'refused' | 'asked' | 'saving' | 'saved' {
    if (this.away) return 'away';
    if (this.conflicts.length) return 'asked';
    if (this.refused) return 'refused';
    return this.saver.saving || this.unsaved ? 'saving' : 'saved';
  }

  /** What is shown: the preview while something is dragged, else what is saved. */
  get shown(): Closure | undefined {
    return this.preview.closure ?? this.closure;
  }

  /** Another station is looked at: what it shows is asked for, unless it is there. */
  async look(station: StageWord): Promise<void> {
    this.station = station;
    // Untracked: the answer must not start the effect that asked for it.
    const closure = untrack(() => this.closure);
    if (closure && !covers(closure, station)) await this.fetch();
  }

  async load(): Promise<void> {
    await this.outbox.open();
    const known = this.outbox.told;
    const answer = await this.saver.try(() => this.requests.read(this.station));
    if (answer?.kind === 'data') this.take(answer.data, known);
    else if (answer?.status === 404) this.saver.missing = true;
    else if (!answer) this.closure ??= await recallSeen<Closure>(this.requests.key);
    if (!this.draft.empty) this.saver.soon(0);
    void this.outbox.send();
  }

  /** Something happened elsewhere: it is looked at, unless something of our own is still on its way. */
  async follow(): Promise<void> {
    if (this.unsaved || this.saver.saving || this.preview.closure || !this.closure) return;
    const version = this.closure.version;
    const answer = await this.requests.read(this.station);
    if (answer.kind === 'data' && !this.saver.saving && this.closure.version === version)
      this.take(answer.data);
  }

  leave(): void {
    this.whole.stop();
    this.saver.leave();
    this.outbox.leave();
  }

  /** What a field shows: what was typed, else what is saved. */
  text(path: string): string {
    return this.draft.typed(path) ?? (this.closure ? planText(this.closure, path) : '');
  }

  type(path: string, value: Value): void {
    this.draft.type(path, value, this.closure);
    this.last = undefined;
    this.saver.keep();
    this.saver.soon();
  }

  /** Several fields at once, such as a button taken off the shelf; a stage that is settled or taken up, a test hole that
   * is accepted: that is typed as well. */
  typeAll(fields: Record<string, string | null>): void {
    for (const [path, text] of Object.entries(fields)) this.type(path, text);
    this.saver.soon(0);
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
    this.saver.keep();
  }

  /** Drops what was refused of a list, or everything refused, and shows what is saved. */
  forgetRefused(list?: ListPath): void {
    this.draft.forgetRefused(list);
    this.saver.keep();
    this.saver.soon(0);
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

  withdraw(id: string): void {
    this.enter({ kind: 'withdrawal', about: id }, '');
  }

  /** @param known what was told before it was asked for */
  take(closure: Closure, known: Press[] = []): void {
    const first = this.closure === undefined;
    this.closure = closure;
    if (!closure.station) void keepSeen(this.requests.key, closure);
    else this.whole.in(first ? 0 : PAUSE_BEFORE_THE_WHOLE);
    this.outbox.forget(known);
    this.preview.clear();
    if (!covers(closure, this.station)) void this.fetch();
  }

  /** A test hole is accepted once the server knows it. */
  waits(path: string): boolean {
    const entry = path === 'swatch.accepted' && this.draft.typed(path);
    const of = (press: Press) => waits(press) && press.facts.some(({ id }) => id === entry);
    return Boolean(entry) && this.outbox.presses.some(of);
  }

  /** What the station shows; without a connection as it was seen last. */
  private async fetch(): Promise<void> {
    const version = this.closure?.version;
    const known = this.outbox.told;
    const answer = await this.saver.try(() => this.requests.read(this.station));
    if (this.closure?.version !== version || covers(this.closure, this.station)) return;
    if (answer?.kind === 'data') this.take(answer.data, known);
    else if (answer?.status === 404) this.saver.missing = true;
    else if (answer) this.whole.in(PAUSE_BEFORE_THE_WHOLE);
    else if (this.closure) {
      const seen = await recallSeen<Closure>(this.requests.key);
      if (seen && !covers(this.closure, this.station)) this.closure = filledUp(this.closure, seen);
    }
  }

  /** All of it, while nothing else is on its way. */
  private async readWhole(): Promise<void> {
    if (this.unsaved || this.saver.saving || this.preview.closure)
      return this.whole.in(PAUSE_BEFORE_THE_WHOLE);
    const version = this.closure?.version;
    const known = this.outbox.told;
    const answer = await this.requests.read();
    if (answer.kind !== 'data') return;
    if (this.unsaved || this.saver.saving || this.preview.closure || this.closure?.version !== version)
      return this.whole.in(PAUSE_BEFORE_THE_WHOLE);
    this.take(answer.data, known);
  }

  /** What was taken back and is done again is another fact. */
  private notTakenBack(id: string): string {
    const back = this.outbox.takenBack(id);
    return back ? this.notTakenBack(both(id, back.id)) : id;
  }

  /** All is told: the closure is read again, once what is typed is saved. */
  private async told(): Promise<void> {
    await this.saver.save();
    const known = this.outbox.told;
    const version = this.closure?.version;
    if (!version || known.length === 0) return;
    const answer = await this.requests.read(this.station);
    if (answer.kind !== 'data') return;
    // Something was saved meanwhile: this is older.
    if (this.saver.saving || this.closure?.version !== version) return this.told();
    this.take(answer.data, known);
  }
}
