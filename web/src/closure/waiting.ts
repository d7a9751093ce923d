// What waits to be told, laid over what a document says of the steps: it came after what is saved.
import type { Fact, Said } from '../outbox/press';

/** Whether a step will be done once everything is told. */
export function stepDone(facts: Said[], key: string, saved: boolean, entry: string | null): boolean {
  let done = saved;
  let known = entry;
  for (const { id, fact } of facts) {
    if (fact.step === key) {
      done = true;
      known = id;
    } else if (fact.kind === 'withdrawal' && fact.about === known) done = false;
  }
  return done;
}

/** The fact that says a step is done, told or not. */
export function factOf(facts: Said[], key: string, entry: string | null): string | null {
  return facts.findLast(({ fact }) => fact.step === key)?.id ?? entry;
}

/** How many facts of one kind wait. */
export function count(facts: Said[], kind: Fact['kind']): number {
  return facts.filter(({ fact }) => fact.kind === kind).length;
}
