import { beforeEach, describe, expect, it, vi } from 'vitest';
import { initials, wanted, who } from '../src/api/who.svelte';

describe('where somebody goes after signing in', () => {
  const from = (search: string): string => {
    vi.stubGlobal('location', { search });
    return wanted();
  };

  it('is where they wanted to go, and never out of the application', () => {
    expect(from('?to=%2Fw%2Fmarsh-walk%2Fstash')).toBe('/w/marsh-walk/stash');
    for (const away of [
      'https://elsewhere.example/',
      '//elsewhere.example',
      '/\\elsewhere.example',
      'javascript:alert(1)',
      '',
    ])
      expect(from(`?to=${encodeURIComponent(away)}`)).toBe('/');
    expect(from('')).toBe('/');
  });
});

describe('who is here', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    });
  });

  it('forgets what was read for another before it is shown', async () => {
    const forgotten = vi.fn(() => Promise.resolve());
    await who.is(7, forgotten);
    await who.is(7, forgotten);
    expect(forgotten).not.toHaveBeenCalled();
    await who.is(8, forgotten);
    expect(forgotten).toHaveBeenCalledTimes(1);
  });

  it('does not lapse by an answer to what was asked before somebody signed in', async () => {
    const before = who.times;
    await who.is(7, () => Promise.resolve());
    who.laps(before);
    expect(who.lapsed).toBe(false);
    who.laps(who.times);
    expect(who.lapsed).toBe(true);
  });

  it('goes by initials where there is little room', () => {
    expect(['Ana Reed', 'Bo', 'Ana Maria van Dyk', ' x '].map(initials)).toEqual(['AR', 'BO', 'AD', 'X']);
  });
});
