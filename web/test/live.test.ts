import { beforeEach, describe, expect, it, vi } from 'vitest';
import { listen, type Change } from '../src/api/live';
import { PATIENCE } from './patience';

/** A line to the server that tests speak into. */
class Line {
  static open: Line[] = [];
  onopen: (() => void) | undefined;
  onerror: (() => void) | undefined;
  closed = false;
  readyState = 0;
  private readonly heard: Record<string, (event: { data: string }) => void> = {};

  constructor(readonly url: string) {
    Line.open.push(this);
  }
  addEventListener(kind: string, listener: (event: { data: string }) => void): void {
    this.heard[kind] = listener;
  }
  say(kind: string, data: unknown): void {
    this.heard[kind]?.({ data: JSON.stringify(data) });
  }
  close(): void {
    this.closed = true;
  }
}

/** Tabs of one browser. */
class Channel {
  static all: Channel[] = [];
  onmessage: ((event: { data: Change }) => void) | undefined;

  constructor(readonly name: string) {
    Channel.all.push(this);
  }
  postMessage(data: Change): void {
    for (const other of Channel.all)
      if (other !== this && other.name === this.name) other.onmessage?.({ data });
  }
  close(): void {
    Channel.all = Channel.all.filter((other) => other !== this);
  }
}

/** One holder at a time, the next when it lets go. */
function locks() {
  const queues: Record<string, (() => void)[]> = {};
  return {
    request: (name: string, options: { signal: AbortSignal }, hold: () => Promise<void>) =>
      new Promise<void>((done, fail) => {
        const waiting = (queues[name] ??= []);
        const begin = (): void => {
          void hold().then(() => {
            waiting.shift();
            waiting[0]?.();
            done();
          });
        };
        options.signal.addEventListener('abort', () => {
          if (waiting[0] === begin) return;
          queues[name] = waiting.filter((one) => one !== begin);
          fail(new Error('left'));
        });
        waiting.push(begin);
        if (waiting.length === 1) begin();
      }),
  };
}

describe('what happens elsewhere', () => {
  beforeEach(() => {
    Line.open = [];
    Channel.all = [];
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', Line);
    vi.stubGlobal('BroadcastChannel', Channel);
    vi.stubGlobal('navigator', { locks: locks() });
  });

  it('is heard by every tab over one line, and by the next tab when the first is closed', async () => {
    const one: Change[] = [];
    const other: Change[] = [];
    const stop = listen('marsh', (change) => one.push(change));
    listen('marsh', (change) => other.push(change));
    expect(Line.open).toHaveLength(1);
    Line.open[0]?.say('change', { kind: 'journal', closure: 3 });
    expect(one).toEqual([{ kind: 'journal', closure: 3 }]);
    expect(other).toEqual(one);
    stop();
    await vi.waitFor(() => expect(Line.open).toHaveLength(2), PATIENCE);
    expect(Line.open[0]?.closed).toBe(true);
    Line.open[1]?.say('again', {});
    expect(other.at(-1)).toEqual({ kind: 'again' });
    expect(one).toHaveLength(1);
  });

  it('is asked for every two seconds while there is no line', () => {
    const heard: Change[] = [];
    const stop = listen('marsh', (change) => heard.push(change));
    Line.open[0]?.onerror?.();
    vi.advanceTimersByTime(4100);
    expect(heard).toEqual([{ kind: 'again' }, { kind: 'again' }]);
    Line.open[0]?.onopen?.();
    vi.advanceTimersByTime(10_000);
    expect(heard).toHaveLength(2);
    Line.open[0]?.onerror?.();
    stop();
    vi.advanceTimersByTime(10_000);
    expect(heard).toHaveLength(2);
  });

  it('is opened again where the server refused it, which the browser does not do', () => {
    const stop = listen('marsh', () => undefined);
    Object.assign(Line.open[0]!, { readyState: 2 }).onerror?.();
    vi.advanceTimersByTime(10_100);
    expect(Line.open).toHaveLength(2);
    Object.assign(Line.open[1]!, { readyState: 0 }).onerror?.();
    vi.advanceTimersByTime(20_000);
    expect(Line.open).toHaveLength(2);
    stop();
  });

  it('works in a browser without locks', () => {
    vi.stubGlobal('navigator', {});
    const stop = listen('marsh', () => undefined);
    expect(Line.open[0]?.url).toBe('/api/workrooms/marsh/live');
    stop();
    expect(Line.open[0]?.closed).toBe(true);
  });
});
