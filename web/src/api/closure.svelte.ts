// ClosureState holds one closure, what was typed into it and not yet confirmed, and the way it is
// saved: one request at a time, again when the server cannot be reached, merged when another tab
// saved in between.
import { client, planText, type Closure, type Problem, type StageWord } from './client';
import { keep, recall } from './kept';

/** Text typed into a field, and what the field showed before. */
type Typed = { text: string | null; before: string };

/** A run's pins or keep-outs, typed as a whole list. */
export type Row = Record<string, string>;
type ListName = 'pins' | 'keep_outs';

/** One text for a list as it is saved, to see whether another tab changed it. */
function listText(closure: Closure, name: ListName): string {
  return JSON.stringify(closure.plan.placket[name]);
}

type Seen = {
  passes: 'will_not_pass' | 'tight' | 'passes' | 'slips_out';
  measured: string;
  symptoms: ('piled_up' | 'gappy' | 'uneven_beads' | 'bobbin_on_top' | 'puckers')[];
  note: string;
};

/** Something done that is sent in order, after what was typed. */
type Deed =
  | { kind: 'step'; key: string; done: boolean }
  | { kind: 'knot'; stage: StageWord; tied: boolean }
  | { kind: 'swatch'; seen: Seen; logged: number }
  | { kind: 'accept'; number: number };

/** A field that another tab changed as well. */
export type Conflict = { path: string; mine: string; theirs: string };

/** Whether a figure as shown is what was typed, with or without its unit. */
function sameFigure(shown: string, typed: string): boolean {
  const bare = (text: string) => text.trim().replace(/\s*(mm|cm|in|")$/, '');
  return bare(shown) === bare(typed);
}

/** What the browser keeps of a closure. */
type Kept = Pick<ClosureState, 'typed' | 'lists' | 'deeds'>;

type Answer = { data?: Closure; error?: unknown; response: Response };

const PAUSE_BEFORE_SAVING = 200;
const FIRST_RETRY = 1000;
const LONGEST_RETRY = 8000;

export class ClosureState {
  readonly id: number;
  closure = $state.raw<Closure>();
  missing = $state(false);
  typed = $state<Record<string, Typed>>({});
  lists = $state<Record<string, { rows: Row[]; before: string }>>({});
  deeds = $state<Deed[]>([]);
  faults = $state<Record<string, string>>({});
  conflicts = $state<Conflict[]>([]);
  /** What the closure would be like while something is dragged. */
  preview = $state.raw<Closure>();
  away = $state(false);
  saving = $state(false);
  notice = $state('');

  /** Fields the server refused: they wait until something in their room is typed again. */
  private held: string[] = [];
  /** What this tab has in the browser's storage. */
  private written: string[] = [];
  private wroteDeeds = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private retry = FIRST_RETRY;
  private gone = false;

  constructor(id: number) {
    this.id = id;
    const kept = recall<Kept>(`typed:${id}`);
    if (!kept) return;
    Object.assign(this, kept);
    this.written = [...Object.keys(kept.typed), ...Object.keys(kept.lists)];
    this.wroteDeeds = kept.deeds.length > 0;
  }

  /** Something typed or done that the server has not confirmed. */
  get unsaved(): boolean {
    return Object.keys(this.typed).length + Object.keys(this.lists).length + this.deeds.length > 0;
  }

  /** How many typed values cannot be taken as they are. */
  get refused(): number {
    return Object.keys(this.faults).length;
  }

  async load(): Promise<void> {
    const answer = await this.ask(() =>
      client.GET('/api/closures/{id}', { params: { path: { id: this.id } } }),
    );
    if (answer?.data) this.take(answer.data);
    else if (answer?.response.status === 404) this.missing = true;
    if (this.unsaved) this.saveSoon(0);
  }

  /** Stops saving; what is unsaved stays kept for the next visit. */
  leave(): void {
    this.gone = true;
    clearTimeout(this.timer);
  }

  /** What a field shows: what was typed, else what is saved. */
  text(path: string): string {
    return this.typed[path]?.text ?? (this.closure ? planText(this.closure, path) : '');
  }

  type(path: string, text: string | null): void {
    const before = this.typed[path]?.before ?? (this.closure ? planText(this.closure, path) : '');
    this.typed[path] = { text, before };
    this.release(path);
  }

  /** What is shown: the preview while something is dragged, else what is saved. */
  get shown(): Closure | undefined {
    return this.preview ?? this.closure;
  }

  private wanted: Record<string, unknown> | undefined;
  private peeking = false;
  /** Something is being dragged: only then an answer is shown, however late it comes. */
  private dragging = false;

  /** Asks what a change of the placket would make of the closure. Only the newest wish is asked for; an
   * answer that was overtaken is shown all the same, as long as something is dragged. */
  async peek(placket: Record<string, unknown>): Promise<void> {
    this.wanted = placket;
    this.dragging = true;
    if (this.peeking) return;
    this.peeking = true;
    while (this.wanted) {
      const body = { placket: this.wanted } as never;
      this.wanted = undefined;
      try {
        const answer = await client.POST('/api/closures/{id}/preview', {
          params: { path: { id: this.id } },
          body,
        });
        if (answer.data && this.dragging) this.preview = answer.data;
      } catch {
        // Without a connection there is no preview; what is dropped is kept and saved later.
      }
    }
    this.peeking = false;
  }

  /** The drag is over: nothing is asked for any more. What it showed stays until the save has come back. */
  endPeek(): void {
    this.wanted = undefined;
    this.dragging = false;
  }

  /** Several fields at once, such as a button taken off the shelf. */
  typeAll(fields: Record<string, string | null>): void {
    for (const [path, text] of Object.entries(fields)) this.type(path, text);
    this.saveSoon(0);
  }

  typeList(name: ListName, rows: Row[]): void {
    const before = this.lists[name]?.before ?? (this.closure ? listText(this.closure, name) : '');
    this.lists[name] = { rows, before };
    this.release(`placket.${name}`);
  }

  /** Drops what was typed into a field and shows what is saved. */
  forget(path: string): void {
    delete this.typed[path];
    delete this.lists[path.replace('placket.', '')];
    this.release(path);
  }

  /** Drops all that the server refused, and shows what is saved. */
  forgetRefused(): void {
    for (const path of this.held) {
      delete this.typed[path];
      delete this.lists[path.replace('placket.', '')];
    }
    this.held = [];
    this.faults = {};
    this.keep();
    this.saveSoon(0);
  }

  do(deed: Deed): void {
    this.deeds.push(deed);
    this.keep();
    this.saveSoon(0);
  }

  /** Steps and knots as they will be once everything is sent. */
  stepDone(key: string, saved: boolean): boolean {
    const last = this.deeds.findLast((deed) => deed.kind === 'step' && deed.key === key);
    return last?.kind === 'step' ? last.done : saved;
  }

  async undo(): Promise<void> {
    await this.move('/api/closures/{id}/undo');
  }

  async redo(): Promise<void> {
    await this.move('/api/closures/{id}/redo');
  }

  async bringBack(number: number): Promise<void> {
    await this.save();
    await this.settle(() =>
      client.POST('/api/closures/{id}/history/{number}', {
        params: { path: { id: this.id, number }, header: this.match },
      }),
    );
  }

  resolve(conflict: Conflict, mine: boolean): void {
    this.conflicts = this.conflicts.filter((other) => other.path !== conflict.path);
    const list = conflict.path.replace('placket.', '') as ListName;
    if (this.lists[list]) {
      if (mine && this.closure) this.lists[list].before = listText(this.closure, list);
      else delete this.lists[list];
    } else if (mine && this.closure) {
      this.typed[conflict.path] = { text: conflict.mine, before: planText(this.closure, conflict.path) };
    } else {
      delete this.typed[conflict.path];
    }
    this.release(conflict.path);
    this.saveSoon(0);
  }

  saveSoon(pause = PAUSE_BEFORE_SAVING): void {
    clearTimeout(this.timer);
    if (!this.gone) this.timer = setTimeout(() => void this.save(), pause);
  }

  private get match() {
    return { 'If-Match': `"${this.closure?.revision ?? 0}"` };
  }

  /** Writes what is unsaved beside what other tabs have written, and takes back only our own. */
  private keep(): void {
    const kept: Kept = recall<Kept>(`typed:${this.id}`) ?? { typed: {}, lists: {}, deeds: [] };
    for (const name of this.written) {
      delete kept.typed[name];
      delete kept.lists[name];
    }
    Object.assign(kept.typed, this.typed);
    Object.assign(kept.lists, this.lists);
    if (this.deeds.length > 0 || this.wroteDeeds) kept.deeds = this.deeds;
    this.wroteDeeds = this.deeds.length > 0;
    this.written = [...Object.keys(this.typed), ...Object.keys(this.lists)];
    const empty = ![kept.typed, kept.lists, kept.deeds].some((part) => Object.keys(part).length > 0);
    keep(`typed:${this.id}`, empty ? undefined : kept);
  }

  /** Typing anywhere in a room gives its refused fields another chance. */
  private release(path: string): void {
    const room = path.split('.')[0];
    this.held = this.held.filter((other) => !other.startsWith(`${room}.`));
    for (const other of Object.keys(this.faults)) if (other.startsWith(`${room}.`)) delete this.faults[other];
    this.keep();
    this.saveSoon();
  }

  /** Sends what was typed, then what was done. */
  async save(): Promise<void> {
    clearTimeout(this.timer);
    if (this.saving || !this.closure || this.gone) return;
    this.saving = true;
    try {
      while ((await this.sendTyped()) || (await this.sendDeed())) this.keep();
    } finally {
      this.saving = false;
      this.keep();
    }
  }

  /** The fields to send now: neither refused nor in conflict. */
  private sendable(): string[] {
    const waiting = [...this.held, ...this.conflicts.map((conflict) => conflict.path)];
    return Object.keys(this.typed).filter((path) => !waiting.includes(path));
  }

  private async sendTyped(): Promise<boolean> {
    const paths = this.sendable();
    const waiting = [...this.held, ...this.conflicts.map((conflict) => conflict.path)];
    const lists = Object.keys(this.lists).filter((name) => !waiting.includes(`placket.${name}`));
    if (paths.length + lists.length === 0) return false;
    const sent = $state.snapshot(this.typed);
    const body: Record<string, Record<string, unknown>> = {};
    for (const path of paths) {
      const [room, name] = path.split('.') as [string, string];
      (body[room] ??= {})[name] = path === 'machine.id' ? Number(sent[path]?.text) : sent[path]?.text;
    }
    const sentLists = $state.snapshot(this.lists);
    for (const name of lists) (body['placket'] ??= {})[name] = sentLists[name]?.rows;
    const answer = await this.ask(() =>
      client.PATCH('/api/closures/{id}', {
        params: { path: { id: this.id }, header: this.match },
        body: body as never,
      }),
    );
    if (!answer) return false;
    if (answer.data) {
      // Typed on while the save was under way: that stays to be sent.
      for (const path of paths) if (this.typed[path]?.text === sent[path]?.text) delete this.typed[path];
      for (const name of lists)
        if (JSON.stringify(this.lists[name]?.rows) === JSON.stringify(sentLists[name]?.rows))
          delete this.lists[name];
      this.take(answer.data);
      return true;
    }
    return this.refusedFields(answer, [...paths, ...lists.map((name) => `placket.${name}`)]);
  }

  /** @returns whether there is something else to try at once */
  private refusedFields(answer: Answer, sent: string[]): boolean {
    const problem = answer.error as Problem;
    this.preview = undefined;
    if (answer.response.status === 412) return this.merge(problem);
    if (answer.response.status === 404) {
      this.missing = true;
      return false;
    }
    for (const fault of problem.faults ?? []) {
      const room = fault.field.split('.')[0];
      this.faults[fault.field] = fault.allowed;
      const culprits = sent.includes(fault.field)
        ? [fault.field]
        : sent.filter((path) => path.startsWith(`${room}.`));
      this.held.push(...(culprits.length ? culprits : sent));
    }
    if (!problem.faults?.length) {
      this.notice = problem.detail ?? 'This could not be saved.';
      this.held.push(...sent);
    }
    return true;
  }

  /** Another tab saved: fields it left alone are sent again, the others are asked about. */
  private merge(problem: Problem): boolean {
    if (!problem.current) return false;
    this.take(problem.current);
    for (const [path, typed] of Object.entries(this.typed)) {
      const theirs = planText(problem.current, path);
      if (theirs !== typed.before && !sameFigure(theirs, typed.text ?? ''))
        this.clash(path, typed.text ?? '', theirs);
    }
    for (const [name, list] of Object.entries(this.lists)) {
      const theirs = listText(problem.current, name as ListName);
      if (theirs !== list.before) this.clash(`placket.${name}`, 'my list', 'theirs');
    }
    return true;
  }

  private clash(path: string, mine: string, theirs: string): void {
    if (!this.conflicts.some((conflict) => conflict.path === path))
      this.conflicts.push({ path, mine, theirs });
  }

  private async sendDeed(): Promise<boolean> {
    const deed = this.deeds[0];
    if (!deed) return false;
    const answer = await this.ask(() => this.perform(deed));
    if (!answer) return false;
    const problem = answer.error as Problem | undefined;
    if (answer.response.status === 412 && problem?.current) {
      this.take(problem.current);
      // A test hole whose answer was lost on the way is there already.
      const arrived = deed.kind === 'swatch' && problem.current.sheet.swatch.log.length > deed.logged;
      if (!arrived) return true;
    } else if (problem) {
      for (const fault of problem.faults ?? []) this.faults[fault.field] = fault.allowed;
      if (!problem.faults?.length) this.notice = problem.detail;
    }
    this.deeds.shift();
    if (answer.data) this.take(answer.data);
    return true;
  }

  private perform(deed: Deed): Promise<Answer> {
    const id = this.id;
    const header = this.match;
    switch (deed.kind) {
      case 'step': {
        const options = { params: { path: { id, key: deed.key }, header } };
        return deed.done
          ? client.PUT('/api/closures/{id}/steps/{key}', options)
          : client.DELETE('/api/closures/{id}/steps/{key}', options);
      }
      case 'knot': {
        const options = { params: { path: { id, stage: deed.stage }, header } };
        return deed.tied
          ? client.PUT('/api/closures/{id}/knots/{stage}', options)
          : client.DELETE('/api/closures/{id}/knots/{stage}', options);
      }
      case 'swatch':
        return client.POST('/api/closures/{id}/swatches', {
          params: { path: { id }, header },
          body: deed.seen,
        });
      case 'accept':
        return client.POST('/api/closures/{id}/swatches/{number}/accept', {
          params: { path: { id, number: deed.number }, header },
        });
    }
  }

  private async move(address: '/api/closures/{id}/undo' | '/api/closures/{id}/redo'): Promise<void> {
    await this.save();
    await this.settle(() => client.POST(address, { params: { path: { id: this.id }, header: this.match } }));
  }

  private async settle(call: () => Promise<Answer>): Promise<void> {
    const answer = await this.ask(call);
    if (answer?.data) this.take(answer.data);
    else if (answer) {
      const problem = answer.error as Problem;
      if (problem.current) this.take(problem.current);
      this.notice = problem.detail;
    }
  }

  private take(closure: Closure): void {
    this.closure = closure;
    this.preview = undefined;
  }

  /** Asks once; when the server cannot be reached, says so and tries again later. */
  private async ask<T extends { response: Response }>(call: () => Promise<T>): Promise<T | undefined> {
    try {
      const answer = await call();
      if (answer.response.status < 500) {
        this.away = false;
        this.retry = FIRST_RETRY;
        return answer;
      }
    } catch {
      // No connection: the same as a server that is away.
    }
    this.away = true;
    clearTimeout(this.timer);
    if (!this.gone) {
      this.timer = setTimeout(() => void (this.closure ? this.again() : this.load()), this.retry);
      this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
    }
    return undefined;
  }

  /** Another try: what is unsaved, or just whether the server is back. */
  private async again(): Promise<void> {
    if (this.unsaved) await this.save();
    else await this.load();
  }
}
