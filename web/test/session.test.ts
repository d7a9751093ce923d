import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Session, SessionMishap, SessionStep } from '../src/api/client';
import type { Deed } from '../src/outbox/press';
import { beatOf, cardOf, headlineOf, settingsAhead } from '../src/session/card';
import { overlay, wayOut } from '../src/session/overlay';
import { lasting } from '../src/session/words';
import { movable, moved } from '../src/pages/session/order';
import { PATIENCE } from './patience';

/** What a step's fact is called, somehow. */
const given = (id: string): string =>
  Array.from({ length: 32 }, (_, at) => (id.charCodeAt(at % id.length) % 16).toString(16))
    .join('')
    .replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');

function step(id: string, more: Partial<SessionStep> = {}): SessionStep {
  const key = id.split(':')[2] ?? id;
  return {
    id,
    closure: 1,
    block: 'row',
    key,
    part: 'Hole 1 of 2',
    does: key,
    how: null,
    symptom: null,
    caution: null,
    near: false,
    name: key.replace(/-at-\d+$/, ''),
    rescue: null,
    turn: key.includes('-at-') ? 'hole' : null,
    hole: key.includes('-at-') ? Number(key.split('-at-')[1]) / 1000 : null,
    figure: null,
    seconds: 30,
    asks: null,
    opens: false,
    look: false,
    sets_only: false,
    dry_wait: false,
    enter: [{ id: given(id), kind: 'step', step: key, closure: 1, with: {}, moves: {} }],
    mishaps: ['lost_out', 'power_gone'],
    ledger: [],
    ...more,
  };
}

const LOST = {
  key: 'lost_out',
  says: 'It lost its place',
  drawn: 'foot',
  asks: null,
  again: ['reset', 'place', 'sew'],
  moves: { lever: null },
  steps: [
    {
      id: given('one'),
      key: 'rescue-{id}-1',
      part: 'Rescue: It lost its place',
      does: 'Needle up.',
      how: null,
      caution: null,
      moves: {},
      asks: null,
    },
    {
      id: given('two'),
      key: 'rescue-{id}-2',
      part: 'Rescue: It lost its place',
      does: 'Back to the first part.',
      how: 'Same mark.',
      caution: null,
      moves: {},
      asks: null,
    },
  ],
} as unknown as SessionMishap;

const WRONG = 'abcdef12-0000-4000-8000-000000000000';
const PLACE = step('1:row:place-at-24000');
const SEW = step('1:row:sew-at-24000');
const OTHER = step('1:row:place-at-90000');
const IDS = (steps: SessionStep[]) => steps.map((one) => one.id);

describe('what was done here, over what was given out', () => {
  const wrong: Deed = { kind: 'mishap', id: WRONG, row: LOST, step: SEW, closure: 1 };

  it('takes steps away, brings them back, and repeats nothing', () => {
    const steps = [PLACE, SEW, OTHER];
    expect(IDS(overlay(steps, [{ kind: 'done', step: PLACE }], []))).toEqual([SEW.id, OTHER.id]);
    const back: Deed[] = [
      { kind: 'done', step: PLACE },
      { kind: 'back', step: PLACE },
    ];
    expect(IDS(overlay(steps, back, []))).toEqual(IDS(steps));
  });

  it('puts the way out first, then what is done again, and forgets it when it is taken back', () => {
    const found = overlay([SEW, OTHER], [wrong], [PLACE, PLACE, OTHER]);
    expect(IDS(found)).toEqual([
      '1:rescue:rescue-abcdef12-1',
      '1:rescue:rescue-abcdef12-2',
      PLACE.id,
      SEW.id,
      OTHER.id,
    ]);
    expect(found[1]?.how).toBe('Same mark.');
    expect(found[0]?.mishaps).toEqual(['power_gone']);
    expect(IDS(overlay([SEW], [wrong, { kind: 'unwrong', id: WRONG }], []))).toEqual([SEW.id]);
    const button = step('1:buttons:button-at-24000', { turn: 'button' });
    const jammed = { ...LOST, key: 'jammed', again: ['place', 'sew', 'button'] } as SessionMishap;
    const atButton: Deed = { ...wrong, row: jammed, step: button };
    expect(IDS(overlay([], [atButton], [PLACE, SEW, button])).slice(2)).toEqual([button.id]);
    const asks = { ...LOST, steps: [{ ...LOST.steps[0]!, asks: 'slit' }] } as SessionMishap;
    expect(wayOut({ ...wrong, row: asks })[0]?.enter[0]?.at).toBe('24');
  });
});

describe('an order moved by hand', () => {
  const wish = [
    { closure: 1, block: 'stay' as const },
    { closure: 1, block: 'row' as const },
    { closure: 2, block: 'stay' as const },
  ];
  it('keeps the blocks of one closure in their order', () => {
    expect(movable(wish, 1, -1)).toBe(false);
    expect(movable(wish, 2, 1)).toBe(false);
    expect(moved(wish, 2, -1).map((one) => one.closure)).toEqual([1, 2, 1]);
  });
  it('says how long', () => {
    expect([lasting(20), lasting(240), lasting(3600), lasting(5400)]).toEqual([
      'under a minute',
      '4 min',
      '1 h',
      '1 h 30 min',
    ]);
  });
});

const server = vi.hoisted(() => ({
  online: true,
  told: [] as Told[],
}));
type Told = Record<string, unknown> & { id: string };

vi.mock('../src/api/client', () => ({
  client: {
    POST: async (_path: string, { body }: { body: { entries: Told[] } }) => {
      if (!server.online) throw new TypeError('away');
      const answers = body.entries.map((entry) => {
        const known = server.told.some((one) => one.id === entry.id);
        if (!known) server.told.push(entry);
        return { id: entry.id, answer: known ? 'known' : 'kept', why: '' };
      });
      return { data: { entries: answers }, response: new Response() };
    },
    GET: async () => {
      if (!server.online) throw new TypeError('away');
      const done = server.told.map((one) => one['step']);
      const data = {
        id: 7,
        machine: { id: 2, name: 'Curlew' },
        closures: [],
        steps: [PLACE, SEW, OTHER].filter((one) => !done.includes(one.key)),
        last: { entries: [], step: null },
      } as unknown as Session;
      return { data, response: new Response() };
    },
  },
}));

describe('a session as it is sewn', () => {
  let now = 1_000_000;
  beforeEach(() => {
    server.told.length = 0;
    server.online = true;
    vi.stubGlobal('navigator', {});
  });

  it('goes on without a server, tells each fact once and in order, and takes one press for one', async () => {
    const { SessionWork } = await import('../src/session/session.svelte');
    const work = new SessionWork(
      'marsh',
      7,
      () => now,
      () => now,
    );
    await work.open();
    expect(work.now?.id).toBe(PLACE.id);
    server.online = false;
    now += 1000;
    await work.done();
    await work.done();
    expect(work.now?.id).toBe(SEW.id);
    now += 1000;
    await work.done();
    expect(work.waiting).toBe(2);
    expect(server.told).toHaveLength(0);
    server.online = true;
    await work.refresh();
    await vi.waitFor(() => expect(work.waiting).toBe(0), PATIENCE);
    expect(server.told.map((one) => one['step'])).toEqual([PLACE.key, SEW.key]);
    expect(server.told[0]?.['with']).toMatchObject({ 'sitting.id': '7' });
    await vi.waitFor(() => expect(work.deeds).toEqual([]), PATIENCE);
    expect(server.told.map((one) => one['n'])).toEqual([...server.told.map((one) => one['n'])].sort());
    expect(new Set(server.told.map((one) => one['press'])).size).toBe(2);
    expect(work.now?.id).toBe(OTHER.id);
    work.leave();
  });
});

describe('beats of a hole', () => {
  const beats = (hole: number, at: number) =>
    ['reset', 'place', 'lever', 'sew', 'look'].map((name) =>
      step(`1:row:${name}-at-${at}000`, {
        part: `Hole ${hole} of 6`,
        does:
          name === 'place' ? `Lower the needle into the mark: ${at}.5 mm from the top.` : `The ${name} beat.`,
      }),
    );
  const rows = [beats(6, 500), beats(5, 400), beats(4, 300), beats(3, 200)];

  it('are one card from the third hole on, unless every step is wanted by itself', () => {
    const left = (from: number) => rows.slice(from).flat();
    const done = (to: number) => rows.slice(0, to).flat();
    expect(cardOf(left(0), [], false)).toHaveLength(1);
    expect(cardOf(left(1), done(1), false)).toHaveLength(1);
    expect(cardOf(left(2), done(2), false)).toEqual(rows[2]);
    expect(cardOf(left(2).slice(2), [...done(2), ...(rows[2] ?? []).slice(0, 2)], false)).toHaveLength(3);
    expect(cardOf(left(2), done(2), true)).toHaveLength(1);
  });

  it('stand alone where words are new, where something is asked, and out of a mishap', () => {
    const [one = [], two = [], three = []] = rows;
    const past = [...one, ...two];
    const changed = (by: Partial<SessionStep>) =>
      three.map((beat) => (beat.name === 'sew' ? { ...beat, ...by } : beat));
    expect(cardOf(changed({ does: 'Sew slowly over the seam.' }), past, false)).toHaveLength(1);
    expect(cardOf(changed({ asks: 'slit' }), past, false)).toHaveLength(3);
    expect(cardOf(changed({ caution: 'The bobbin is nearly empty.' }), past, false)).toHaveLength(1);
    expect(cardOf([step('1:rescue:up', { rescue: 'aa' }), ...three], past, false)).toHaveLength(1);
  });

  it('tell at which of them something went wrong', () => {
    const card = (rows[2] ?? []).map((beat) => ({
      ...beat,
      mishaps: beat.name === 'sew' || beat.name === 'lever' ? ['jammed', 'power_gone'] : ['power_gone'],
    }));
    expect(beatOf(card, 'jammed')?.name).toBe('sew');
    expect(beatOf(card.slice(0, 3), 'jammed')?.name).toBe('lever');
    expect(beatOf(card, 'unheard of')).toBe(card[0]);
  });

  it('are one card for all places that are left, where a place is one step', () => {
    const cut = [6, 5, 4, 3].map((hole) =>
      step(`1:open:open-at-${hole}00000`, {
        part: `Open the holes: hole ${hole}`,
        does: `Cut hole ${hole} from both ends to the middle: 22.5 mm.`,
        caution: 'A ripper can run on through the end.',
      }),
    );
    expect(cardOf(cut.slice(1), cut.slice(0, 1), false)).toHaveLength(1);
    const card = cardOf(cut.slice(2), cut.slice(0, 2), false);
    expect(card).toEqual(cut.slice(2));
    expect(headlineOf(card, undefined)).toBe('Cut the last 2 holes open.');
    expect(cardOf(cut.slice(2), cut.slice(0, 2), true)).toHaveLength(1);
    expect(cardOf(cut.slice(3), cut.slice(0, 3), false)).toHaveLength(1);
    const sealed = cut.slice(2).map((one) => ({ ...one, caution: 'It is still wet.' }));
    expect(cardOf(sealed, cut.slice(0, 2), false)).toHaveLength(1);
  });

  it('are one card for all loops that are left', () => {
    const loops = [1, 2, 3, 4].map((hole) =>
      step(`1:row:worked-at-${hole}00000`, { part: `Place ${hole} of 4`, does: 'Lay the loop on the mark.' }),
    );
    expect(cardOf(loops.slice(1), loops.slice(0, 1), false)).toHaveLength(1);
    const card = cardOf(loops.slice(2), loops.slice(0, 2), false);
    const closure = { noun: 'loop', holes: [] } as unknown as Parameters<typeof headlineOf>[1];
    expect(card).toEqual(loops.slice(2));
    expect(headlineOf(card, closure)).toBe('Do the last 2 loops the same way.');
  });

  it('of the machine can be ticked as one list', () => {
    const set = ['needle', 'thread', 'foot'].map((name) =>
      step(`1:set:${name}`, { part: 'Set the machine', turn: null, sets_only: true }),
    );
    expect(settingsAhead([...set, ...(rows[0] ?? [])])).toEqual(set);
    expect(settingsAhead(rows[0] ?? [])).toEqual([]);
  });
});
