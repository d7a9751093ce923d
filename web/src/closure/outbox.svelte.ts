// Outbox is what was done and waits to be told: facts for the journal, and settlings of the plan, in
// the order they were done. A refused one is set aside where it is seen, and blocks nothing.
import type { EntryTyped, StageWord } from '../api/client';

export type Fact = Omit<EntryTyped, 'sent_at' | 'happened_at'>;
export type Deed =
  | { kind: 'fact'; id: string; fact: Fact; at: string; says: string }
  | { kind: 'settle'; stage: StageWord; settled: boolean }
  | { kind: 'accept'; entry: string }
  | { kind: 'stand_in'; id: string; again?: string };

/** A deed the server could not take, and why. */
export type SetAside = { deed: Deed; why: string };

export class Outbox {
  deeds = $state<Deed[]>([]);
  aside = $state<SetAside[]>([]);

  constructor(deeds: Deed[] = []) {
    this.deeds = deeds;
  }

  get empty(): boolean {
    return this.deeds.length === 0;
  }

  get next(): Deed | undefined {
    return this.deeds[0];
  }

  add(deed: Deed): void {
    this.deeds.push(deed);
  }

  /** The first one arrived. */
  done(): void {
    this.deeds.shift();
  }

  /** The first one cannot be taken: the others go on. */
  setAside(why: string): void {
    const deed = this.deeds.shift();
    if (deed) this.aside.push({ deed, why });
  }

  /** Whether a step will be done once everything is told: what waits here comes after what is saved. */
  stepDone(key: string, saved: boolean, entry: string | null): boolean {
    let done = saved;
    let id = entry;
    for (const deed of this.deeds) {
      if (deed.kind !== 'fact') continue;
      if (deed.fact.step === key) {
        done = true;
        id = deed.id;
      } else if (deed.fact.kind === 'withdrawal' && deed.fact.about === id) done = false;
    }
    return done;
  }

  /** The fact that says a step is done, told or not. */
  factOf(key: string, entry: string | null): string | null {
    const waiting = this.deeds.findLast((deed) => deed.kind === 'fact' && deed.fact.step === key);
    return waiting?.kind === 'fact' ? waiting.id : entry;
  }

  /** Facts of one kind that wait. */
  waiting(kind: Fact['kind']): number {
    return this.deeds.filter((deed) => deed.kind === 'fact' && deed.fact.kind === kind).length;
  }
}
