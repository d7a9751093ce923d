// What advice changes: figures that can be set with one press, and what is left to the hands.
import type { Advice } from '../../api/client';

type Change = Advice['changes'][number];

/** Those that set something. */
export const settable = (changes: Change[]): Change[] =>
  changes.filter((change) => Object.keys(change.sets).length > 0);

/** All that they set, by path. */
export const sets = (changes: Change[]): Record<string, string> =>
  Object.assign({}, ...changes.map((change) => change.sets)) as Record<string, string>;
