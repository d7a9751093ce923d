import { beforeEach, describe, expect, it, vi } from 'vitest';
import { PATIENCE } from './patience';

/** As much of an element as keys look at. */
class Element {
  constructor(readonly inside: string[] = []) {}
  closest(wanted: string): Element | null {
    return wanted.split(', ').some((one) => this.inside.includes(one)) ? this : null;
  }
}

const moves = { done: vi.fn(), back: vi.fn(), wrong: vi.fn() };
let dialog: Element | null = null;

function press(key: string, at: string[] = [], more: Partial<KeyboardEvent> = {}): boolean {
  const prevented = vi.fn();
  const event = { key, target: new Element(at), preventDefault: prevented, ...more };
  onKey(event as unknown as KeyboardEvent, moves);
  return prevented.mock.calls.length > 0;
}

let onKey: typeof import('../src/pages/sew/hands.svelte').onKey;
let Awake: typeof import('../src/pages/sew/hands.svelte').Awake;

beforeEach(async () => {
  dialog = null;
  for (const move of Object.values(moves)) move.mockClear();
  vi.stubGlobal('HTMLElement', Element);
  vi.stubGlobal('window', { isSecureContext: true });
  vi.stubGlobal('document', {
    body: new Element(),
    visibilityState: 'visible',
    querySelector: () => dialog,
    addEventListener: vi.fn(),
    removeEventListener: vi.fn(),
  });
  ({ onKey, Awake } = await import('../src/pages/sew/hands.svelte'));
});

describe('both hands on the cloth', () => {
  it('goes on and back by keys and by a page-turning pedal', () => {
    for (const key of [' ', 'Enter', 'ArrowRight', 'ArrowDown', 'PageDown']) expect(press(key)).toBe(true);
    expect(moves.done).toHaveBeenCalledTimes(5);
    for (const key of ['ArrowLeft', 'ArrowUp', 'PageUp', 'Backspace']) press(key);
    expect(moves.back).toHaveBeenCalledTimes(4);
    press('?');
    expect(moves.wrong).toHaveBeenCalledTimes(1);
    expect(press('x')).toBe(false);
  });

  it('does nothing while something is typed, a dialog is open, or a key is held', () => {
    press(' ', ['input']);
    press('PageDown', ['[role=dialog]']);
    press('Enter', [], { repeat: true });
    press('ArrowRight', [], { altKey: true });
    dialog = new Element();
    press('PageDown');
    expect(moves.done).not.toHaveBeenCalled();
  });

  it('leaves other buttons their own Space and Enter, but not the pedal', () => {
    expect(press(' ', ['button'])).toBe(false);
    press('Enter', ['button', '[data-done]']);
    press('PageDown', ['button']);
    expect(moves.done).toHaveBeenCalledTimes(2);
  });

  it('says why the screen may go dark', async () => {
    vi.stubGlobal('navigator', {});
    const awake = new Awake();
    await awake.ask();
    expect(awake.why).toContain('This browser');
    vi.stubGlobal('window', { isSecureContext: false });
    await awake.ask();
    expect(awake.why).toContain('https');
    vi.stubGlobal('navigator', { wakeLock: { request: () => Promise.reject(new Error('no')) } });
    await awake.ask();
    expect(awake.why).toContain('may go dark');
    const release = vi.fn();
    vi.stubGlobal('navigator', { wakeLock: { request: () => Promise.resolve({ release }) } });
    const stop = awake.start();
    await vi.waitFor(() => expect(awake.why).toBe(''), PATIENCE);
    stop();
    expect(release).toHaveBeenCalled();
  });
});
