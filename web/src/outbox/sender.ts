// The sender tells what waits, one list at a time, whichever tab it is: a fact that cannot be kept is set aside and
// seen, one that the server fails over again and again lets the others pass, and nobody's answer loses anything.
import { ask } from '../api/ask';
import { client } from '../api/client';
import { meaning, type Meaning } from './policy';
import { entriesOf, waits, type Press } from './press';
import type { OutboxStore } from './store';

/** So many facts go in one list: well below what a body may be long. */
const LIST = 40;
/** So often one press is tried alone before others go past it. */
const TRIES = 3;

export type Sent = 'all' | 'silent' | 'sign_in' | 'failing';

export class Sender {
  /** How often the server failed over a press. */
  private readonly failed = new Map<number, number>();
  /** One press at a time, until the one is found for which a list of several was not taken. */
  private alone = false;

  constructor(
    readonly slug: string,
    private readonly store: OutboxStore,
    private readonly clock: () => number,
  ) {}

  /** Presses that the server fails over. */
  get failing(): number[] {
    return [...this.failed].filter(([, times]) => times >= TRIES).map(([n]) => n);
  }

  /** Failing ones are tried again. */
  again(): void {
    this.failed.clear();
  }

  /** Tells all that waits. @param changed is called whenever what waits has changed */
  async send(changed: () => Promise<void>): Promise<Sent> {
    for (;;) {
      const waiting = (await this.store.all(this.slug)).filter(waits);
      const list = this.list(waiting.filter(({ n }) => !this.failing.includes(n)));
      if (list.length === 0) {
        this.alone = false;
        return waiting.length ? 'failing' : 'all';
      }
      const stop = await this.deal(list, await this.tell(list));
      if (stop) return stop;
      await changed();
    }
  }

  private list(waiting: Press[]): Press[] {
    let facts = 0;
    const list = waiting.filter((press) => (facts += press.facts.length) <= LIST);
    return this.alone || list.length === 0 ? waiting.slice(0, 1) : list;
  }

  private async tell(list: Press[]): Promise<Meaning> {
    const sent_at = new Date(this.clock()).toISOString();
    const entries = entriesOf(list).map((entry) => ({ ...entry, sent_at }));
    const params = { path: { slug: this.slug }, header: { 'X-Device': await this.store.device() } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/journal', { params, body: { entries } }));
    return meaning(
      answer,
      entries.map(({ id }) => id),
    );
  }

  /** @returns why nothing more can be told now */
  private async deal(list: Press[], found: Meaning): Promise<Sent | undefined> {
    const [first] = list;
    if (!first) return undefined;
    switch (found.kind) {
      case 'answered':
        for (const press of list) await this.settle(press, found.of);
        return undefined;
      case 'away':
        return found.why;
      case 'refused':
        if (list.length === 1) await this.store.refuse(first, found.why);
        this.alone = list.length > 1;
        return undefined;
      case 'failed':
        return this.fails(list, first);
    }
  }

  private async settle(press: Press, of: Map<string, { answer: string; why: string }>): Promise<void> {
    this.failed.delete(press.n);
    const refused = press.facts.flatMap(({ id }) => {
      const answer = of.get(id);
      return answer?.answer === 'refused' ? [answer.why] : [];
    });
    if (refused[0] === undefined) await this.store.told(press);
    else await this.store.refuse(press, refused[0]);
  }

  /** What fails while the server is well is at fault itself: the others go past it. */
  private async fails(list: Press[], first: Press): Promise<Sent | undefined> {
    if (!(await this.well())) return 'silent';
    if (list.length === 1) this.failed.set(first.n, (this.failed.get(first.n) ?? 0) + 1);
    this.alone = !this.failing.includes(first.n);
    return undefined;
  }

  private async well(): Promise<boolean> {
    return (await ask(client.GET('/api/health'))).kind === 'data';
  }
}
