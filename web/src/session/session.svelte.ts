// SessionWork is a session as somebody sews it: what is left to do, with or without a server. What is done goes into the
// outbox at once; what is shown is the session as the server gave it out, with what waits there laid over it.
import { ask } from '../api/ask';
import { keep, recall, uuid } from '../api/browser_store';
import { AfterAPause } from '../api/pause';
import {
  client,
  type Session,
  type SessionMishap,
  type SessionSent,
  type SessionStep,
  type WeakSkill,
} from '../api/client';
import { Outbox } from '../outbox/outbox.svelte';
import { type Deed, type Fact, type NewPress, type Press, type Said } from '../outbox/press';
import { doneIn } from '../outbox/store';
import { beatOf, cardOf, settingsAhead } from './card';
import { drying } from './drying.svelte';
import { doneLast, ofOlderPage } from './last';
import { onceMore, overlay } from './overlay';
import { unpacked } from './unpacked';

/** A second press within this is the same press. */
const ONE_PRESS = 500;
/** After a step so long until the server is asked again, ms: what comes next is known here. */
const PAUSE_AFTER_A_STEP = 4000;

type Happened = Pick<NewPress, 'facts' | 'says' | 'deed'>;

export class SessionWork {
  doc = $state.raw<Session>();
  missing = $state(false);
  /** Shown from what this browser kept: the server has not answered yet. */
  kept = $state(false);
  readonly outbox: Outbox;
  private before = $state.raw<SessionStep[]>([]);
  private readonly presses = $derived.by(() =>
    this.outbox.standing.filter((press) => press.session === this.id),
  );
  readonly deeds = $derived(this.presses.flatMap(({ deed }) => deed ?? []));
  /** Steps that were done, to be gone back to. */
  readonly past = $derived([...this.before, ...doneIn(this.presses)]);
  readonly steps = $derived(this.doc ? overlay(this.doc.steps, this.deeds, this.past) : []);
  readonly now = $derived(this.steps[0]);
  /** Every step by itself, for those who want no beats joined. */
  singly = $state(recall<boolean>('beats-singly') ?? false);
  /** Steps that went wrong in practice, by name: each is ticked by itself. */
  weak = $state.raw<ReadonlyMap<string, WeakSkill>>(new Map());
  /** What one press of Done does: the step at hand, or the beats of its hole. */
  readonly card = $derived(cardOf(this.steps, this.past, this.singly, this.weak));
  readonly settings = $derived(settingsAhead(this.steps));
  readonly next = $derived(this.steps[this.card.length]);
  /** What the machine is set to. */
  readonly ledger = $derived(
    (this.deeds.length ? doneIn(this.presses).at(-1)?.ledger : undefined) ?? this.doc?.ledger ?? [],
  );
  private readonly undoable = $derived(doneLast(this.presses, this.past, this.doc));
  readonly canGoBack = $derived(this.undoable !== undefined);

  private pressed = -Infinity;
  private readonly afterwards = new AfterAPause(() => void this.look());

  constructor(
    readonly slug: string,
    readonly id: number,
    clock: () => number = Date.now,
    /** Runs on evenly whatever becomes of the clock. */
    private readonly elapsed: () => number = () => performance.now(),
  ) {
    this.outbox = new Outbox(slug, clock);
    this.outbox.onTold = () => this.told();
  }

  private get key(): string {
    return `${this.slug}:${this.id}`;
  }

  /** Facts that are not told yet. */
  get waiting(): number {
    return this.outbox.waiting;
  }

  get away(): boolean {
    return this.outbox.away !== '';
  }

  /** Shows what is kept at once, and asks the server. */
  async open(): Promise<void> {
    await this.outbox.open();
    const kept = await this.outbox.store.session(this.key);
    if (kept && !this.doc && !ofOlderPage(kept.doc)) {
      this.doc = kept.doc;
      this.before = kept.past;
      this.kept = true;
    }
    await this.outbox.send();
  }

  leave(): void {
    this.afterwards.stop();
    this.outbox.leave();
  }

  toggleSingly(): void {
    this.singly = !this.singly;
    keep('beats-singly', this.singly ? true : undefined);
  }

  /** The step at hand is done, with the beats that are one card with it.
   * @param measured what a rescue asked for, as typed */
  async done(measured = ''): Promise<void> {
    await this.tick(this.card, measured);
  }

  /** These steps are done, each a fact of its own, so that each can be taken back. */
  async tick(steps: SessionStep[], measured = ''): Promise<void> {
    if (steps.length === 0 || !this.pressedAnew()) return;
    await this.happened(...steps.map((step) => this.stepDone(step, measured)));
  }

  private stepDone(step: SessionStep, measured: string): Happened {
    const facts = step.enter.map(({ id, ...entry }): Said => ({
      id,
      fact: { ...entry, ...this.figures(entry.with) } as Fact,
    }));
    const last = facts.at(-1);
    if (last && measured) Object.assign(last.fact, { kind: 'hole_sewn', measured });
    return { facts, says: step.does, deed: { kind: 'done', step } };
  }

  /** What was done last was not: it is withdrawn. */
  async back(): Promise<void> {
    const last = this.undoable;
    if (!last || !this.pressedAnew()) return;
    const facts = last.ids.map((about): Said => ({ id: uuid(), fact: { kind: 'withdrawal', about } }));
    const undone = facts[0]?.id ?? uuid();
    const deed: Deed | undefined = last.mishap
      ? { kind: 'unwrong', id: last.mishap }
      : last.step && { kind: 'back', step: onceMore(last.step, undone) };
    await this.happened({ facts, says: 'Taken back', ...(deed ? { deed } : {}) });
  }

  /** Something went wrong at the step at hand, or at a hole before it. */
  async wrong(row: SessionMishap, step: SessionStep, measured = ''): Promise<void> {
    await this.happened(...this.wentWrong(row, step, measured));
  }

  private wentWrong(row: SessionMishap, step: SessionStep, measured: string): Happened[] {
    const closure = step.closure ?? this.doc?.closures[0]?.id;
    if (!closure) return [];
    const id = uuid();
    const fact: Fact = {
      kind: 'mishap',
      closure,
      step: step.key,
      moves: row.moves,
      ...this.figures({ 'mishap.what': row.key }),
      ...(step.hole === null ? {} : { at: String(step.hole) }),
      ...(measured ? { measured } : {}),
    };
    const deed: Deed = { kind: 'mishap', id, row, step, closure };
    return [{ facts: [{ id, fact }], says: row.says, deed }];
  }

  /** Something went wrong while the card at hand was done: what comes before that beat was done by then.
   * @param at the beat, where somebody was asked which it was */
  async wrongOnCard(row: SessionMishap, hole: number | null, measured = '', at?: SessionStep): Promise<void> {
    const { card } = this;
    const beat = at ?? beatOf(card, row.key);
    if (!beat) return;
    const before = card.slice(0, card.indexOf(beat)).map((step) => this.stepDone(step, ''));
    await this.happened(...before, ...this.wentWrong(row, { ...beat, hole }, measured));
  }

  /** A hole was looked at, and differs: it teaches as a test hole does. */
  async differs(
    step: SessionStep,
    seen: { measured?: string; looks?: Record<string, string>; passes?: string },
  ): Promise<void> {
    const closure = this.doc?.closures.find((one) => one.id === step.closure);
    if (!closure || step.hole === null) return;
    const fact = {
      kind: 'swatch',
      closure: closure.id,
      ...this.figures({ ...closure.with, 'hole.at': { mm: String(step.hole) } }),
      symptoms: [],
      ...seen,
    } as Fact;
    const says = seen.passes ? 'How it went through' : 'What the hole showed';
    await this.happened({ facts: [{ id: uuid(), fact }], says });
  }

  /** Asks again: something happened elsewhere. */
  async refresh(): Promise<void> {
    await this.outbox.send();
  }

  /** The session as it was given out just now, knowing of these presses. */
  async take(sent: SessionSent, known: Press[] = []): Promise<void> {
    drying.heard(sent.told_at);
    const doc = unpacked(sent);
    const own = known.filter((press) => press.session === this.id);
    const kept = await this.outbox.store.keepSession(this.key, doc, own);
    this.before = kept.past;
    this.doc = kept.doc;
    this.outbox.forget(known);
    this.kept = false;
  }

  private figures(figures: Fact['with'] = {}): Pick<Fact, 'machine' | 'with'> {
    return {
      ...(this.doc ? { machine: this.doc.machine.id } : {}),
      with: { ...figures, 'sitting.id': String(this.id) },
    };
  }

  private pressedAnew(): boolean {
    const now = this.elapsed();
    if (now - this.pressed < ONE_PRESS) return false;
    this.pressed = now;
    return true;
  }

  /** Everything that happens goes this way: kept, shown, told. The beats of a card are one moment. */
  private async happened(...presses: Happened[]): Promise<void> {
    if (presses.length === 0) return;
    await this.outbox.add(...presses.map((press) => ({ ...press, session: this.id })));
  }

  /** What was told is the next step as it was given out: the server has nothing new to say at once. Whatever else
   * happened, here or elsewhere, is looked at. */
  private async told(): Promise<void> {
    const own = this.outbox.told.filter((press) => press.session === this.id);
    const foreseen = own.length > 0 && own.every((press) => press.deed?.kind === 'done');
    if (this.doc && !this.kept && foreseen && this.steps.length > 0) this.afterwards.in(PAUSE_AFTER_A_STEP);
    else await this.look();
  }

  /** The server's own word. */
  private async look(): Promise<void> {
    this.afterwards.stop();
    const known = this.outbox.told;
    const path = { slug: this.slug, id: this.id };
    const answer = await ask(client.GET('/api/workrooms/{slug}/sessions/{id}', { params: { path } }));
    if (answer.kind === 'data') await this.take(answer.data, known);
    else if (answer.kind === 'refused' && answer.status === 404) this.missing = true;
    else this.outbox.silent();
  }
}
