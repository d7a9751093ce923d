// A sewn hole as lines of thread, in millimetres: the hole lies along x, its middle at 0, its outer or upper end at the
// left. Screens and prints draw the same lines.

import type { components } from '../api/schema';

type Finish = components['schemas']['EndFinish'];
/** One end of a hole: how it is finished and how long that is. */
export type End = { finish: Finish; long: number };
export type HoleFigures = {
  /** The slit. */
  length: number;
  /** The whole hole across its slit. */
  across: number;
  /** Between the two sides, to cut in. */
  space: number;
  /** From one stitch to the next on the same side. */
  stitch: number;
  near: End;
  far: End;
  /** How far the eye passes the end of the slit; 0 for none. */
  eye: number;
};
export type Drawn = {
  /** Zigzags of satin, outer edge to inner edge and back. */
  satin: string[];
  /** Straight stitches. */
  straight: string[];
  /** The open slit. */
  slit: string;
  /** What the whole hole covers. */
  left: number;
  right: number;
};

const at = (value: number) => Number(value.toFixed(3));
const line = (points: [number, number][]) => `M${points.map(([x, y]) => `${at(x)} ${at(y)}`).join('L')}`;

/** A zigzag along x between two heights. */
function zigzag(from: number, to: number, outer: number, inner: number, stitch: number): string {
  const legs = Math.max(2, Math.round(((to - from) / stitch) * 2));
  const feed = (to - from) / legs;
  return line(Array.from({ length: legs + 1 }, (_, leg) => [from + leg * feed, leg % 2 ? inner : outer]));
}

/** Satin round a middle, from one angle to another. */
function fan(x: number, from: number, to: number, outer: number, inner: number, stitch: number): string {
  const legs = Math.max(8, Math.round((Math.abs(to - from) * outer * 2) / stitch));
  return line(
    Array.from({ length: legs + 1 }, (_, leg) => {
      const angle = from + ((to - from) * leg) / legs;
      const reach = leg % 2 ? inner : outer;
      return [x + Math.cos(angle) * reach, Math.sin(angle) * reach];
    }),
  );
}

/** How far a cut slit stands open, as a part of its length. */
const OPEN = 0.02;

/** Lines of a hole of these figures. */
export function drawnHole(hole: HoleFigures): Drawn {
  const half = hole.across / 2;
  const gap = Math.max(hole.space / 2, 0.15);
  const from = -hole.length / 2;
  const to = hole.length / 2;
  const left = from - hole.near.long;
  const right = to + hole.far.long;
  const open = Math.max(hole.length * OPEN, 0.25);
  const slit = `M${at(from)} 0Q0 ${at(-open)} ${at(to)} 0Q0 ${at(open)} ${at(from)} 0Z`;
  if (hole.near.finish === 'ring') {
    const outer = hole.length / 2 + hole.near.long;
    const ring = fan(0, 0, Math.PI * 2, outer, hole.length / 2, hole.stitch);
    const r = at(hole.length / 2);
    return {
      satin: [ring],
      straight: [],
      slit: `M${-r} 0A${r} ${r} 0 1 0 ${r} 0A${r} ${r} 0 1 0 ${-r} 0Z`,
      left: -outer,
      right: outer,
    };
  }
  if (hole.near.finish === 'box') {
    const box = (by: number) =>
      `M${at(left + by)} ${at(-half + by)}H${at(right - by)}V${at(half - by)}H${at(left + by)}Z`;
    return { satin: [], straight: [box(0), box(0.35)], slit, left, right };
  }
  const satin: string[] = [];
  const eye = hole.eye > 0;
  const sides: [number, number] = [from, to];
  // A little beyond each end, so that no cloth shows where a side meets it.
  for (const side of [-1, 1] as const)
    satin.push(zigzag(sides[0], sides[1], side * half, side * gap, hole.stitch));
  if (eye)
    satin.push(
      fan(from, Math.PI * 0.3, Math.PI * 1.7, Math.max(half, hole.near.long), hole.eye * 0.55, hole.stitch),
    );
  else if (hole.near.finish === 'round')
    satin.push(fan(from, Math.PI * 0.5, Math.PI * 1.5, half, gap * 0.6, hole.stitch));
  else if (hole.near.long > 0) satin.push(zigzag(left, from, -half, half, hole.stitch * 0.6));
  if (hole.far.finish === 'round')
    satin.push(fan(to, -Math.PI * 0.5, Math.PI * 0.5, half, gap * 0.6, hole.stitch));
  else if (hole.far.long > 0) satin.push(zigzag(to, right, -half, half, hole.stitch * 0.6));
  return { satin, straight: [], slit, left, right };
}

/** What a sheet says of its hole. */
type Said = {
  opening: {
    length: { mm: number };
    across: { mm: number };
    ends: {
      near: { mm: number };
      far: { mm: number };
      near_finish: Finish;
      far_finish: Finish;
      eye: { mm: number };
    };
  };
  recipe: { space: { mm: number } };
};

/** Sewn so close where nothing else is known. */
const STITCH = 0.4;

export function figuresOf(sheet: Said, stitch = STITCH): HoleFigures {
  const { length, across, ends } = sheet.opening;
  return {
    length: length.mm,
    across: across.mm,
    space: sheet.recipe.space.mm,
    stitch,
    near: { finish: ends.near_finish, long: ends.near.mm },
    far: { finish: ends.far_finish, long: ends.far.mm },
    eye: ends.eye.mm,
  };
}
