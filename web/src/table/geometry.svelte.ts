// Where things of the run are drawn: millimetres down the run and in from the finished edge become
// pixels. Upright beside the station; on a narrow screen the run lies along the top.
import { loopPath, type Loop } from '../drawn/loop';
import type { Closure } from '../api/client';

const PAD = 14;
/** Pixels beyond a finished edge that does not lie at the tape. */
const BEYOND = 14;
/** Pixels kept beside the cloth for the tape and for the figures. */
export const TAPE = 44;
const FIGURES = 62;
/** Cloth shown on the inner side of the centre line, mm. */
const INNER = 14;
/** A stretch below this many pixels has no ends of its own to take hold of. */
export const NARROW = 24;

export type Line = { x1: number; y1: number; x2: number; y2: number };
type Hole = NonNullable<Closure['sheet']['placket']>['holes'][number];

export class RunGeometry {
  width = $state(0);
  height = $state(0);

  constructor(
    private readonly closure: () => Closure,
    private readonly holes: () => Hole[],
  ) {}

  /** A loop at the edge, where it closes by such. */
  get loop() {
    return this.closure().sheet.placket?.loop ?? null;
  }
  /** How far loops stand out beyond the edge, mm. */
  private get out(): number {
    return this.loop?.reach ?? 0;
  }
  /** Pixels beyond the finished edge. */
  private get beyond(): number {
    return Math.max(BEYOND, this.out * this.scale + 6);
  }
  /** Where the fabric begins, pixels beside the tape. */
  private get start(): number {
    return (this.lying ? 18 : TAPE) + (this.loop && !this.turned ? this.beyond : 0);
  }

  private get plan() {
    return this.closure().plan;
  }

  get ready(): boolean {
    return this.width > 0 && this.height > 0;
  }
  get lying(): boolean {
    return this.width > this.height;
  }
  get length(): number {
    return this.plan['placket.run_length'].mm;
  }
  /** Finished edge to centre line. */
  get edge(): number {
    return this.plan['placket.extension'].mm;
  }
  /** The row of buttons on the far side of the centre line, where there are two. */
  get far(): number {
    return this.plan['placket.rows'] === 'double' ? this.plan['placket.offset'].mm : 0;
  }
  get reach(): number {
    const inmost = Math.min(0, ...this.holes().map((hole) => hole.out_inner.mm));
    return this.edge + Math.max(INNER + this.far, INNER - inmost);
  }
  get scale(): number {
    const along = this.lying ? this.width : this.height;
    const across = this.lying ? this.height - 34 : this.width - TAPE - FIGURES;
    return Math.max(0.01, Math.min((along - 2 * PAD) / this.length, across / (this.reach + this.out)));
  }
  /** Whether the finished edge lies away from the tape: the fabric is seen right side up, its top at the start. */
  get turned(): boolean {
    return (this.closure().sheet.edge_lies === 'right') !== this.lying;
  }
  /** The garment goes on beyond what is drawn to scale: the cloth fills the room there is. */
  get clothWidth(): number {
    const room =
      (this.lying ? this.height - 18 : this.width - TAPE) - (this.turned || this.loop ? this.beyond : 0);
    return Math.max(this.reach * this.scale, room);
  }

  /** Where something is drawn: mm down the run, mm in from the finished edge. */
  at(run: number, across: number): [number, number] {
    const far = PAD + run * this.scale;
    const aside = this.turned
      ? this.start + this.clothWidth - across * this.scale
      : this.start + across * this.scale;
    return this.lying ? [far, aside] : [aside, far];
  }

  /** Where a mark of the tape begins: mm down the run. */
  tape(run: number): [number, number] {
    const far = PAD + run * this.scale;
    return this.lying ? [far, 18] : [TAPE, far];
  }

  /** A drawing made upright, that points into the fabric, with its middle at a place of the run's edge. */
  inward(run: number): string {
    const [x, y] = this.at(run, 0);
    const turn = this.lying
      ? this.turned
        ? ' rotate(-90)'
        : ' rotate(90) scale(1 -1)'
      : this.turned
        ? ' scale(-1 1)'
        : '';
    return `translate(${x} ${y})${turn}`;
  }

  line(run1: number, across1: number, run2: number, across2: number): Line {
    const [x1, y1] = this.at(run1, across1);
    const [x2, y2] = this.at(run2, across2);
    return { x1, y1, x2, y2 };
  }

  /** A loop with its legs at the edge. */
  looped(run: number, loop: Loop): string {
    return loopPath(run, loop, (along, across) => this.at(along, across));
  }

  /** A stretch over the whole width of the cloth, at least so many pixels long. */
  area(from: number, to: number, least = 0) {
    const size = Math.max((to - from) * this.scale, least);
    const middle = PAD + ((from + to) / 2) * this.scale;
    const begins = middle - size / 2;
    return this.lying
      ? { x: begins, y: this.start, width: size, height: this.clothWidth }
      : { x: this.start, y: begins, width: this.clothWidth, height: size };
  }

  /** The cut of a hole. */
  slit(hole: Hole): Line {
    return hole.lies === 'vertical'
      ? this.line(
          hole.open_from.mm,
          this.edge - hole.out_outer.mm,
          hole.open_to.mm,
          this.edge - hole.out_outer.mm,
        )
      : this.line(hole.at.mm, this.edge - hole.out_outer.mm, hole.at.mm, this.edge - hole.out_inner.mm);
  }

  /** A hole with both its ends. */
  whole(hole: Hole): Line {
    if (hole.lies === 'vertical')
      return this.line(
        hole.from.mm,
        this.edge - hole.out_outer.mm,
        hole.to.mm,
        this.edge - hole.out_outer.mm,
      );
    const { near, far } = this.closure().sheet.opening.ends;
    const outer = this.edge - hole.out_outer.mm - near.mm;
    return this.line(hole.at.mm, outer, hole.at.mm, this.edge - hole.out_inner.mm + far.mm);
  }

  /** Marks of the tape, mm. */
  get ticks(): number[] {
    const unit = this.closure().unit === 'in' ? 25.4 : 10;
    const step =
      [1, 2, 5, 10, 20, 50, 100].map((count) => count * unit).find((mm) => mm * this.scale >= 34) ?? 1000;
    return Array.from({ length: Math.floor(this.length / step) + 1 }, (_, index) => index * step);
  }

  /** A mark of the tape as the tape says it. */
  tick(mm: number): string {
    const { unit } = this.closure();
    if (unit === 'in') return String(Math.round(mm / 25.4));
    return unit === 'cm' ? String(mm / 10) : String(mm);
  }

  /** Millimetres from the datum under a pointer. */
  under(event: PointerEvent | MouseEvent, canvas: SVGSVGElement | undefined): number {
    const frame = canvas?.getBoundingClientRect();
    if (!frame) return 0;
    return ((this.lying ? event.clientX - frame.left : event.clientY - frame.top) - PAD) / this.scale;
  }
}
