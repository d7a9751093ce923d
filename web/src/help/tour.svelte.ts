// A tour of the example: one place after the other, left at any time and taken up where it was left.
import { keep, recall } from '../api/browser_store';
import { workroom } from '../api/workroom.svelte';
import { go } from '../router';
import { announce } from '../ui/announce.svelte';

type Stop = {
  says: string;
  /** Which buttonholes of the example, in the order in which they were begun. */ of?: number;
  /** Where in the workroom, or of those buttonholes. */ at: string;
};

const STOPS: Stop[] = [
  { at: '', says: 'Say what needs buttonholes. One line is enough.' },
  { of: 0, at: '/fabric', says: 'First the fabric. It decides needle, thread and interfacing.' },
  { of: 0, at: '/button', says: 'Measure the button: across, and how thick it is.' },
  { of: 0, at: '/length', says: 'That gives the length of the hole.' },
  { of: 0, at: '/placement', says: 'Here the holes have their places. Drag one, or type.' },
  { of: 0, at: '/settings', says: 'Set your machine like this. Tap a dial for other values.' },
  { of: 2, at: '/test', says: 'Sew a test and say what you see. You get what to change.' },
  { of: 0, at: '/sew', says: 'Then the row, one hole after the other.' },
  { at: '/swatches', says: 'What worked is kept for next time.' },
];

const KEY = 'tour';

class Tour {
  /** Which stop, from 0; nothing when nobody is on it. */
  at = $state<number | undefined>(recall<number>(KEY));
  private left = $state(0);

  get stop(): Stop | undefined {
    return this.at === undefined || !workroom.data?.sample ? undefined : STOPS[this.at];
  }

  readonly length = STOPS.length;

  get last(): boolean {
    return this.at === STOPS.length - 1;
  }

  /** @param slug of the example */
  async begin(slug: string): Promise<void> {
    await this.show(workroom.data?.slug === slug ? this.left : 0, slug);
  }

  async move(by: 1 | -1): Promise<void> {
    const to = Math.min(STOPS.length - 1, Math.max(0, (this.at ?? 0) + by));
    await this.show(to, workroom.slug);
  }

  /** It is taken up here, unless it was seen to its end. */
  leave(): void {
    this.left = this.last ? 0 : (this.at ?? 0);
    this.at = undefined;
    keep(KEY, undefined);
  }

  private async show(to: number, slug: string): Promise<void> {
    const stop = STOPS[to];
    if (!stop) return;
    this.at = to;
    keep(KEY, to);
    await go(`/w/${slug}${stop.of === undefined ? '' : `/closures/${closure(stop.of)}`}${stop.at}`);
    announce(stop.says);
  }
}

/** Those that were begun first have the lowest numbers. */
function closure(index: number): number {
  const ids = (workroom.data?.garments ?? []).flatMap((one) => one.closures.map((part) => part.id));
  const sorted = ids.toSorted((one, other) => one - other);
  return sorted[index] ?? sorted[0] ?? 1;
}

export const tour = new Tour();
