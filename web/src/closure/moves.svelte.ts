// Moves are what is asked of the server about a closure as a whole: back and forth between its revisions, and a test
// hole from the machine that stands in.
import type { Answer } from '../api/ask';
import { uuid } from '../api/browser_store';
import type { Closure, StageWord } from '../api/client';
import { announce } from '../ui/announce.svelte';
import type { Requests } from './requests';
import type { Saver } from './saver.svelte';

/** Whose they are. */
export type Moved = {
  readonly closure: Closure | undefined;
  readonly station: StageWord;
  take: (closure: Closure) => void;
  last: { id: string; says: string } | undefined;
};

export class Moves {
  /** The machine that stands in sews a test hole. */
  simulating = $state(false);

  constructor(
    private readonly of: Moved,
    private readonly saver: Saver,
    private readonly requests: Requests,
  ) {}

  async undo(): Promise<void> {
    await this.go(
      (seen) => this.requests.move('undo', seen, this.of.station),
      `Undone: ${this.of.closure?.undo ?? ''}.`,
    );
  }

  async redo(): Promise<void> {
    await this.go(
      (seen) => this.requests.move('redo', seen, this.of.station),
      `Done again: ${this.of.closure?.redo ?? ''}.`,
    );
  }

  async bringBack(number: number): Promise<void> {
    await this.go((seen) => this.requests.bringBack(number, seen, this.of.station), 'Brought back.');
  }

  /** @returns the buttonholes to practise on, of their own */
  async practise(): Promise<Closure | undefined> {
    if (this.simulating) return undefined;
    this.simulating = true;
    await this.saver.save();
    const answer = await this.saver.try(() => this.requests.practise());
    if (answer?.kind === 'refused') this.saver.notice = answer.problem.detail;
    this.simulating = false;
    return answer?.kind === 'data' ? answer.data : undefined;
  }

  /** Has the practice machine sew a test hole, or look again at one. */
  async sewOnStandIn(again?: string): Promise<void> {
    if (this.simulating) return;
    this.simulating = true;
    await this.saver.save();
    const answer = await this.saver.try(() => this.requests.standIn(uuid(), again));
    if (answer?.kind === 'data') this.of.take(answer.data);
    else if (answer) this.saver.notice = answer.problem.detail;
    this.simulating = false;
  }

  /** To another revision, from the one that is seen once what is typed is saved. */
  private async go(call: (seen: string) => Promise<Answer<Closure>>, says: string): Promise<void> {
    await this.saver.save();
    const answer = await this.saver.try(() => call(this.of.closure?.version ?? ''));
    if (answer?.kind === 'data') {
      this.of.take(answer.data);
      this.of.last = undefined;
      announce(says);
    } else if (answer) {
      if (answer.problem.current) this.of.take(answer.problem.current as Closure);
      this.saver.notice = answer.problem.detail;
    }
  }
}
