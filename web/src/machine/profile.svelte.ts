// Profile holds a machine as it is typed. Every change is saved as a whole a moment later; until
// then it stays in the browser.
import { client, type MachineProfile, type Problem } from '../api/client';
import { keep, recall } from '../api/kept';

type Typed = Pick<MachineProfile, 'facts' | 'styles' | 'feet'>;

const PAUSE = 400;

const BLANK: Typed = {
  facts: {
    name: '',
    kind: 'sensing',
    stops: 'machine',
    reset: 'none',
    max_width: '7mm',
    width_step: '0.5mm',
    length_step: '0.25mm',
    neutral_tension: '4',
    tension_step: '0.5',
    feed_stop: 'drop_feed',
    bobbin_finger: 'no',
    balance: 'no',
    straight_first: 'no',
    lift_resets: 'no',
    first_side: 'left',
    first_direction: 'away',
    needle_positions: '2',
    top_speed: '700',
  },
  styles: ['two_tacks'],
  feet: [],
};

export const BLANK_FOOT: Typed['feet'][number] = {
  kind: 'sliding_scale_foot',
  nickname: '',
  largest_button: '',
  allowance: '0mm',
  click: '0.5mm',
  scale_pitch: '5mm',
  scale_reads: 'overall',
};

export class Profile {
  typed = $state<Typed>(structuredClone(BLANK));
  saved = $state.raw<MachineProfile>();
  faults = $state<Record<string, string>>({});
  notice = $state('');
  missing = $state(false);
  saving = $state(false);
  dirty = $state(false);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly id: number | undefined) {
    const kept = recall<Typed>(this.key);
    if (kept) {
      this.typed = kept;
      this.dirty = true;
    }
  }

  private get key() {
    return `machine:${this.id ?? 'new'}`;
  }

  async load(): Promise<void> {
    if (!this.id) return;
    try {
      const answer = await client.GET('/api/machines/{id}', { params: { path: { id: this.id } } });
      this.missing = answer.response.status === 404;
      if (!answer.data) return;
      this.saved = answer.data;
      if (this.dirty) this.changed(0);
      else this.take(answer.data);
      this.notice = '';
    } catch {
      this.notice = 'The server does not answer. Trying again…';
      setTimeout(() => void this.load(), 2000);
    }
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
    const body = $state.snapshot(this.typed) as Typed;
    try {
      const answer = this.id
        ? await client.PUT('/api/machines/{id}', {
            params: { path: { id: this.id }, header: { 'If-Match': `"${this.saved?.revision ?? 0}"` } },
            body,
          })
        : await client.POST('/api/machines', { body });
      return answer.data
        ? this.settled(answer.data, body)
        : await this.refused(answer.error as Problem, answer.response.status);
    } catch {
      this.notice = 'Not saved: the server does not answer. What you typed stays here.';
      this.timer = setTimeout(() => void this.save(), 3000);
      return undefined;
    } finally {
      this.saving = false;
    }
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
      const answer = await client.GET('/api/machines/{id}', { params: { path: { id: this.id } } });
      if (answer.data) this.saved = answer.data;
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
    if (this.saved) this.take(this.saved);
  }

  private take(machine: MachineProfile): void {
    this.typed = structuredClone({ facts: machine.facts, styles: machine.styles, feet: machine.feet });
  }
}
