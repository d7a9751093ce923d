import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Photo } from '../src/closure/photo.svelte';
import { Seen } from '../src/stations/swatch/seen.svelte';

describe('a test hole as it is looked at', () => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => kept.set(key, text),
    removeItem: (key: string) => kept.delete(key),
  });
  beforeEach(() => kept.clear());

  it('says nothing before anybody has said anything', () => {
    const seen = new Seen('swatch:a:1');
    expect(seen.said).toBe(false);
    expect(seen.entry(['fit', 'bead_away'], { 'recipe.tension': '3' })).toEqual({
      measured: '',
      looks: {},
      symptoms: [],
      note: '',
      with: { 'recipe.tension': '3' },
    });
  });

  it('keeps each answer at its place, over a reload too', () => {
    const seen = new Seen('swatch:a:1');
    seen.say('fit', 'tight');
    seen.say('bead_away', 'thin');
    seen.keep();
    const again = new Seen('swatch:a:1');
    expect([again.answer('fit'), again.answer('bead_away'), again.answer('space')]).toEqual([
      'tight',
      'thin',
      '',
    ]);
    again.clear();
    expect(new Seen('swatch:a:1').said).toBe(false);
  });

  it('says what it was measured with, where that was a caliper', () => {
    const seen = new Seen('swatch:a:1');
    seen.form.measured = '22.4';
    seen.form.caliper = true;
    expect(seen.entry([], { 'recipe.tension': '3' }).with).toEqual({
      'recipe.tension': '3',
      'measured.with': 'caliper',
    });
    seen.form.caliper = false;
    expect(seen.entry([], {}).with).toEqual({});
  });

  it('enters only what is asked of such a hole', () => {
    const seen = new Seen('swatch:a:1');
    seen.say('fit', 'passes');
    seen.say('tension', 'dots');
    expect(seen.entry(['fit'], {})).toMatchObject({ passes: 'passes', looks: {} });
  });
});

describe('a photo', () => {
  it('keeps its points within the picture', () => {
    const photo = new Photo('e', null);
    photo.move(1, -0.2, 0.4);
    photo.move(2, 0.7, 3);
    expect(photo.points).toEqual({ x1: 0, y1: 0.4, x2: 0.7, y2: 1 });
  });

  it('is refused before it is sent', async () => {
    const photo = new Photo('e', null);
    await photo.put(new File(['x'], 'notes.txt', { type: 'text/plain' }));
    expect(photo.fault).toContain('no photo');
    await photo.put(new File([new Uint8Array(13 * 1024 * 1024)], 'big.jpg', { type: 'image/jpeg' }));
    expect(photo.fault).toContain('12 MB');
  });
});
