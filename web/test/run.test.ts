// Taking hold of things on the run: by pointer and by key, and where they are drawn.
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Closure, PlanChange } from '../src/api/client';
import type { Row } from '../src/closure/typed';
import type { ClosureWork } from '../src/closure/work.svelte';
import { Drag } from '../src/table/drag.svelte';
import { RunGeometry } from '../src/table/geometry.svelte';

const length = (mm: number) => ({ mm, text: `${mm} mm` });
const PIN = { id: 'p', at: length(212), label: 'bust', weight: '0' };
const KEEP = { id: 'k', from: length(268), to: length(276), label: 'pocket edge' };

function closure(): Closure {
  return {
    unit: 'mm',
    plan: {
      'placket.run_length': length(620),
      'placket.extension': length(18),
      'placket.rows': 'single',
      'placket.offset': length(0),
      'placket.pins': [PIN],
      'placket.keep_outs': [KEEP],
    },
    sheet: {
      placket: { grid: length(1), holes: [] },
      opening: { ends: { near: length(1.25), far: length(1.25) } },
    },
  } as unknown as Closure;
}

/** A work that writes down what it is asked. */
function table() {
  const typed: [string, unknown][] = [];
  const peeked: PlanChange[] = [];
  let cleared = 0;
  const rows = { 'placket.pins': PIN, 'placket.keep_outs': KEEP };
  const work = {
    closure: closure(),
    preview: {
      peek: (change: PlanChange) => peeked.push(change),
      end: () => undefined,
      clear: () => (cleared += 1),
    },
    rows: (list: keyof typeof rows) => [{ id: rows[list].id, row: { label: rows[list].label } }],
    type: (path: string, text: string) => typed.push([path, text]),
    typeRow: (list: string, id: string | undefined, row: Row | null) =>
      typed.push([`${list}.${id ?? 'new'}`, row]),
    saver: { soon: () => undefined },
  };
  return { drag: new Drag(() => work as unknown as ClosureWork), typed, peeked, cleared: () => cleared };
}

const key = (name: string, shiftKey = false) => ({ key: name, shiftKey }) as KeyboardEvent;

describe('a drag', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('previews on the marks while it moves, and types what it moved when it lets go', () => {
    const { drag, typed, peeked } = table();
    drag.start({ kind: 'keep', id: 'k', end: 'both' }, 268);
    drag.move(280.4);
    drag.move(280.2);

    expect(peeked).toEqual([
      { 'placket.keep_outs': { k: { label: 'pocket edge', from: '280mm', to: '288mm' } } },
    ]);
    drag.drop();
    expect(typed).toEqual([['placket.keep_outs.k', { label: 'pocket edge', from: '280mm', to: '288mm' }]]);
    expect(drag.grip).toBeUndefined();
  });

  it('moves one end past the other, and never off the run', () => {
    const { drag, typed } = table();
    drag.start({ kind: 'keep', id: 'k', end: 'to' }, 276);
    drag.move(200);
    drag.drop();
    drag.start({ kind: 'last' }, 540);
    drag.move(900);
    drag.drop();

    expect(typed).toEqual([
      ['placket.keep_outs.k', { label: 'pocket edge', from: '200mm', to: '268mm' }],
      ['placket.last', '620mm'],
    ]);
  });

  it('types nothing when it ends where it began, or is given up', () => {
    const { drag, typed, cleared } = table();
    drag.start({ kind: 'first' }, 24);
    drag.drop();
    drag.start({ kind: 'first' }, 24);
    drag.move(30);
    drag.cancel();
    drag.drop();

    expect(typed).toEqual([]);
    expect(cleared()).toBe(2);
  });

  it('takes keys in a row as one change, ten marks at a time with Shift', () => {
    const { drag, typed } = table();
    const pin = { kind: 'pin', id: 'p' } as const;

    expect(drag.key(key('ArrowDown'), pin, 212)).toBe(true);
    expect(drag.key(key('ArrowDown', true), pin, 212)).toBe(true);
    expect(drag.key(key('a'), pin, 212)).toBe(false);
    expect(typed).toEqual([]);
    vi.runAllTimers();
    expect(typed).toEqual([['placket.pins.p', { label: 'bust', at: '223mm' }]]);
  });

  it('does not put back what was nudged and then taken out', () => {
    const { drag, typed } = table();
    const pin = { kind: 'pin', id: 'p' } as const;
    drag.key(key('ArrowDown'), pin, 212);
    drag.key(key('Delete'), pin, 213);
    vi.runAllTimers();

    expect(typed).toEqual([['placket.pins.p', null]]);
    drag.addPin(300.4, 'waist');
    expect(typed.at(-1)).toEqual([
      'placket.pins.new',
      {
        at: '300mm',
        label: 'waist',
        weight: '0',
        holds: 'button',
      },
    ]);
    drag.addSeam(350.2);
    expect(typed.at(-1)).toEqual([
      'placket.keep_outs.new',
      { from: '350mm', to: '', label: '', kind: 'no_go' },
    ]);
  });
});

describe('where things are drawn', () => {
  const geometry = (
    width: number,
    height: number,
    unit: Closure['unit'] = 'mm',
    lies: 'right' | 'left' = 'right',
  ) => {
    const made = new RunGeometry(
      () => ({ ...closure(), unit, sheet: { ...closure().sheet, edge_lies: lies } }),
      () => [],
    );
    made.width = width;
    made.height = height;
    return made;
  };

  it('is upright beside the station and lies along the top of a phone', () => {
    const upright = geometry(272, 600);
    const lying = geometry(390, 96);

    expect([upright.lying, lying.lying, geometry(0, 0).ready]).toEqual([false, true, false]);
    expect(lying.at(0, 0)).toEqual([14, 18]);
    expect(upright.at(620, 0)[1]).toBeLessThanOrEqual(600 - 14);
    expect(lying.inward(0)).toContain('rotate(90)');
  });

  it.each([
    ['right', 'upright', 1],
    ['left', 'upright', -1],
    ['right', 'lying', -1],
    ['left', 'lying', 1],
  ] as const)('has a finished edge at the %s, %s, where the fabric has it', (edge, lies, side) => {
    // Upright the top is away; lying it is at the left, so what was at the right is away.
    const drawn = lies === 'upright' ? geometry(272, 600, 'mm', edge) : geometry(390, 96, 'mm', edge);
    const axis = drawn.lying ? 1 : 0;
    const outside = drawn.at(100, 0)[axis] ?? 0;
    const inside = drawn.at(100, 20)[axis] ?? 0;

    expect(Math.sign(outside - inside)).toBe(side);
    expect(drawn.at(100, 0)[1 - axis]).toBe(drawn.tape(100)[1 - axis]);
  });

  it('finds the millimetre under a pointer again', () => {
    const upright = geometry(272, 600);
    const canvas = { getBoundingClientRect: () => ({ left: 0, top: 50 }) } as SVGSVGElement;
    const [x, y] = upright.at(212, 0);

    expect(upright.under({ clientX: x, clientY: y + 50 } as PointerEvent, canvas)).toBeCloseTo(212);
    expect(upright.under({ clientX: x, clientY: y } as PointerEvent, undefined)).toBe(0);
  });

  it('keeps what is narrow wide enough to take hold of, and marks the tape in the unit', () => {
    const upright = geometry(272, 600);

    expect(upright.area(268, 276, 24).height).toBe(24);
    expect(upright.area(0, 620).height).toBeCloseTo(620 * upright.scale);
    expect(upright.ticks.slice(0, 3)).toEqual([0, 50, 100]);
    expect(upright.tick(50)).toBe('50');
    expect(geometry(272, 600, 'cm').tick(50)).toBe('5');
    expect(geometry(272, 600, 'in').tick(50.8)).toBe('2');
  });
});
