// The stations by the word of their stage; the order is the order of the work.
import type { Component } from 'svelte';
import type { Closure, Sheet, StageWord } from '../api/client';
import type { ClosureState } from '../api/closure.svelte';
import Attach from './attach/Attach.svelte';
import Button from './button/Button.svelte';
import Opening from './opening/Opening.svelte';
import Placket from './placket/Placket.svelte';
import Print from './print/Print.svelte';
import Recipe from './recipe/Recipe.svelte';
import Sewing from './sewing/Sewing.svelte';
import Swatch from './swatch/Swatch.svelte';

export type StationProps = {
  work: ClosureState;
  closure: Closure;
  sheet: Sheet;
  /** Number of the hole picked on the run, or 0. */
  picked: number;
  pick: (hole: number) => void;
  go: (word: StageWord) => void;
};

export const STATIONS: Record<StageWord, Component<StationProps>> = {
  button: Button,
  opening: Opening,
  placket: Placket,
  recipe: Recipe,
  swatch: Swatch,
  sewing: Sewing,
  attach: Attach,
  print: Print,
};
