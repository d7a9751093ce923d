// How long to wait before a server that did not answer is asked again: longer each time, and short again after an answer.
const FIRST = 1000;
const LONGEST = 8000;

export class Retry {
  private pause = FIRST;

  /** It answered. */
  reset(): void {
    this.pause = FIRST;
  }

  /** @returns ms */
  next(): number {
    const now = this.pause;
    this.pause = Math.min(now * 2, LONGEST);
    return now;
  }
}
