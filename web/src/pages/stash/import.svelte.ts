// StashImport sends a CSV and follows what becomes of its rows while they are read.
import { keep, recall } from '../../api/browser_store';
import { workroom } from '../../api/workroom.svelte';

export type Row = { row: number; name: string; fate: 'new' | 'changed' | 'bad'; why: string };
export type Counts = Record<'new' | 'changed' | 'same' | 'bad', number>;
/** What a column of the file is taken for; null is left out. */
export type Column = { given: string; ours: string | null };
type Line = Partial<Row> & { bytes?: number; summary?: Counts; problem?: string; columns?: Column[] };

/** Larger files are not even sent. */
const LARGEST = 4 * 1024 * 1024;
/** More rows than anybody reads; the counts are always whole. */
const SHOWN = 300;

/** What somebody said of columns is known the next time. */
const SAID = 'stash-columns';

export class StashImport {
  file = $state.raw<File>();
  rows = $state.raw<Row[]>([]);
  counts = $state.raw<Counts>();
  columns = $state.raw<Column[]>([]);
  /** What somebody said of columns, where it is not what was guessed. */
  private said: Record<string, string> = {};
  share = $state(0);
  busy = $state(false);
  done = $state(false);
  failed = $state('');

  async look(file: File): Promise<void> {
    this.file = file;
    this.columns = [];
    this.said = recall<Record<string, string>>(SAID) ?? {};
    await this.send('no');
  }

  /** Says what a column of the file is. */
  async mean(given: string, ours: string): Promise<void> {
    this.said = { ...this.said, [given]: ours };
    keep(SAID, this.said);
    await this.send('no');
  }

  async bringIn(): Promise<void> {
    await this.send('yes');
  }

  private async send(kept: 'yes' | 'no'): Promise<void> {
    if (!this.file) return;
    Object.assign(this, { rows: [], counts: undefined, share: 0, done: false, failed: '' });
    if (this.file.size > LARGEST) {
      this.failed = 'That file is larger than 4 MB: too much at once.';
      return;
    }
    this.busy = true;
    try {
      const asked = new URLSearchParams({ keep: kept, columns: JSON.stringify(this.said) });
      const answer = await fetch(workroom.file(`/stash/import?${asked}`), {
        method: 'POST',
        headers: { 'Content-Type': 'text/csv', 'X-Nimble-Eyelet': '1' },
        body: this.file,
      });
      if (answer.ok && answer.body) await this.follow(answer.body);
      else this.failed = ((await answer.json()) as { detail: string }).detail;
      this.done = kept === 'yes' && this.counts !== undefined && !this.failed;
      if (!this.counts && !this.failed)
        this.failed = 'The answer broke off: look at the stash, then try again.';
    } catch {
      this.failed = 'The server does not answer. The file is still here; try again in a moment.';
    } finally {
      this.busy = false;
    }
  }

  private async follow(body: ReadableStream<Uint8Array>): Promise<void> {
    const reader = body
      .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
      .getReader();
    let rest = '';
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      const lines = (rest + value).split('\n');
      rest = lines.pop() ?? '';
      this.take(lines.map((line) => JSON.parse(line) as Line));
    }
  }

  private take(lines: Line[]): void {
    const rows = lines.filter((line): line is Row => line.fate !== undefined);
    if (rows.length && this.rows.length < SHOWN) this.rows = [...this.rows, ...rows].slice(0, SHOWN);
    for (const line of lines) {
      if (line.bytes) this.share = line.bytes / Math.max(this.file?.size ?? 1, 1);
      if (line.problem) this.failed = line.problem;
      if (line.summary) this.counts = line.summary;
      if (line.columns) this.columns = line.columns;
    }
  }
}
