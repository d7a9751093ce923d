// Every call of the interface ends as one of three: what was asked for, a refusal in words, or
// nobody there. Whoever asks shows each of them.
import type { Problem } from './client';
import { who } from './who.svelte';

/** What openapi-fetch gives back. */
type Call<T> = Promise<{ data?: T; error?: unknown; response: Response }>;

export type Answer<T> =
  | { kind: 'data'; data: T; response: Response }
  | { kind: 'refused'; status: number; problem: Problem }
  | { kind: 'away'; signIn?: true };

/** That somebody answered. */
export type Answered<T> = Exclude<Answer<T>, { kind: 'away' }>;

/** Why nobody did. */
export function awayOf(answer: Answer<unknown>): '' | 'silent' | 'sign_in' {
  if (answer.kind !== 'away') return '';
  return answer.signIn ? 'sign_in' : 'silent';
}

export const AWAY = 'The server does not answer. Try again in a moment.';

/** Answers that say the server is there, but cannot reach what it needs: the same as being away. */
const NOT_NOW = [502, 503, 504];
/** What stands between here and the server wants a name first, or wants to be asked later: nothing was refused. */
export const SIGN_IN = [401, 403, 407];
export const LATER = [408, 425, 429];

export async function ask<T>(call: Call<T>): Promise<Answer<T>> {
  const began = who.times;
  try {
    const { data, error, response } = await call;
    if (response.ok) return { kind: 'data', data: data as T, response };
    const { status } = response;
    if (NOT_NOW.includes(status) && !says(error)?.faults) return { kind: 'away' };
    // Nobody is signed in: our own server says so in words, a proxy without.
    if (status === 401 || (SIGN_IN.includes(status) && !says(error))) {
      if (status === 401 && says(error)) who.laps(began);
      return { kind: 'away', signIn: true };
    }
    if (LATER.includes(status) && !says(error)) return { kind: 'away' };
    return { kind: 'refused', status, problem: says(error) ?? unsaid(status) };
  } catch {
    return { kind: 'away' };
  }
}

function says(error: unknown): Problem | undefined {
  return typeof error === 'object' && error !== null && 'detail' in error ? (error as Problem) : undefined;
}

function unsaid(status: number): Problem {
  return { type: 'about:blank', title: '', status, detail: 'The server gave an answer that makes no sense.' };
}

/** What to show of an answer that brought nothing, in one sentence. */
export function words(answer: Answer<unknown>): string {
  if (answer.kind === 'data') return '';
  return answer.kind === 'away' ? AWAY : answer.problem.detail;
}

/** Faults of a refusal by their field; none for any other answer. */
export function faultsOf(answer: Answer<unknown>): Record<string, string> {
  if (answer.kind !== 'refused') return {};
  return Object.fromEntries((answer.problem.faults ?? []).map((fault) => [fault.field, fault.allowed]));
}

/** A form: its faults beside the fields, and a sentence where no field is to blame. */
export function refusal(answer: Answer<unknown>): { faults: Record<string, string>; failed: string } {
  const faults = faultsOf(answer);
  if (answer.kind === 'away')
    return { faults, failed: 'The server does not answer. What you typed stays here.' };
  return { faults, failed: Object.keys(faults).length ? '' : words(answer) };
}

/** For reads through a query, which tries again by itself: data, or thrown. */
export class Unanswered extends Error {
  constructor(readonly answer: Exclude<Answer<unknown>, { kind: 'data' }>) {
    super(words(answer));
  }
}

export async function read<T>(call: Call<T>): Promise<T> {
  const answer = await ask(call);
  if (answer.kind === 'data') return answer.data;
  throw new Unanswered(answer);
}

/** Why a read was refused, in words; empty where nobody answered. */
export const refusedIn = (error: unknown): string =>
  error instanceof Unanswered && error.answer.kind === 'refused' ? error.answer.problem.detail : '';

/** Whether a read failed because the thing is not there any more. */
export function gone(error: unknown): boolean {
  return error instanceof Unanswered && error.answer.kind === 'refused' && error.answer.status === 404;
}
