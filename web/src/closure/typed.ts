// What somebody can have typed: single fields and rows of lists, and how they compare with what is saved.
import type { Closure, ListPath } from '../api/client';
import { planText, textOf } from '../api/client';

/** A row of a list as typed; `null` takes the row away. */
export type Row = Record<string, string>;
export type Value = string | null | Row;
/** What was typed, and what was saved when that was begun. */
export type Entry = { value: Value; before: string };

export const LISTS: readonly ListPath[] = ['placket.pins', 'placket.keep_outs'];

/** The list a path belongs to, and its row: `placket.pins.b7`. */
export function rowOf(path: string): { list: ListPath; id: string } | undefined {
  const list = LISTS.find((other) => path.startsWith(`${other}.`));
  return list && { list, id: path.slice(list.length + 1).split('.')[0] ?? '' };
}

/** The path of the entry that a fault's path is about. */
export function entryPath(fault: string): string {
  const row = rowOf(fault);
  return row ? `${row.list}.${row.id}` : fault;
}

/** What a row says beside what is typed in it. */
const WORKED_OUT = ['upper', 'lower'];

/** The rows of a list as they are saved, as somebody would type them. */
export function savedRows(closure: Closure, list: ListPath): { id: string; row: Row }[] {
  return closure.plan[list].map(({ id, ...row }) => ({
    id,
    row: Object.fromEntries(
      Object.entries(row)
        .filter(([name]) => !WORKED_OUT.includes(name))
        .map(([name, value]) => [name, textOf(value)]),
    ),
  }));
}

/** What is saved at a path, in one spelling. */
export function savedText(closure: Closure, path: string): string {
  const row = rowOf(path);
  const stage = path.startsWith('settled.') && path.slice('settled.'.length);
  if (stage) return closure.sheet.stages.find((one) => one.word === stage)?.state === 'tied' ? 'yes' : '';
  if (!row) return planText(closure, path);
  const found = savedRows(closure, row.list).find((other) => other.id === row.id);
  return found ? spelled(found.row) : '';
}

function spelled(value: Value): string {
  if (value === null || typeof value === 'string') return value ?? '';
  return JSON.stringify(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)));
}

export const same = (one: Value, other: Value): boolean => spelled(one) === spelled(other);
