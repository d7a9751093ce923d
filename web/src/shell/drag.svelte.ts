// Drag moves pins, keep-outs and the first and last hole of the run, by pointer or by key, and shows
// what becomes of the holes while it does.
import type { ClosureState, Row } from '../api/closure.svelte';
import { textOf } from '../api/client';

export type Grip =
  | { kind: 'pin'; index: number }
  | { kind: 'keep'; index: number; end: 'both' | 'from' | 'to' }
  | { kind: 'first' }
  | { kind: 'last' };

/** Keys in a row are one change: they are saved when they have paused. */
const PAUSE = 600;
const COARSE = 10;

export class Drag {
  grip = $state.raw<Grip>();
  /** Where the gripped thing is now, mm from the datum. */
  at = $state(0);
  private from = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly work: () => ClosureState) {}

  /** Millimetres between two marks. */
  get grid(): number {
    return this.work().closure?.sheet.placket?.grid.mm ?? 1;
  }

  private get plan() {
    return this.work().closure?.plan.placket;
  }

  start(grip: Grip, at: number): void {
    this.settleKeys();
    this.grip = grip;
    this.from = this.at = at;
  }

  move(to: number): void {
    if (!this.grip || !this.plan) return;
    const snapped = Math.round(Math.min(Math.max(to, 0), this.plan.run_length.mm) / this.grid) * this.grid;
    if (snapped === this.at) return;
    this.at = snapped;
    void this.work().peek(this.change());
  }

  /** Lets go: what was moved is typed and saved. */
  drop(): void {
    const { grip } = this;
    if (!grip) return;
    const work = this.work();
    work.endPeek();
    if (this.at !== this.from) {
      const change = this.change();
      if (grip.kind === 'pin') work.typeList('pins', change['pins'] as Row[]);
      else if (grip.kind === 'keep') work.typeList('keep_outs', change['keep_outs'] as Row[]);
      else work.type(`placket.${grip.kind}`, change[grip.kind] as string);
      work.saveSoon(0);
    } else {
      work.preview = undefined;
    }
    this.grip = undefined;
  }

  /** Escape: back to where it was. */
  cancel(): void {
    this.work().endPeek();
    this.work().preview = undefined;
    this.grip = undefined;
  }

  /** @returns whether the key meant something here */
  key(event: KeyboardEvent, grip: Grip, at: number): boolean {
    const way = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
    if (event.key === 'Delete' && grip.kind !== 'first' && grip.kind !== 'last') return this.remove(grip);
    if (event.key === 'Escape' && this.grip) {
      this.cancel();
      return true;
    }
    if (!way) return false;
    if (!this.same(grip)) this.start(grip, at);
    this.move(this.at + way * this.grid * (event.shiftKey ? COARSE : 1));
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.drop(), PAUSE);
    return true;
  }

  private same(grip: Grip): boolean {
    return JSON.stringify(this.grip) === JSON.stringify(grip);
  }

  private settleKeys(): void {
    clearTimeout(this.timer);
    if (this.grip) this.drop();
  }

  /** A new pin, which gets a hole exactly. */
  addPin(at: number, label = ''): void {
    const rows = this.pins();
    const text = this.text(Math.round(at / this.grid) * this.grid);
    this.work().typeList('pins', [...rows, { at: text, label, weight: '0' }]);
    this.work().saveSoon(0);
  }

  private remove(grip: Extract<Grip, { index: number }>): boolean {
    const list = grip.kind === 'pin' ? 'pins' : 'keep_outs';
    const rows = grip.kind === 'pin' ? this.pins() : this.keepOuts();
    this.work().typeList(list, rows.toSpliced(grip.index, 1));
    this.work().saveSoon(0);
    return true;
  }

  private text(mm: number): string {
    return `${Number(mm.toFixed(4))}mm`;
  }

  private pins(): Row[] {
    return (this.plan?.pins ?? []).map((pin) => ({
      at: textOf(pin.at),
      label: pin.label,
      weight: pin.weight,
    }));
  }

  private keepOuts(): Row[] {
    return (this.plan?.keep_outs ?? []).map((item) => ({
      from: textOf(item.from),
      to: textOf(item.to),
      label: item.label,
    }));
  }

  /** The placket as it would be typed. */
  private change(): Record<string, unknown> {
    const { grip } = this;
    if (!grip) return {};
    if (grip.kind === 'pin') {
      return {
        pins: this.pins().map((pin, index) =>
          index === grip.index ? { ...pin, at: this.text(this.at) } : pin,
        ),
      };
    }
    if (grip.kind !== 'keep') return { [grip.kind]: this.text(this.at) };
    const by = this.at - this.from;
    const keep_outs = this.keepOuts().map((item, index) => {
      const saved = this.plan?.keep_outs[index];
      if (index !== grip.index || !saved) return item;
      const from = grip.end === 'to' ? saved.from.mm : saved.from.mm + by;
      const to = grip.end === 'from' ? saved.to.mm : saved.to.mm + by;
      return { ...item, from: this.text(Math.min(from, to)), to: this.text(Math.max(from, to)) };
    });
    return { keep_outs };
  }
}
