// The line that says what needs buttonholes, as it is typed; the answer to it, and what was chosen instead of what was
// assumed. Nothing is kept before Enter; what is typed stays in the browser.
import { ask, words } from '../../api/ask';
import { keep, recall } from '../../api/browser_store';
import { client, type FirstAnswer } from '../../api/client';

/** After so long without a key, milliseconds. */
const PAUSE = 200;

/** A part of the line. mark - whether it was understood; none for commas and spaces. */
export type Piece = { text: string; mark?: 'understood' | 'unread' };

export class Request {
  text = $state('');
  answer = $state.raw<FirstAnswer>();
  failed = $state('');
  keeping = $state(false);
  /** The line that the answer is for. */
  private answered = $state('');
  private chosen: Record<string, string> = {};
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly slug: string) {
    this.text = recall<string>(this.key) ?? '';
    if (slug && this.line) void this.look();
  }

  private get key() {
    return `request:${this.slug}`;
  }
  private get line() {
    return this.text.trim();
  }
  /** Whether the answer is that to the line as it stands. */
  get fresh(): boolean {
    return this.answer !== undefined && this.answered === this.line;
  }

  typed(): void {
    keep(this.key, this.line || undefined);
    clearTimeout(this.timer);
    if (this.line) {
      this.timer = setTimeout(() => void this.look(), PAUSE);
      return;
    }
    this.answer = undefined;
    this.chosen = {};
    this.failed = '';
  }

  clear(): void {
    this.text = '';
    this.typed();
  }

  choose(path: string, value: string): void {
    this.chosen = { ...this.chosen, [path]: value };
    void this.look();
  }

  async look(): Promise<void> {
    const { body, line } = this;
    const answer = await ask(client.POST('/api/workrooms/{slug}/request', body));
    if (line !== this.line) return;
    this.failed = words(answer);
    if (answer.kind !== 'data') return;
    this.answer = answer.data;
    this.answered = line;
  }

  /** Enter shows the plan of this line; once that is shown, Enter keeps it. */
  async enter(): Promise<{ id: number; left_behind?: string[] } | undefined> {
    if (!this.line || this.keeping) return undefined;
    clearTimeout(this.timer);
    if (!this.fresh || !this.answer?.answer) {
      await this.look();
      return undefined;
    }
    this.keeping = true;
    const answer = await ask(client.POST('/api/workrooms/{slug}/request/keep', this.body));
    this.keeping = false;
    this.failed = words(answer);
    if (answer.kind !== 'data') return undefined;
    keep(this.key, undefined);
    return answer.data;
  }

  private get body() {
    const body = { text: this.line, chosen: this.chosen };
    return { params: { path: { slug: this.slug } }, body };
  }

  /** The line in pieces, as far as the answer is that to it. */
  get pieces(): Piece[] {
    if (!this.answer || !this.fresh) return [];
    const { understood, unread } = this.answer;
    const start = this.text.length - this.text.trimStart().length;
    const marked = [
      ...understood.map((span) => ({ ...span, mark: 'understood' as const })),
      ...unread.map((span) => ({ ...span, mark: 'unread' as const })),
    ].toSorted((one, other) => one.from - other.from);
    let at = 0;
    return marked.flatMap(({ from, to, mark }) => {
      const between = this.text.slice(at, start + from);
      at = start + to;
      return [{ text: between }, { text: this.text.slice(start + from, at), mark }];
    });
  }
}
