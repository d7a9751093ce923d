// What was done here and is not yet in what the server gave out, laid over it: steps done are gone, what was taken back
// is there again, and the way out of a mishap comes first. Nothing of it is worked out: all of it was given out before.
import type { SessionStep } from '../api/client';
import { both, type Deed } from '../outbox/press';

/** As much of an id as the steps out of it are known by. */
const short = (id: string): string => id.slice(0, 8);

/** Steps out of a mishap, as they were given out for it: only its id is put in. */
export function wayOut(deed: Extract<Deed, { kind: 'mishap' }>): SessionStep[] {
  const { id, row, step, closure } = deed;
  return row.steps.map((one) => {
    const key = one.key.replace('{id}', short(id));
    const at = one.asks && step.hole !== null ? { at: String(step.hole) } : {};
    return {
      ...step,
      id: `${closure}:rescue:${key}`,
      closure,
      block: 'rescue',
      key,
      name: 'rescue',
      rescue: short(id),
      part: one.part,
      does: one.does,
      how: one.how,
      symptom: null,
      caution: one.caution,
      near: false,
      figure: null,
      look: false,
      opens: false,
      dry_wait: false,
      asks: one.asks as SessionStep['asks'],
      mishaps: step.mishaps.filter((other) => other === 'power_gone' || other === 'something_else'),
      enter: [{ id: both(one.id, id), kind: 'step', step: key, closure, moves: one.moves, with: {}, ...at }],
    };
  });
}

/** A step that is done once more, after something undid it: its facts are others. */
export function onceMore(step: SessionStep, undone: string): SessionStep {
  return { ...step, enter: step.enter.map((entry) => ({ ...entry, id: both(entry.id, undone) })) };
}

/** Steps of this hole, this button or the test that are done again after a mishap: as they were given out. */
function again(deed: Extract<Deed, { kind: 'mishap' }>, past: SessionStep[]): SessionStep[] {
  const turn = deed.step.turn ?? 'hole';
  const found = past.filter(
    (step) =>
      step.closure === deed.closure &&
      step.hole === deed.step.hole &&
      (step.turn ?? turn) === turn &&
      deed.row.again.includes(step.name),
  );
  return found
    .filter((step, index) => found.findIndex((other) => other.id === step.id) === index)
    .map((step) => onceMore(step, deed.id));
}

export function overlay(steps: SessionStep[], deeds: Deed[], past: SessionStep[]): SessionStep[] {
  let list = steps;
  for (const deed of deeds) {
    if (deed.kind === 'done') list = list.filter((step) => step.id !== deed.step.id);
    else if (deed.kind === 'back') list = [deed.step, ...list.filter((step) => step.id !== deed.step.id)];
    else if (deed.kind === 'unwrong') list = list.filter((step) => step.rescue !== short(deed.id));
    else {
      const anew = again(deed, past);
      const ids = anew.map((step) => step.id);
      list = [...wayOut(deed), ...anew, ...list.filter((step) => !ids.includes(step.id))];
    }
  }
  return list;
}
