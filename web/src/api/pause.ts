/** What is looked at first comes first: what nobody sees is fetched so long after, ms. */
export const AFTER_THE_FIRST = 1500;

/** Calls once nothing has happened for a while, in a moment when the page has nothing else to do. */
export class AfterAPause {
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly what: () => void) {}

  /** @param pause ms */
  in(pause: number): void {
    this.stop();
    this.timer = setTimeout(() => {
      if ('requestIdleCallback' in globalThis) requestIdleCallback(this.what, { timeout: 1000 });
      else this.what();
    }, pause);
  }

  stop(): void {
    clearTimeout(this.timer);
  }
}
