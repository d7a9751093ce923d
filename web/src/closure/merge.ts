// Another tab or device saved in between: entries it left alone are sent again, the others are
// asked about.
import type { Closure } from '../api/client';
import { rowOf, savedText, type Entry } from './typed';

/** Something that was changed here and elsewhere. */
export type Conflict = { path: string; mine: string; theirs: string };

/** Whether a figure as shown is what was typed, with or without its unit. */
export function sameFigure(shown: string, typed: string): boolean {
  const bare = (text: string) => text.trim().replace(/\s*(mm|cm|in|")$/, '');
  return bare(shown) === bare(typed);
}

/** What stands in the way of sending these entries onto what is there now. */
export function conflicts(entries: Record<string, Entry>, current: Closure): Conflict[] {
  return Object.entries(entries).flatMap(([path, { value, before }]) => {
    const theirs = savedText(current, path);
    if (theirs === before) return [];
    if (rowOf(path)) return [{ path, mine: 'my row', theirs: theirs ? 'theirs' : '' }];
    const mine = typeof value === 'string' ? value : '';
    return sameFigure(theirs, mine) ? [] : [{ path, mine, theirs }];
  });
}
