// What was typed and done, without a browser: the draft, the merge with another tab, the outbox, the
// preview, and what the sewing station makes of them.
import { describe, expect, it, vi } from 'vitest';
import { client, type Closure, type Step } from '../src/api/client';
import { Draft } from '../src/closure/draft.svelte';
import { entryPath } from '../src/closure/typed';
import { conflicts, sameFigure } from '../src/closure/merge';
import { count, factOf, stepDone } from '../src/closure/waiting';
import type { Said } from '../src/outbox/press';
import { ClosureWork } from '../src/closure/work.svelte';
import { Preview, type Previewed } from '../src/closure/preview.svelte';
import { progress } from '../src/stations/sewing/progress';

const length = (mm: number) => ({ mm, text: `${mm} mm` });

function closure(wide = 18, pins = [{ id: 'a', at: length(212), label: 'bust', weight: '0' }]): Closure {
  const plan = { 'button.width': length(wide), 'button.thickness': length(3), 'placket.pins': pins };
  return { plan: { ...plan, 'placket.keep_outs': [] } } as unknown as Closure;
}

describe('the draft', () => {
  it('sends fields flat and rows below their list, and knows what was there before', () => {
    const draft = new Draft();
    draft.type('button.width', '20', closure());
    draft.type('button.width', '21', closure(20));
    draft.type('placket.pins.a', { at: '214 mm', label: 'bust', weight: '0' }, closure());
    draft.type('placket.pins.b', null, closure());
    draft.type('machine.id', '4', closure());

    expect(draft.entries['button.width']).toEqual({ value: '21', before: '18 mm' });
    expect(draft.body(draft.paths)).toEqual({
      'button.width': '21',
      'placket.pins': { a: { at: '214 mm', label: 'bust', weight: '0' }, b: null },
      'machine.id': 4,
    });
    expect(draft.body([])).toBeUndefined();
  });

  it('keeps what was typed on while a save was under way', () => {
    const draft = new Draft();
    draft.type('button.width', '2', closure());
    const sent = structuredClone(draft.entries);
    draft.type('button.width', '21', closure());
    draft.confirm(sent);

    expect(draft.typed('button.width')).toBe('21');
    draft.confirm(draft.entries);
    expect(draft.empty).toBe(true);
  });

  it('holds back only what was refused, and gives it another chance with its section', () => {
    const draft = new Draft();
    draft.type('button.width', 'wide', closure());
    draft.type('placket.pins.a', { at: 'there' }, closure());
    draft.type('placket.count', '7', closure());
    draft.refuse({ ...draft.entries }, [{ field: 'placket.pins.a.at', allowed: 'Write a length.' }]);

    expect(draft.sendable([])).toEqual(['button.width', 'placket.count']);
    expect(draft.fault('placket.pins.a')).toBe('Write a length.');
    expect(draft.refused).toBe(1);
    draft.type('placket.count', '8', closure());
    expect(draft.sendable(['button.width'])).toEqual(['placket.pins.a', 'placket.count']);
    expect(draft.fault('placket.pins.a')).toBeUndefined();
  });

  it('sends what was typed otherwise while the answer to it was on its way', () => {
    const draft = new Draft();
    draft.type('button.outline', '0 0, 20 10, 20 0, 0 10', closure());
    draft.type('button.shape', 'bar', closure());
    const sent = structuredClone(draft.entries);
    draft.type('button.outline', '', closure());
    draft.refuse(sent, [{ field: 'button.outline', allowed: 'It crosses itself.' }]);
    expect(draft.refused).toBe(0);
    expect(draft.fault('button.outline')).toBeUndefined();
    expect(draft.sendable([])).toEqual(['button.outline', 'button.shape']);
    draft.refuse(structuredClone(draft.entries), [
      { field: 'button.outline', allowed: 'Write the corners.' },
    ]);
    expect(draft.sendable([])).toEqual(['button.shape']);
  });

  it('gives up what was refused of one section, whichever list was at fault', () => {
    const draft = new Draft();
    draft.type('button.width', '20', closure());
    draft.type('placket.keep_outs.k', { from: '200', to: '220' }, closure());
    const sent = Object.fromEntries(Object.entries(draft.entries).filter(([path]) => path.includes('.k')));
    draft.refuse(sent, [{ field: 'placket.pins.a.at', allowed: 'In a keep-out.' }]);
    draft.forgetRefused('placket.pins');

    expect(draft.paths).toEqual(['button.width']);
    expect(draft.faults).toEqual({});
  });

  it('shows rows as typed: changed, removed and added', () => {
    const draft = new Draft();
    const two = closure(18, [
      { id: 'a', at: length(212), label: 'bust', weight: '0' },
      { id: 'b', at: length(300), label: 'waist', weight: '0' },
    ]);
    draft.type('placket.pins.a', { label: 'chest' }, two);
    draft.type('placket.pins.b', null, two);
    draft.type('placket.pins.c', { at: '400' }, two);

    expect(draft.rows(two, 'placket.pins')).toEqual([
      { id: 'a', row: { at: '212 mm', label: 'chest', weight: '0' } },
      { id: 'c', row: { at: '400' } },
    ]);
    expect(entryPath('placket.pins.c.at')).toBe('placket.pins.c');
    expect(entryPath('button.width')).toBe('button.width');
  });
});

describe('another tab that was first', () => {
  const typed = (path: string, value: string, before = closure()) => {
    const draft = new Draft();
    draft.type(path, value, before);
    return draft.entries;
  };

  it('is merged where it changed something else, or the same to the same', () => {
    expect(conflicts(typed('button.thickness', '4'), closure(25))).toEqual([]);
    expect(conflicts(typed('button.width', '25'), closure(25))).toEqual([]);
    expect(sameFigure('25 mm', ' 25')).toBe(true);
  });

  it('is asked about where both changed one thing, also a row that is gone', () => {
    expect(conflicts(typed('button.width', '19'), closure(25))).toEqual([
      { path: 'button.width', mine: '19', theirs: '25 mm' },
    ]);
    const draft = new Draft();
    draft.type('placket.pins.a', { at: '214' }, closure());

    expect(conflicts(draft.entries, closure(18, []))).toEqual([
      { path: 'placket.pins.a', mine: 'my row', theirs: '' },
    ]);
    expect(conflicts(draft.entries, closure())).toEqual([]);
  });
});

const tick = (id: string, step: string): Said => ({ id, fact: { kind: 'step', step } });
const withdrawal = (id: string, about: string): Said => ({ id, fact: { kind: 'withdrawal', about } });

describe('what waits', () => {
  it('says what will be done once everything is told', () => {
    const facts = [tick('1', 'mark'), withdrawal('2', '1'), withdrawal('3', '9')];

    expect(stepDone(facts, 'mark', false, null)).toBe(false);
    expect(stepDone(facts, 'needle', true, '9')).toBe(false);
    expect(stepDone(facts, 'foot', true, '8')).toBe(true);
    facts.push(tick('4', 'mark'));
    expect(stepDone(facts, 'mark', false, null)).toBe(true);
    expect(factOf(facts, 'mark', null)).toBe('4');
    expect(count(facts, 'withdrawal')).toBe(2);
  });

  it('lies over the steps: the hands go on without the server', () => {
    const steps = ['mark', 'needle', 'foot'].map(
      (key) => ({ key, done: false, entry: null, passed_over: false }) as unknown as Step,
    );
    const sewing = { steps, next: 'mark', newest: null, done: 0 } as unknown as Parameters<
      typeof progress
    >[0];

    expect(progress(sewing, []).now?.key).toBe('mark');
    const ahead = progress(sewing, [tick('1', 'needle')]);
    expect([ahead.now?.key, ahead.newest?.key, ahead.done]).toEqual(['mark', 'needle', 1]);
    expect(ahead.skipped.map((step) => step.key)).toEqual(['mark']);
  });
});

describe('the preview', () => {
  it('asks for the newest wish only, one at a time, and shows nothing once cleared', async () => {
    const asked: unknown[] = [];
    const answers: ((answer: Previewed | undefined) => void)[] = [];
    const preview = new Preview((changes) => {
      asked.push(changes);
      return new Promise((resolve) => answers.push(resolve));
    });
    const done = preview.peek({ 'button.width': '1' });
    void preview.peek({ 'button.width': '2' });
    void preview.peek({ 'button.width': '3' });
    answers[0]?.({ ...closure(1), moved: null });
    await Promise.resolve();
    await Promise.resolve();

    expect(preview.closure?.plan['button.width']?.mm).toBe(1);
    expect(asked).toEqual([{ 'button.width': '1' }, { 'button.width': '3' }]);
    preview.clear();
    answers[1]?.({ ...closure(3), moved: null });
    await done;
    expect(preview.closure).toBeUndefined();
  });
});

describe('a server that fails over one field', () => {
  it('is asked some times, then sends each field alone, sets the culprit aside and saves the rest', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('navigator', {});
    const sent: string[][] = [];
    const good = (data: Closure) => ({ data, response: new Response(null, { status: 200 }) });
    vi.spyOn(client, 'GET').mockImplementation((async () => good(closure(1))) as never);
    vi.spyOn(client, 'PATCH').mockImplementation((async (_: string, { body }: { body: object }) => {
      sent.push(Object.keys(body));
      return 'button.width' in body
        ? { error: { detail: 'Something went wrong.' }, response: new Response(null, { status: 500 }) }
        : good(closure(2));
    }) as never);
    const work = new ClosureWork('marsh-walk', 1);
    await work.load();
    work.type('button.width', '0.0000001');
    work.type('cloth.layers', '3');
    await vi.advanceTimersByTimeAsync(30_000);

    expect(work.draft.fault('button.width')).toContain('could not keep this');
    expect(work.text('button.width')).toBe('0.0000001');
    expect(work.draft.paths).toEqual(['button.width']);
    expect(sent).toContainEqual(['cloth.layers']);
    expect(sent.length).toBeLessThan(10);
    expect(work.state).toBe('refused');
    vi.useRealTimers();
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
  });
});

describe('a server that is away when a closure is opened', () => {
  it('is asked again until it answers, though nothing waits to be told', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('navigator', {});
    let away = true;
    vi.spyOn(client, 'GET').mockImplementation((async () => {
      if (away) throw new TypeError('fetch failed');
      return { data: closure(1), response: new Response(null, { status: 200 }) };
    }) as never);
    const work = new ClosureWork('marsh-walk', 1);
    await work.load();
    await vi.advanceTimersByTimeAsync(500);
    expect(work.closure).toBeUndefined();
    expect(work.away).toBe('silent');
    away = false;
    await vi.advanceTimersByTimeAsync(10_000);

    expect(work.closure).toBeDefined();
    work.leave();
    vi.useRealTimers();
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
  });
});
