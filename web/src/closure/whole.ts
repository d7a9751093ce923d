// A closure is asked for the stage that is looked at, and for the whole when there is time: another stage then shows at
// once, and all of them without a connection.
import type { Closure, Sheet, StageWord } from '../api/client';

/** Whether all that a stage shows is there. */
export function covers(closure: Closure | undefined, station: StageWord): boolean {
  return closure !== undefined && (!closure.station || closure.station === station);
}

/** What is known now, with the stages as they were seen last: without a connection that is better than nothing. */
export function filledUp(now: Closure, seen: Closure): Closure {
  const { button, placket, stages, faults, edge_lies, ledger }: Sheet = now.sheet;
  const sheet = { ...seen.sheet, button, placket, stages, faults, edge_lies, ledger };
  return { ...now, station: null, sheet };
}
