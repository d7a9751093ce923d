// What the browser keeps: nothing is lost by a full store, and ids are nobody else's.
import { afterEach, describe, expect, it, vi } from 'vitest';
import { device, keep, recall, uuid } from '../src/api/browser_store';

afterEach(() => void vi.unstubAllGlobals());

function shelf(full = false): Map<string, string> {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => {
      if (full) throw new Error('full');
      kept.set(key, text);
    },
    removeItem: (key: string) => kept.delete(key),
  });
  return kept;
}

describe('the store of the browser', () => {
  it('keeps values under its own name, and forgets them', () => {
    const kept = shelf();
    keep('half', { at: '212' });

    expect([...kept.keys()]).toEqual(['nimble-eyelet:half']);
    expect(recall('half')).toEqual({ at: '212' });
    keep('half', undefined);
    expect(recall('half')).toBeUndefined();
  });

  it('does without when it is full, closed or holds nonsense', () => {
    shelf(true);
    expect(() => keep('half', 1)).not.toThrow();
    shelf().set('nimble-eyelet:half', '{');
    expect(recall('half')).toBeUndefined();
    vi.unstubAllGlobals();
    expect(recall('half')).toBeUndefined();
  });

  it('makes ids of the usual shape, and one for the device that stays', () => {
    shelf();
    expect(uuid()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(uuid()).not.toBe(uuid());
    expect(device()).toBe(device());
  });
});
