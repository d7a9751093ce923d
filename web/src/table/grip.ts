// What can be taken hold of on the run, and what is typed of it where it lies by now.
import type { PlanChange } from '../api/client';
import type { Row } from '../closure/typed';
import type { ClosureWork } from '../closure/work.svelte';

export type Grip =
  | { kind: 'pin'; id: string }
  | { kind: 'keep'; id: string; end: 'both' | 'from' | 'to' }
  | { kind: 'first' }
  | { kind: 'last' };

/** As a length is typed. */
export const millimetres = (mm: number): string => `${Number(mm.toFixed(4))}mm`;

function row(work: ClosureWork, list: 'placket.pins' | 'placket.keep_outs', id: string): Row {
  return work.rows(list).find((other) => other.id === id)?.row ?? {};
}

export function pinAt(work: ClosureWork, id: string, at: number): Row {
  return { ...row(work, 'placket.pins', id), at: millimetres(at) };
}

/** A stretch whose held end was moved from one place to another. */
export function keepOutAt(
  work: ClosureWork,
  grip: Extract<Grip, { kind: 'keep' }>,
  before: number,
  now: number,
): Row {
  const typed = row(work, 'placket.keep_outs', grip.id);
  const saved = work.closure?.plan['placket.keep_outs'].find((other) => other.id === grip.id);
  if (!saved) return typed;
  const by = now - before;
  // A seam is one place: it moves as a whole.
  if (!saved.to) return { ...typed, from: millimetres(saved.from.mm + by), to: '' };
  const from = grip.end === 'to' ? saved.from.mm : saved.from.mm + by;
  const to = grip.end === 'from' ? saved.to.mm : saved.to.mm + by;
  return { ...typed, from: millimetres(Math.min(from, to)), to: millimetres(Math.max(from, to)) };
}

/** The change as it would be typed. */
export function changed(work: ClosureWork, grip: Grip, before: number, now: number): PlanChange {
  if (grip.kind === 'pin') return { 'placket.pins': { [grip.id]: pinAt(work, grip.id, now) } };
  if (grip.kind === 'keep') return { 'placket.keep_outs': { [grip.id]: keepOutAt(work, grip, before, now) } };
  return { [`placket.${grip.kind}`]: millimetres(now) };
}
