import type { Sheet } from '../api/client';

type Way = Sheet['recipe']['ways']['offered'][number];

/** What there is to print of what a plan closes by. */
export interface Papers {
  /** The other way it closes, if any. */
  way: Way | undefined;
  /** One of it at true size: a loop or a stud is not laid on its mark from a card. */
  card: boolean;
  /** What the machine is set to. */
  machine: boolean;
}

export function papersOf(sheet: Sheet): Papers {
  const { chosen, instead, offered } = sheet.recipe.ways;
  const way = offered.find((one) => one.key === chosen);
  return { way, card: !instead || way?.opens === true, machine: !instead };
}
