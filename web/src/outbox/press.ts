// A press is what somebody said happened, all at one moment: facts that are told together, and what they do to a session
// that is laid out on the screen.
import type { EntryTyped, SessionMishap, SessionStep } from '../api/client';

/** What a press does to a session that is laid out. */
export type Deed =
  | { kind: 'done'; step: SessionStep }
  | { kind: 'back'; step: SessionStep }
  | { kind: 'mishap'; id: string; row: SessionMishap; step: SessionStep; closure: number }
  | { kind: 'unwrong'; id: string };

export type Fact = Omit<EntryTyped, 'id' | 'n' | 'press' | 'sent_at' | 'happened_at'>;
/** A fact and what it is called. */
export type Said = { id: string; fact: Fact };

export type NewPress = {
  slug: string;
  /** What its facts say that they were pressed together. */
  id: string;
  facts: Said[];
  /** When, by this browser's clock. */
  at: string;
  /** For whoever reads why it was refused. */
  says: string;
  closure?: number;
  session?: number;
  deed?: Deed;
};

/** One that is kept. n rises with every press of this browser. */
export type Press = NewPress & {
  n: number;
  /** The server has it; what is shown is older. */
  told?: boolean;
  /** Why the server does not take it. */
  refused?: string;
};

/** Numbers of the facts of a press lie within so many. */
const FACTS = 256;

/** Which of this browser's facts one is. */
export const numberOf = (press: Press, index: number): number => press.n * FACTS + index;

/** Facts of presses as they are told, but for when they are sent. */
export const entriesOf = (presses: Press[]): (Omit<EntryTyped, 'sent_at' | 'id'> & { id: string })[] =>
  presses.flatMap((press) =>
    press.facts.map(({ id, fact }, index) => ({
      ...fact,
      id,
      n: numberOf(press, index),
      press: press.id,
      happened_at: press.at,
    })),
  );

/** Ids of facts that a press takes back. */
export const takesBack = (press: NewPress): string[] => press.facts.flatMap(({ fact }) => fact.about ?? []);

/** A press still to be told. */
export const waits = (press: Press): boolean => !press.told && press.refused === undefined;

/** What a doing is called that nobody was given an id for: that of the doing before it, and that of what undid it. As
 * the server spells it (RFC 9562, version 8). */
export function both(one: string, other: string): string {
  const [a, b] = [one, other].map((id) => id.replaceAll('-', ''));
  const hex = Array.from(a ?? '', (digit, at) =>
    (parseInt(digit, 16) ^ parseInt(b?.[at] ?? '0', 16)).toString(16),
  );
  const part = (from: number, to: number): string => hex.slice(from, to).join('');
  return `${part(0, 8)}-${part(8, 12)}-8${part(13, 16)}-8${part(17, 20)}-${part(20, 32)}`;
}
