// Drag moves pins, keep-outs and the first and last hole of the run, by pointer or by key, and shows
// what becomes of the holes while it does.
import type { PlanChange } from '../api/client';
import type { ClosureWork } from '../closure/work.svelte';
import { changed, keepOutAt, millimetres, pinAt, type Grip } from './grip';

/** Keys in a row are one change: they are saved when they have paused. */
const PAUSE = 600;
const COARSE = 10;

export class Drag {
  grip = $state.raw<Grip>();
  /** Where the gripped thing is now, mm from the datum. */
  at = $state(0);
  private from = 0;
  private hold = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly work: () => ClosureWork) {}

  /** Millimetres between two marks. */
  get grid(): number {
    return this.work().closure?.sheet.placket?.grid.mm ?? 1;
  }

  private get plan() {
    return this.work().closure?.plan;
  }

  start(grip: Grip, at: number): void {
    this.settleKeys();
    this.grip = grip;
    this.from = this.at = at;
  }

  /** Takes hold of something with the pointer at a place of the run. */
  take(event: PointerEvent, grip: Grip, at: number, under: number, canvas: SVGSVGElement | undefined): void {
    if (event.button !== 0) return;
    event.preventDefault();
    event.stopPropagation();
    (event.currentTarget as SVGElement).focus({ preventScroll: true });
    canvas?.setPointerCapture(event.pointerId);
    this.hold = under - at;
    this.start(grip, at);
  }

  /** The pointer is at a place of the run. */
  follow(under: number): void {
    this.move(under - this.hold);
  }

  move(to: number): void {
    if (!this.grip || !this.plan) return;
    const within = Math.min(Math.max(to, 0), this.plan['placket.run_length'].mm);
    const snapped = Math.round(within / this.grid) * this.grid;
    if (snapped === this.at) return;
    this.at = snapped;
    void this.work().preview.peek(this.change());
  }

  /** Lets go: what was moved is typed and saved. */
  drop(): void {
    const { grip } = this;
    if (!grip) return;
    const work = this.work();
    if (this.at === this.from) work.preview.clear();
    else {
      work.preview.end();
      if (grip.kind === 'pin') work.typeRow('placket.pins', grip.id, pinAt(work, grip.id, this.at));
      else if (grip.kind === 'keep')
        work.typeRow('placket.keep_outs', grip.id, keepOutAt(work, grip, this.from, this.at));
      else work.type(`placket.${grip.kind}`, millimetres(this.at));
      work.saver.soon(0);
    }
    this.grip = undefined;
  }

  /** Escape: back to where it was. */
  cancel(): void {
    this.work().preview.clear();
    this.grip = undefined;
  }

  /** @returns whether the key meant something here */
  key(event: KeyboardEvent, grip: Grip, at: number): boolean {
    const direction = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[event.key];
    if (event.key === 'Delete' && (grip.kind === 'pin' || grip.kind === 'keep')) return this.remove(grip);
    if (event.key === 'Escape' && this.grip) {
      this.cancel();
      return true;
    }
    if (!direction) return false;
    if (!this.same(grip)) this.start(grip, at);
    this.move(this.at + direction * this.grid * (event.shiftKey ? COARSE : 1));
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.drop(), PAUSE);
    return true;
  }

  /** A key on something that can be moved: what means something here goes no further. */
  nudge(event: KeyboardEvent, grip: Grip, at: number): void {
    if (!this.key(event, grip, at)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** A new pin, which gets a hole exactly. */
  addPin(at: number, label = ''): void {
    const text = millimetres(Math.round(at / this.grid) * this.grid);
    this.work().typeRow('placket.pins', undefined, { at: text, label, weight: '0', holds: 'button' });
    this.work().saver.soon(0);
  }

  /** A seam at this place; how far it reaches, or that it is only a ridge, is said in its row. */
  addSeam(at: number): void {
    const text = millimetres(Math.round(at / this.grid) * this.grid);
    this.work().typeRow('placket.keep_outs', undefined, { from: text, to: '', label: '', kind: 'no_go' });
    this.work().saver.soon(0);
  }

  private same(grip: Grip): boolean {
    return JSON.stringify(this.grip) === JSON.stringify(grip);
  }

  private settleKeys(): void {
    clearTimeout(this.timer);
    if (this.grip) this.drop();
  }

  private remove(grip: Extract<Grip, { id: string }>): boolean {
    // What was nudged a moment ago is not put back by its pause.
    clearTimeout(this.timer);
    this.cancel();
    this.work().typeRow(grip.kind === 'pin' ? 'placket.pins' : 'placket.keep_outs', grip.id, null);
    this.work().saver.soon(0);
    return true;
  }

  /** The change as it would be typed. */
  private change(): PlanChange {
    return this.grip ? changed(this.work(), this.grip, this.from, this.at) : {};
  }
}
