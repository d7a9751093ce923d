// What an answer to a list of facts means. Whatever does not name the facts is nobody's answer: a page to sign in at, a
// proxy that is in the way, a server that is being changed. Facts wait then, and nothing is lost.
import { LATER, SIGN_IN, type Answer } from '../api/ask';
import type { EntriesAnswered } from '../api/client';

export type Meaning =
  /** What became of each fact, by its id. */
  | { kind: 'answered'; of: Map<string, { answer: string; why: string }> }
  /** Nobody is there, or somebody stands before it who wants a name first. */
  | { kind: 'away'; why: 'silent' | 'sign_in' }
  /** It is there, and fails over this. */
  | { kind: 'failed' }
  /** It does not take this, all of it. */
  | { kind: 'refused'; why: string };

const TOO_MUCH = 'This is too large to save.';

export function meaning(answer: Answer<EntriesAnswered>, ids: string[]): Meaning {
  if (answer.kind === 'away') return { kind: 'away', why: answer.signIn ? 'sign_in' : 'silent' };
  if (answer.kind === 'data') return answered(answer.data, ids);
  // Our own server says what it wants of whom; whoever else stands in between does not.
  const ours = 'needs' in answer.problem;
  if (SIGN_IN.includes(answer.status) && !ours) return { kind: 'away', why: 'sign_in' };
  if (LATER.includes(answer.status)) return { kind: 'away', why: 'silent' };
  if (answer.status >= 500) return { kind: 'failed' };
  return { kind: 'refused', why: answer.status === 413 ? TOO_MUCH : answer.problem.detail };
}

/** A page that signs somebody in comes with 200 as well. */
function answered(data: EntriesAnswered | undefined, ids: string[]): Meaning {
  const list = typeof data === 'object' && Array.isArray(data.entries) ? data.entries : [];
  const of = new Map(list.map(({ id, answer, why }) => [id, { answer, why }]));
  return ids.every((id) => of.has(id)) ? { kind: 'answered', of } : { kind: 'away', why: 'sign_in' };
}
