// What the keys do, by the screen one is on.
export type Key = [keys: string, does: string];

const EVERYWHERE: Key[] = [
  ['?', 'this help'],
  ['/', 'say what needs buttonholes'],
  ['Tab', 'to the next field'],
  ['Escape', 'closes a dialog or a menu'],
];
const STAGES: Key[] = [
  ['1 to 9', 'to a stage'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Alt C', 'reads the caliper into the field you are in'],
  ['Arrows', 'move the hole, pin or seam you are on'],
  ['P', 'a button must be here'],
  ['K', 'keep this place clear'],
];

export const PRACTISED = 'practice';
const PRACTICE: Key[] = [
  ['Space', 'held: the pedal. With Shift: pressed hard'],
  ['Down, Up', 'turn the hand wheel towards you, away from you'],
  ['Arrows', 'on the fabric: move it by half a millimetre'],
];

/** @param stage the word of a stage, `practice`, or nothing */
export function keysOf(stage: string): Key[] {
  if (stage === PRACTISED) return [...PRACTICE, ...EVERYWHERE];
  return stage ? [...STAGES, ...EVERYWHERE] : EVERYWHERE;
}
