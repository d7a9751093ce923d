// SessionWork is a session as somebody sews it: what is left to do, with or without a server. What is done is kept in the
// browser at once, told in order as soon as it can be, once each, and then the server's own word holds again.
import { ask } from '../api/ask';
import { uuid } from '../api/browser_store';
import { client, type Session, type SessionMishap, type SessionStep } from '../api/client';
import { overlay, type Deed } from './overlay';
import { SessionStore, type Fact, type KeptSession, type Undoable, type Waiting } from './store';

/** A second press within this is the same press. */
const ONE_PRESS = 500;
const FIRST_RETRY = 1000;
const LONGEST_RETRY = 8000;
/** Steps that are remembered to be gone back to. */
const REMEMBERED = 120;

/** Steps and ways out that an older build kept cannot be laid out here; what it has to tell waits in the store all the same. */
function ofOlderPage({ doc, deeds }: KeptSession): boolean {
  const steps = [...(doc?.steps ?? []), ...deeds.map((deed) => ('step' in deed ? deed.step : {}))];
  return steps.some((step) => 'key' in step && !('name' in step));
}

export class SessionWork {
  doc = $state.raw<Session>();
  deeds = $state.raw<Deed[]>([]);
  past = $state.raw<SessionStep[]>([]);
  /** Facts that are not told yet; those the server would not take, and why. */
  waiting = $state(0);
  aside = $state.raw<{ says: string; why: string }[]>([]);
  away = $state(false);
  missing = $state(false);
  /** Shown from what this browser kept: the server has not answered yet. */
  kept = $state(false);
  steps = $derived(this.doc ? overlay(this.doc.steps, this.deeds, this.past) : []);
  now = $derived(this.steps[0]);
  next = $derived(this.steps[1]);
  private undoable = $state.raw<Undoable[]>([]);
  canGoBack = $derived(
    this.deeds.length ? this.undoable.length > 0 : (this.doc?.last.entries.length ?? 0) > 0,
  );

  private readonly store = new SessionStore();
  private pressed = -Infinity;
  private sending: Promise<void> | undefined;
  private again = false;
  /** Deeds, the last ones, whose facts are on their way into the store. */
  private storing = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private retry = FIRST_RETRY;
  private gone = false;

  constructor(
    readonly slug: string,
    readonly id: number,
    private readonly clock: () => number = Date.now,
    /** Runs on evenly whatever becomes of the clock. */
    private readonly elapsed: () => number = () => performance.now(),
  ) {}

  private get key(): string {
    return `${this.slug}:${this.id}`;
  }

  /** Shows what is kept at once, and asks the server. */
  async open(): Promise<void> {
    const kept = await this.store.recall(this.key);
    if (kept?.doc && !this.doc && !ofOlderPage(kept)) {
      this.doc = kept.doc;
      this.deeds = kept.deeds;
      this.past = kept.past;
      this.undoable = kept.undoable;
      this.kept = true;
    }
    await this.send();
  }

  leave(): void {
    this.gone = true;
    clearTimeout(this.timer);
  }

  /** The step at hand is done. @param measured what a rescue asked for, as typed */
  async done(measured = ''): Promise<void> {
    const step = this.now;
    if (!step || !this.pressedAnew()) return;
    const facts = step.enter.map((entry): Fact => ({ ...entry, ...this.told(entry.with) }) as Fact);
    const last = facts.at(-1);
    if (last && measured) Object.assign(last, { kind: 'hole_sewn', measured });
    await this.happened({ kind: 'done', step }, facts, step.does, { step });
  }

  /** What was done last was not: it is withdrawn. */
  async back(): Promise<void> {
    if (!this.pressedAnew()) return;
    // Once all is told, what was done last may have been done on another screen.
    const last = this.deeds.length ? this.undoable.at(-1) : this.lastTold();
    if (!last) return;
    this.undoable = this.undoable.filter((one) => one !== last);
    const facts = last.ids.map((about): Fact => ({ kind: 'withdrawal', about }));
    const deed: Deed | undefined = last.mishap
      ? { kind: 'unwrong', id: last.mishap }
      : last.step && { kind: 'back', step: last.step };
    await this.happened(deed, facts, 'Taken back');
  }

  /** Something went wrong at the step at hand, or at a hole before it. */
  async wrong(row: SessionMishap, step: SessionStep, measured = ''): Promise<void> {
    const closure = step.closure ?? this.doc?.closures[0]?.id;
    if (!closure) return;
    const id = uuid();
    const fact: Fact = {
      kind: 'mishap',
      closure,
      step: step.key,
      moves: row.moves,
      ...this.told({ 'mishap.what': row.key }),
      ...(step.hole === null ? {} : { at: String(step.hole) }),
      ...(measured ? { measured } : {}),
    };
    await this.happened({ kind: 'mishap', id, row, step, closure }, [fact], row.says, { mishap: id }, [id]);
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
      ...this.told({ ...closure.with, 'hole.at': { mm: String(step.hole) } }),
      symptoms: [],
      ...seen,
    } as Fact;
    await this.happened(undefined, [fact], seen.passes ? 'How it went through' : 'What the hole showed');
  }

  /** Asks again: something happened elsewhere. */
  async refresh(): Promise<void> {
    await this.send();
  }

  take(doc: Session): void {
    this.doc = doc;
    this.kept = this.away = false;
    void this.keep();
  }

  private told(figures: Fact['with'] = {}): Pick<Fact, 'machine' | 'with'> {
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

  private lastTold(): Undoable | undefined {
    const last = this.doc?.last;
    if (!last || last.entries.length === 0) return undefined;
    const own = this.undoable.find((one) => one.ids.some((id) => last.entries.includes(id)));
    if (own) return own;
    const step = this.past.findLast((one) => one.key === last.step);
    return { ids: last.entries, ...(step ? { step } : {}) };
  }

  /** Everything that happens goes this way: kept, shown, told. */
  private async happened(
    deed: Deed | undefined,
    facts: Fact[],
    says: string,
    undo?: Omit<Undoable, 'ids'>,
    ids: string[] = facts.map(() => uuid()),
  ): Promise<void> {
    const at = new Date(this.clock()).toISOString();
    if (deed) {
      this.deeds = [...this.deeds, deed];
      this.storing += 1;
    }
    if (deed?.kind === 'done') this.past = [...this.past, deed.step].slice(-REMEMBERED);
    if (undo) this.undoable = [...this.undoable, { ids, ...undo }].slice(-REMEMBERED);
    this.waiting += facts.length;
    await this.store.add(
      facts.map((fact, index) => ({ slug: this.slug, id: ids[index] ?? uuid(), fact, at, says })),
    );
    if (deed) this.storing -= 1;
    await this.keep();
    void this.send();
  }

  /** One sender at a time, whichever tab it is. */
  private async send(): Promise<void> {
    this.again = this.sending !== undefined;
    this.sending ??= this.inTurn(() => this.tell()).finally(() => {
      this.sending = undefined;
      // What happened while the last one was told goes out now.
      if (this.again && !this.away) void this.send();
    });
    return this.sending;
  }

  private async inTurn(work: () => Promise<void>): Promise<void> {
    if (!('locks' in navigator)) return work();
    await navigator.locks.request(`nimble-eyelet:${this.slug}`, work);
  }

  private async tell(): Promise<void> {
    clearTimeout(this.timer);
    for (;;) {
      const waiting = await this.store.waiting(this.slug);
      this.waiting = waiting.length;
      const first = waiting[0];
      if (!first) {
        if (await this.look()) return;
        continue;
      }
      if (!(await this.tellOne(first))) return this.later();
    }
  }

  /** @returns whether the next one can be told */
  private async tellOne(waiting: Waiting): Promise<boolean> {
    const body = { ...waiting.fact, happened_at: waiting.at, sent_at: new Date(this.clock()).toISOString() };
    const params = { path: { slug: this.slug, entry: waiting.id } };
    const answer = await ask(client.PUT('/api/workrooms/{slug}/journal/{entry}', { params, body }));
    if (answer.kind === 'away' || (answer.kind === 'refused' && answer.status >= 500)) return false;
    if (answer.kind === 'refused')
      this.aside = [...this.aside, { says: waiting.says, why: answer.problem.detail }];
    if (waiting.n !== undefined) await this.store.drop(waiting.n);
    return true;
  }

  /** The server's own word. @returns whether nothing more is to be told */
  private async look(): Promise<boolean> {
    // What is not in the store yet was not told either: it stays laid over the answer.
    const known = this.deeds.length - this.storing;
    const path = { slug: this.slug, id: this.id };
    const answer = await ask(client.GET('/api/workrooms/{slug}/sessions/{id}', { params: { path } }));
    if (answer.kind === 'away') {
      this.later();
      return true;
    }
    if (answer.kind === 'refused') {
      this.missing = answer.status === 404;
      if (!this.missing) this.later();
      return true;
    }
    this.retry = FIRST_RETRY;
    this.deeds = this.deeds.slice(known);
    this.take(answer.data);
    return (await this.store.waiting(this.slug)).length === 0;
  }

  private later(): void {
    this.away = true;
    if (this.gone) return;
    this.timer = setTimeout(() => void this.send(), this.retry);
    this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
  }

  private async keep(): Promise<void> {
    const kept: KeptSession = { deeds: this.deeds, past: this.past, undoable: this.undoable };
    if (this.doc) kept.doc = this.doc;
    await this.store.keep(this.key, kept);
  }
}

/** Mishaps that can happen at a step: its own, each with the way out that its closure has. */
export function mishapsAt(doc: Session, step: SessionStep): SessionMishap[] {
  const here = (row: SessionMishap) =>
    step.closure === null || !row.closures || row.closures.includes(step.closure);
  return step.mishaps.flatMap((key) => doc.mishaps.find((row) => row.key === key && here(row)) ?? []);
}
