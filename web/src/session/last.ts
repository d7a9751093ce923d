// What was done last in a session, what can go wrong at a step, and whether a session that was kept can be laid out.
import type { Session, SessionMishap, SessionStep } from '../api/client';
import { takesBack, type Press } from '../outbox/press';

/** What was done last: the facts that say so, and what of it is laid out again. */
export type Undoable = { ids: string[]; step?: SessionStep; mishap?: string };

/** What waits here was done last; once all is told and shown, it may have been done on another screen. */
export function doneLast(
  presses: Press[],
  past: SessionStep[],
  doc: Session | undefined,
): Undoable | undefined {
  const back = presses.flatMap(takesBack);
  const own = presses.findLast(
    ({ deed, facts }) =>
      (deed?.kind === 'done' || deed?.kind === 'mishap') && facts.some(({ id }) => !back.includes(id)),
  );
  if (own?.deed?.kind === 'done') return { ids: own.facts.map(({ id }) => id), step: own.deed.step };
  if (own?.deed?.kind === 'mishap') return { ids: [own.deed.id], mishap: own.deed.id };
  const ids = doc?.last.entries.filter((id) => !back.includes(id)) ?? [];
  if (ids.length === 0) return undefined;
  const step = past.findLast((one) => one.key === doc?.last.step);
  return { ids, ...(step ? { step } : {}) };
}

/** Mishaps that can happen at a step: its own, each with the way out that its closure has. */
export function mishapsAt(doc: Session, step: SessionStep): SessionMishap[] {
  const here = (row: SessionMishap) =>
    step.closure === null || !row.closures || row.closures.includes(step.closure);
  return step.mishaps.flatMap((key) => doc.mishaps.find((row) => row.key === key && here(row)) ?? []);
}

/** Steps that an older build kept cannot be laid out here. */
export function ofOlderPage(doc: Session): boolean {
  return doc.steps.some((step) => !('name' in step) || step.enter.some((entry) => !('id' in entry)));
}
