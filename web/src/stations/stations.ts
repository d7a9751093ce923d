// The stations by the word of their stage; the order is the order of the work. Each is loaded when
// somebody goes there, and fetched beforehand when there is time, so that a lost connection stops nobody.
import type { Component } from 'svelte';
import type { StageWord } from '../api/client';
import type { StationProps } from '../closure/station';

type Load = () => Promise<{ default: Component<StationProps> }>;

export const STATIONS: Record<StageWord, Load> = {
  cloth: () => import('./cloth/Cloth.svelte'),
  button: () => import('./button/Button.svelte'),
  opening: () => import('./opening/Opening.svelte'),
  placket: () => import('./placket/Placket.svelte'),
  recipe: () => import('./recipe/Recipe.svelte'),
  swatch: () => import('./swatch/Swatch.svelte'),
  sewing: () => import('./sewing/Sewing.svelte'),
  attach: () => import('./attach/Attach.svelte'),
  print: () => import('./print/Print.svelte'),
};

/** Fetches the stations nobody has been to yet.
 * @returns how many are there now */
export async function fetchAll(): Promise<number> {
  const fetched = await Promise.allSettled(Object.values(STATIONS).map((load) => load()));
  return fetched.filter(({ status }) => status === 'fulfilled').length;
}
