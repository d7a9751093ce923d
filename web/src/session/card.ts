// Beats that are done in one go. From the third hole of a kind on a hole is one card: its words are known by then, and
// only its figure is new. What is one step a place, cutting open, a button or a loop, is one card for all that are left.
// What is set on the machine before, and put back after, can be ticked as one list.
import type { SessionClosure, SessionStep } from '../api/client';

/** Holes sewn beat by beat before their beats are one card. */
const LEARNED = 2;

/** A sentence without its figures. */
const words = (step: SessionStep): string => step.does.replace(/[\d.,/ ]+/g, ' ');
const ofHole = (step: SessionStep): boolean =>
  step.turn === 'hole' && step.hole !== null && step.rescue === null;
/** It has to be answered or waited for by itself. */
const alone = (step: SessionStep): boolean => step.asks !== null || step.dry_wait || step.rescue !== null;

/** It sets the machine and nothing else, outside any hole. */
const setting = (step: SessionStep): boolean => step.sets_only && step.turn === null && !alone(step);

/** One step a place, done one place after the other with the same tool in the hand. */
const ROWS = ['open', 'button', 'worked'];
const ofRow = (step: SessionStep): boolean => ROWS.includes(step.name) && !alone(step);

// A caution that was never shown, such as that of an empty bobbin, is not folded away.
const told = (step: SessionStep) => `${step.name} ${words(step)} ${step.caution ?? ''}`;

/** Whether its rest is told in full the first time: where a blade or a needle over a button can slip. */
export const toldInFull = (step: SessionStep, past: SessionStep[]): boolean =>
  (step.opens || step.turn === 'button') &&
  !past.some((one) => one.closure === step.closure && one.name === step.name && one.id !== step.id);

/** Whether a card of beats like this one was sewn before: then its pictures are enough. */
export const beatsKnown = (card: SessionStep[], past: SessionStep[]): boolean =>
  new Set(
    past
      .filter((one) => one.closure === card[0]?.closure && one.name === 'sew' && one.rescue === null)
      .map((one) => one.hole),
  ).size > LEARNED;

/** Whether a card is the same step at several places. */
export const isRow = (card: SessionStep[]): boolean =>
  card.length > 1 && card.every((step) => ofRow(step) && step.name === card[0]?.name);

/** Steps from the one at hand on that belong together. */
function leading(steps: SessionStep[], same: (step: SessionStep) => boolean): SessionStep[] {
  const end = steps.findIndex((step) => !same(step));
  return end < 0 ? steps : steps.slice(0, end);
}

/** What one press of Done does.
 * @param past steps done before, the oldest first
 * @param singly whether somebody wants every step by itself
 * @param weak names of steps that went wrong in practice: each is ticked by itself
 * @returns the step at hand, or all beats of its hole */
export function cardOf(
  steps: SessionStep[],
  past: SessionStep[],
  singly: boolean,
  weak: ReadonlyMap<string, unknown> = new Map(),
): SessionStep[] {
  const [first] = steps;
  if (!first) return [];
  if (singly || alone(first)) return [first];
  const row = rowFrom(first, steps, past);
  if (row.length > 1) return row;
  if (!ofHole(first)) return [first];
  const beats = leading(
    steps,
    (step) => ofHole(step) && step.closure === first.closure && step.hole === first.hole && !alone(step),
  );
  const before = past.filter(
    (step) => ofHole(step) && step.closure === first.closure && step.hole !== first.hole,
  );
  const sewn = new Set(before.filter((step) => step.name === 'sew').map((step) => step.hole));
  const known = new Set(before.map(told));
  if (sewn.size < LEARNED || !beats.every((step) => known.has(told(step)))) return [first];
  const twice = beats.findIndex((step) => weak.has(step.name));
  return twice < 0 ? beats : beats.slice(0, Math.max(twice, 1));
}

/** The places that are left, where the same was done at two of them. */
function rowFrom(first: SessionStep, steps: SessionStep[], past: SessionStep[]): SessionStep[] {
  const same = (step: SessionStep) =>
    ofRow(step) && step.closure === first.closure && told(step) === told(first);
  return past.filter(same).length >= LEARNED ? leading(steps, same) : [];
}

/** What is set on the machine one thing after the other, from the step at hand on; nothing where there is only one. */
export function settingsAhead(steps: SessionStep[]): SessionStep[] {
  const [first] = steps;
  if (!first || !setting(first)) return [];
  const whose = steps.find((step) => step.closure !== null)?.closure ?? null;
  const list = leading(steps, (step) => setting(step) && (step.closure ?? whose) === whose);
  return list.length > 1 ? list : [];
}

/** The beat of a card that this goes wrong at: of those where it can, the sewing. */
export function beatOf(card: SessionStep[], mishap: string): SessionStep | undefined {
  const able = card.filter((step) => step.mishaps.includes(mishap));
  return able.find((step) => step.name === 'sew') ?? able.at(-1) ?? card[0];
}

/** What a card says to do. */
export function headlineOf(card: SessionStep[], closure: SessionClosure | undefined): string {
  const [first] = card;
  if (!first || card.length === 1) return first?.does ?? '';
  if (isRow(card)) {
    if (first.name === 'open') return `Cut the last ${card.length} holes open.`;
    if (first.name === 'button') return `Sew on the last ${card.length} ${closure?.passes ?? 'button'}s.`;
    return `Do the last ${card.length} ${closure?.noun ?? 'hole'}s the same way.`;
  }
  const number = closure?.holes.find((hole) => Math.abs(hole.at - (first.hole ?? -1)) < 0.01)?.number;
  return `Sew ${closure?.noun ?? 'hole'} ${number ?? ''}.`;
}
