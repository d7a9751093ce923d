// Draft is what was typed into a closure and the server has not confirmed: single fields and rows
// of lists alike, each by its path. A refused one holds back only itself.
import type { Closure, ListPath, PlanChange } from '../api/client';
import { entryPath, rowOf, same, savedRows, savedText, type Entry, type Row, type Value } from './typed';

export class Draft {
  entries = $state<Record<string, Entry>>({});
  /** What the server said about an entry, by the path of the fault. */
  faults = $state<Record<string, string>>({});
  /** Entries that wait until they are typed again. */
  private held = $state<string[]>([]);

  constructor(entries: Record<string, Entry> = {}) {
    this.entries = entries;
  }

  get paths(): string[] {
    return Object.keys(this.entries);
  }

  get empty(): boolean {
    return this.paths.length === 0;
  }

  /** How many entries cannot be taken as they are. */
  get refused(): number {
    return this.held.length;
  }

  type(path: string, value: Value, closure: Closure | undefined): void {
    const before = this.entries[path]?.before ?? (closure ? savedText(closure, path) : '');
    this.entries[path] = { value, before };
    this.release(path);
  }

  /** Drops one entry, and shows what is saved. */
  forget(path: string): void {
    delete this.entries[path];
    this.release(path);
  }

  /** What was typed at a path, if anything. */
  typed(path: string): string | null | undefined {
    const value = this.entries[path]?.value;
    return typeof value === 'object' && value !== null ? undefined : value;
  }

  /** The rows of a list as they are to be shown. */
  rows(closure: Closure | undefined, list: ListPath): { id: string; row: Row }[] {
    const saved = closure ? savedRows(closure, list) : [];
    const shown = saved.flatMap(({ id, row }) => {
      const entry = this.entries[`${list}.${id}`];
      if (!entry) return [{ id, row }];
      return entry.value === null ? [] : [{ id, row: { ...row, ...(entry.value as Row) } }];
    });
    const added = this.paths.flatMap((path) => {
      const row = rowOf(path);
      const value = this.entries[path]?.value;
      if (row?.list !== list || !value || saved.some(({ id }) => id === row.id)) return [];
      return [{ id: row.id, row: value as Row }];
    });
    return [...shown, ...added];
  }

  /** What to send now: neither refused nor waiting for a choice. */
  sendable(waiting: string[]): string[] {
    return this.paths.filter((path) => !this.held.includes(path) && !waiting.includes(path));
  }

  /** A body for these entries; `undefined` when there is nothing to say. */
  body(paths: string[]): PlanChange | undefined {
    const body: Record<string, unknown> = {};
    for (const path of paths) {
      const value = this.entries[path]?.value ?? null;
      const row = rowOf(path);
      if (row) ((body[row.list] ??= {}) as Record<string, Value>)[row.id] = value;
      else body[path] = path === 'machine.id' ? Number(value) : value;
    }
    return paths.length ? (body as PlanChange) : undefined;
  }

  /** They were taken: what was not typed on meanwhile is done. */
  confirm(sent: Record<string, Entry>): void {
    for (const [path, entry] of Object.entries(sent)) {
      const now = this.entries[path];
      if (now && same(now.value, entry.value)) delete this.entries[path];
    }
  }

  /** Holds back what the server could not take: the entries its faults name, else all that was sent. What was typed
   * otherwise meanwhile was not refused: it is sent next. */
  refuse(sent: Record<string, Entry>, faults: { field: string; allowed: string }[]): void {
    const paths = Object.keys(sent);
    const stands = (path: string): boolean => {
      const [now, then] = [this.entries[path], sent[path]];
      return now !== undefined && then !== undefined && same(now.value, then.value);
    };
    let culprits: string[] = [];
    for (const fault of faults) {
      const named = paths.filter((path) => path === entryPath(fault.field));
      const section = fault.field.split('.')[0] ?? '';
      const about = named.length ? named : paths.filter((path) => path.startsWith(`${section}.`));
      if (!about.length || about.some(stands)) this.faults[fault.field] = fault.allowed;
      culprits = [...culprits, ...about];
    }
    this.held = [...new Set([...this.held, ...(culprits.length ? culprits : paths).filter(stands)])];
  }

  /** The fault at a path, or of anything below it. */
  fault(path: string): string | undefined {
    return (
      this.faults[path] ?? Object.entries(this.faults).find(([field]) => field.startsWith(`${path}.`))?.[1]
    );
  }

  /** Drops what the server refused of a list: its own rows, where it is they that are at fault; else what was refused
   * of its whole section, since what is at fault may be in one list and what was typed in the other. */
  forgetRefused(list?: ListPath): void {
    const own = list && this.held.some((path) => path.startsWith(`${list}.`)) ? `${list}.` : undefined;
    const section = own ?? (list ? `${list.split('.')[0]}.` : '');
    for (const path of this.held) if (path.startsWith(section)) delete this.entries[path];
    this.held = this.held.filter((path) => path in this.entries);
    for (const field of Object.keys(this.faults)) if (field.startsWith(section)) delete this.faults[field];
  }

  /** Typing anywhere in a section gives its refused entries another chance. */
  private release(path: string): void {
    const section = `${path.split('.')[0]}.`;
    this.held = this.held.filter((other) => !other.startsWith(section));
    for (const field of Object.keys(this.faults)) if (field.startsWith(section)) delete this.faults[field];
  }
}
