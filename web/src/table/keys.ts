// Keys of the table: back and forth, to a station, and the caliper into the field that has the focus.
import { tinykeys } from 'tinykeys';
import { readHere } from '../closure/caliper.svelte';
import { shortcuts } from './shortcuts.svelte';

type Acts = { undo: () => void; redo: () => void; to: (number: number) => void; stations: number };

/** @returns how to stop */
export function stationKeys({ undo, redo, to, stations }: Acts): () => void {
  const when = (may: (event: KeyboardEvent) => boolean, act: () => void) => (event: KeyboardEvent) => {
    if (!may(event)) return;
    event.preventDefault();
    act();
  };
  const free = (event: KeyboardEvent) => shortcuts.free(event);
  const single = (event: KeyboardEvent) => shortcuts.single(event);
  const numbers = Array.from({ length: stations }, (_, index) => index + 1);
  return tinykeys(window, {
    '$mod+z': when(free, undo),
    '$mod+Shift+Z': when(free, redo),
    'Alt+KeyC': readHere,
    ...Object.fromEntries(numbers.map((number) => [String(number), when(single, () => to(number))])),
  });
}
