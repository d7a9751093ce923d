// How the stages are called in addresses: by the words on the screen. Older addresses lead there too.
import type { StageWord } from '../api/client';

const ADDRESSES: Record<StageWord, string> = {
  cloth: 'fabric',
  button: 'button',
  opening: 'length',
  placket: 'placement',
  recipe: 'settings',
  swatch: 'test',
  sewing: 'sew',
  attach: 'sew-on',
  print: 'print',
};

export const addressOf = (word: StageWord): string => ADDRESSES[word];

/** The stage at an address, of today or of before; the first where there is none of that name. */
export function stageAt(address: string): StageWord {
  const words = Object.keys(ADDRESSES) as StageWord[];
  return (
    words.find((word) => ADDRESSES[word] === address) ?? words.find((word) => word === address) ?? 'cloth'
  );
}
