import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

const store = new Map<string, string>();

beforeEach(() => {
  store.clear();
  vi.useFakeTimers({ now: 1_000_000 });
  vi.resetModules();
  vi.stubGlobal('window', {});
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => store.get(key) ?? null,
    setItem: (key: string, value: string) => void store.set(key, value),
    removeItem: (key: string) => void store.delete(key),
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const fresh = async () => (await import('../src/session/drying.svelte')).drying;

describe('what dries', () => {
  it('is told when its time is over, once', async () => {
    const drying = await fresh();
    drying.start();
    await drying.want({ part: 'storm hood: strap', at: 1_060_000 });

    expect(drying.waitsFor({ part: 'storm hood: strap', at: 1_061_300 })).toBe(true);
    expect(drying.waitsFor({ part: 'cape', at: 1_060_000 })).toBe(false);
    vi.advanceTimersByTime(59_000);

    expect(drying.dry).toBeUndefined();
    vi.advanceTimersByTime(2_000);

    expect(drying.dry?.part).toBe('storm hood: strap');
    drying.seen();
    vi.advanceTimersByTime(600_000);

    expect([drying.dry, drying.wanted]).toEqual([undefined, undefined]);
  });

  it('is still waited for after a reload, and told when the page opens too late', async () => {
    const before = await fresh();
    await before.want({ part: 'cape', at: 1_060_000 });
    vi.resetModules();
    vi.setSystemTime(2_000_000);
    const after = await fresh();
    after.start();

    expect(after.dry?.part).toBe('cape');
    expect(store.size).toBe(0);
  });
});
