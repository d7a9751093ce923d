// What every station is given.
import type { Closure, Sheet, StageWord } from '../api/client';
import type { ClosureWork } from './work.svelte';

export type StationProps = {
  work: ClosureWork;
  closure: Closure;
  sheet: Sheet;
  /** Number of the hole picked on the run, or 0. */
  picked: number;
  pick: (hole: number) => void;
  go: (word: StageWord) => void;
};
