// A test hole that was not saved, on its way back into the form, to be said otherwise.
import type { Fact, Press } from './press';

class Correcting {
  press = $state.raw<Press>();

  /** What the form can hold of it; nothing where it is no test hole of these buttonholes. */
  of(closure: number): Fact | undefined {
    return this.press?.facts.find(({ fact }) => fact.kind === 'swatch' && fact.closure === closure)?.fact;
  }
}

export const correcting = new Correcting();
/** A second look stays one: it is said again from the hole it is about. */
export const corrects = (press: Press): boolean =>
  press.facts.some(({ fact }) => fact.kind === 'swatch' && !fact.again);
