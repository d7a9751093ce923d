// Profile holds a machine as it is typed. Every change is saved as a whole a moment later; until
// then it stays in the browser.
import { ask, words } from '../../api/ask';
import { client, type MachineProfile, type Problem } from '../../api/client';
import { keep, recall } from '../../api/browser_store';
import { keepSeen, recallSeen } from '../../api/seen';
import { workroom } from '../../api/workroom.svelte';

export type Typed = Pick<MachineProfile, 'facts' | 'styles' | 'feet'>;

const PAUSE = 400;

export class Profile {
  typed = $state<Typed>({ facts: {} as Typed['facts'], styles: [], feet: [] });
  /** Whether there is something to fill in yet. */
  ready = $state(false);
  saved = $state.raw<MachineProfile>();
  faults = $state<Record<string, string>>({});
  notice = $state('');
  missing = $state(false);
  saving = $state(false);
  dirty = $state(false);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly slug: string,
    readonly id: number | undefined,
  ) {
    const kept = recall<Typed>(this.key);
    if (kept) {
      this.typed = kept;
      this.ready = this.dirty = true;
    }
  }

  private get key() {
    return `machine:${this.slug}:${this.id ?? 'new'}`;
  }

  async load(): Promise<void> {
    if (!this.id) return;
    const answer = await this.fetch(this.id);
    this.missing = answer.kind === 'refused' && answer.status === 404;
    this.notice = answer.kind === 'away' ? 'The server does not answer. Trying again…' : '';
    if (answer.kind === 'away') {
      this.timer = setTimeout(() => void this.load(), 2000);
      const seen = this.saved ? undefined : await recallSeen<MachineProfile>(this.key);
      if (seen) this.show(seen);
    }
    if (answer.kind !== 'data') return;
    this.show(answer.data);
    void keepSeen(this.key, answer.data);
    if (this.dirty) this.changed(0);
  }

  private show(machine: MachineProfile): void {
    this.saved = machine;
    if (!this.dirty) this.take(machine);
  }

  changed(pause = PAUSE): void {
    this.dirty = true;
    keep(this.key, $state.snapshot(this.typed));
    clearTimeout(this.timer);
    if (this.id) this.timer = setTimeout(() => void this.save(), pause);
  }

  /** @returns the machine when it was saved */
  async save(): Promise<MachineProfile | undefined> {
    if (this.saving) {
      this.changed();
      return undefined;
    }
    this.saving = true;
    const body = $state.snapshot(this.typed);
    const { slug } = this;
    const answer = await ask(
      this.id
        ? client.PUT('/api/workrooms/{slug}/machines/{id}', {
            params: { path: { slug, id: this.id }, header: this.match },
            body,
          })
        : client.POST('/api/workrooms/{slug}/machines', { params: { path: { slug } }, body }),
    );
    this.saving = false;
    if (answer.kind === 'data') return this.settled(answer.data, body);
    if (answer.kind === 'refused') return this.refused(answer.problem, answer.status);
    this.notice = 'Not saved: the server does not answer. What you typed stays here.';
    if (this.id) this.timer = setTimeout(() => void this.save(), 3000);
    return undefined;
  }

  /** Puts the machine into the waste basket.
   * @returns whether it is there now */
  async remove(): Promise<boolean> {
    if (!this.id) return false;
    const params = { path: { slug: this.slug, id: this.id }, header: this.match };
    const answer = await ask(client.DELETE('/api/workrooms/{slug}/machines/{id}', { params }));
    this.notice = words(answer);
    return answer.kind === 'data';
  }

  /** Another machine is looked at: what waits is saved now, and nothing is asked again. */
  leave(): void {
    clearTimeout(this.timer);
    if (this.id && this.saved && this.dirty) void this.save().then(() => clearTimeout(this.timer));
  }

  private get match() {
    return { 'If-Match': `"${this.saved?.revision ?? 0}"` };
  }

  private fetch(id: number) {
    const params = { path: { slug: this.slug, id } };
    return ask(client.GET('/api/workrooms/{slug}/machines/{id}', { params }));
  }

  private settled(machine: MachineProfile, sent: Typed): MachineProfile {
    this.saved = machine;
    this.faults = {};
    this.notice = '';
    // Typed on meanwhile: that is saved next.
    if (JSON.stringify(sent) === JSON.stringify($state.snapshot(this.typed))) {
      this.dirty = false;
      keep(this.key, undefined);
    }
    return machine;
  }

  private async refused(problem: Problem, status: number): Promise<undefined> {
    this.faults = Object.fromEntries((problem.faults ?? []).map((fault) => [fault.field, fault.allowed]));
    this.notice = problem.faults?.length ? '' : problem.detail;
    if (status === 412 && this.id) {
      const answer = await this.fetch(this.id);
      if (answer.kind === 'data') this.saved = answer.data;
      this.notice =
        'This machine was changed in another place meanwhile. Change something to save yours over it, or drop yours.';
    }
    return undefined;
  }

  /** Back to what is saved. */
  drop(): void {
    keep(this.key, undefined);
    this.dirty = false;
    this.notice = '';
    this.faults = {};
    this.begin();
    if (this.saved) this.take(this.saved);
  }

  /** What a new machine begins with, as soon as that is known. */
  begin(): void {
    const begun = workroom.catalogue?.begun.machine;
    if (begun && !this.dirty) this.take(begun);
  }

  private take(machine: Typed): void {
    this.ready = true;
    this.typed = structuredClone({ facts: machine.facts, styles: machine.styles, feet: machine.feet });
  }
}
