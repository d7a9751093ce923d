// What happened and waits: told once, in its order, and never lost, whoever answers.
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Answer } from '../src/api/ask';
import type { EntriesAnswered } from '../src/api/client';
import { both, numberOf, waits, type NewPress, type Press } from '../src/outbox/press';
import { meaning } from '../src/outbox/policy';
import { Sender } from '../src/outbox/sender';
import { OutboxStore } from '../src/outbox/store';
import { PATIENCE } from './patience';

const server = vi.hoisted(() => ({
  /** What it answers to a list, by the steps in it. */
  answers: (steps: string[]): { status: number; list?: (step: string) => [string, string] } => ({
    status: steps.length ? 200 : 500,
  }),
  well: true,
  lists: [] as { step: string; n: number; press: string }[][],
  /** What it answers to the photo of a fact, and of which it was asked to keep one. */
  photo: { of: (entry: string): number => (entry ? 200 : 404), asked: [] as string[] },
}));

vi.mock('../src/api/client', () => ({
  client: {
    POST: async (_path: string, { body }: { body: { entries: never[] } }) => {
      const entries = body.entries as { id: string; step: string; n: number; press: string }[];
      const steps = entries.map((entry) => entry.step);
      server.lists.push(entries.map(({ step, n, press }) => ({ step, n, press })));
      const { status, list } = server.answers(steps);
      if (status === 0) throw new TypeError('away');
      if (status !== 200)
        return { error: { detail: `It says ${status}.` }, response: new Response('', { status }) };
      const answered = entries.map(({ id, step }) => {
        const [answer, why] = list?.(step) ?? ['kept', ''];
        return { id, answer, why };
      });
      return { data: { entries: answered }, response: new Response() };
    },
    PUT: async (_path: string, { params }: { params: { path: { entry: string } } }) => {
      const { entry } = params.path;
      server.photo.asked.push(entry);
      const status = server.photo.of(entry);
      if (status === 0) throw new TypeError('away');
      const response = new Response('', { status });
      return status === 200 ? { data: {}, response } : { error: { detail: `It says ${status}.` }, response };
    },
    GET: async () => ({
      data: {},
      response: new Response('', { status: server.well ? 200 : 503 }),
      ...(server.well ? {} : { data: undefined, error: { detail: '' } }),
    }),
  },
}));

let made = 0;
const id = (): string => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
const press = (...steps: string[]): NewPress => ({
  slug: 'marsh',
  id: id(),
  facts: steps.map((step) => ({ id: id(), fact: { kind: 'step', step, closure: 1 } })),
  at: '2026-01-01T10:00:00Z',
  says: steps.join(),
});
const sent = (): string[][] => server.lists.map((list) => list.map(({ step }) => step));

describe('a list of what waits', () => {
  let store = new OutboxStore();
  const send = () => new Sender('marsh', store, () => 0).send(async () => undefined);
  const says = async (): Promise<(string | undefined)[]> => (await store.all('marsh')).map((one) => one.says);

  beforeEach(() => {
    store = new OutboxStore();
    server.lists.length = 0;
    server.well = true;
    server.answers = () => ({ status: 200 });
  });

  it('is told in its order, pressed together together, with rising numbers', async () => {
    for (const one of [press('mark'), press('foot', 'needle'), press('sew')]) await store.add(one);
    expect(await send()).toBe('all');
    expect(sent()).toEqual([['mark', 'foot', 'needle', 'sew']]);
    const [list] = server.lists;
    expect(list?.map(({ n }) => n)).toEqual([...(list ?? [])].map(({ n }) => n).sort((a, b) => a - b));
    expect(list?.[1]?.press).toBe(list?.[2]?.press);
    expect(await says()).toEqual([]);
  });

  it.each([0, 401, 403, 407, 408, 429])('waits while the answer is %d', async (status) => {
    await store.add(press('mark'));
    server.answers = () => ({ status });
    expect(await send()).toBe([401, 403, 407].includes(status) ? 'sign_in' : 'silent');
    expect(await says()).toEqual(['mark']);
  });

  it('lets others pass what is refused, keeps that, and drops what takes it back', async () => {
    const wrong = press('antenna');
    await store.add(press('mark'));
    await store.add(wrong);
    await store.add({
      ...press('back'),
      facts: [{ id: id(), fact: { kind: 'withdrawal', about: wrong.facts[0]?.id ?? '' } }],
    });
    await store.add(press('sew'));
    server.answers = () => ({
      status: 200,
      list: (step) => (step === 'antenna' ? ['refused', 'No such part.'] : ['kept', '']),
    });
    expect(await send()).toBe('all');
    expect((await store.all('marsh')).map(({ says: what, refused }) => [what, refused])).toEqual([
      ['antenna', 'No such part.'],
    ]);
    server.answers = () => ({ status: 200 });
    await store.again((await store.all('marsh'))[0] as Press);
    expect(await send()).toBe('all');
    expect(await says()).toEqual([]);
  });

  it('is sent one by one where all of it is not taken, and only what is at fault is set aside', async () => {
    for (const step of ['mark', 'huge', 'sew']) await store.add(press(step));
    server.answers = (steps) => ({ status: steps.includes('huge') ? 413 : 200 });
    expect(await send()).toBe('all');
    expect((await store.all('marsh')).map(({ refused }) => refused)).toEqual(['This is too large to save.']);
    expect(
      sent()
        .flat()
        .filter((step) => step === 'sew'),
    ).toHaveLength(2);
  });

  it('lets others pass what the server fails over again and again, while it is well', async () => {
    for (const step of ['broken', 'mark']) await store.add(press(step));
    server.answers = (steps) => ({ status: steps.includes('broken') ? 500 : 200 });
    expect(await send()).toBe('failing');
    expect(await says()).toEqual(['broken']);
    server.well = false;
    await store.add(press('sew'));
    expect(await send()).toBe('silent');
    expect(await says()).toEqual(['broken', 'sew']);
  });

  it('stays laid over a session until a newer one is kept', async () => {
    await store.add({ ...press('mark'), session: 7 });
    expect(await send()).toBe('all');
    const told = await store.all('marsh');
    expect(told.map((one) => [one.told, waits(one)])).toEqual([[true, false]]);
    const doc = (as_of: string) => ({ as_of, steps: [] }) as never;
    await store.keepSession('marsh:7', doc('2026-01-01T10:00:02Z'), told);
    expect(await says()).toEqual([]);
    const kept = await store.keepSession('marsh:7', doc('2026-01-01T10:00:01Z'), []);
    expect(kept.doc.as_of).toBe('2026-01-01T10:00:02Z');
  });
});

describe('a browser that keeps nothing more', () => {
  it('numbers what one press does by whole numbers, before what it would number next', async () => {
    vi.resetModules();
    const full = () => {
      throw new Error('full');
    };
    const there = async () => [{ ...press('mark'), n: 7 }];
    vi.doMock('idb', () => ({ openDB: async () => ({ transaction: full, getAllFromIndex: there }) }));
    const { OutboxStore: Full } = await import('../src/outbox/store');
    const store = new Full();
    await store.add(...Array.from({ length: 40 }, (_, place) => press(`open-${place}`)));
    const numbers = (await store.all('marsh')).map((one) => numberOf(one, 0));
    expect(numbers).toHaveLength(41);
    expect(numbers.filter((n) => !Number.isInteger(n))).toEqual([]);
    expect(new Set(numbers).size).toBe(41);
    expect(Math.max(...numbers)).toBeLessThan(numberOf({ ...press('next'), n: 8 }, 0));
    vi.doUnmock('idb');
    vi.resetModules();
  });
});

describe('a photo of a test hole', () => {
  it('waits for its fact and for the server, and goes when it is kept or will never be', async () => {
    const { photos } = await import('../src/outbox/photos');
    const now = vi.spyOn(Date, 'now').mockReturnValue(0);
    const tell = async (untold: string[]) => {
      server.photo.asked = [];
      await photos.tell('marsh', async () => untold);
      return server.photo.asked;
    };
    const left = async () => (await photos.all()).map(({ entry }) => entry);
    for (const entry of ['untold', 'unknown', 'broken', 'fine', 'huge'])
      await photos.add({ entry, slug: 'marsh', file: new File(['x'], 'a.jpg', { type: 'image/jpeg' }) });
    await photos.add({ entry: 'elsewhere', slug: 'shore', file: new File(['x'], 'a.jpg') });
    server.photo.of = (entry) => ({ unknown: 404, broken: 500, huge: 413 })[entry] ?? 200;
    expect(await tell(['untold'])).toEqual(['unknown', 'broken', 'fine', 'huge']);
    expect(await left()).toEqual(['untold', 'unknown', 'broken', 'elsewhere']);
    server.photo.of = () => 0;
    expect(await tell([])).toEqual(['untold']);
    // What the server does not know after so long it will not know; what it failed over is for another page.
    now.mockReturnValue(3_600_000);
    server.photo.of = (entry) => (entry === 'unknown' ? 404 : 200);
    expect(await tell([])).toEqual(['untold', 'unknown']);
    expect(await left()).toEqual(['broken', 'elsewhere']);
    now.mockRestore();
  });
});

describe('what a page shows', () => {
  it('no longer has what its document knows of, though a session keeps it for longer', async () => {
    vi.stubGlobal('navigator', {});
    server.answers = () => ({ status: 200 });
    const { Outbox } = await import('../src/outbox/outbox.svelte');
    const outbox = new Outbox('shore');
    await outbox.add({ session: 7, says: 'mark', facts: press('mark').facts });
    await vi.waitFor(() => expect(outbox.told).toHaveLength(1), PATIENCE);
    outbox.forget(outbox.told);
    expect(await outbox.store.all('shore')).toHaveLength(1);
    const beats = ['place', 'lever', 'sew'];
    const added = outbox.add(...beats.map((says) => ({ session: 7, says, facts: press(says).facts })));
    const shown = () => outbox.facts.map(({ fact }) => fact.step);
    // The beats of a hole are one moment: no part of them is ever shown.
    expect(shown()).toEqual(beats);
    await added;
    await vi.waitFor(() => expect(outbox.told).toHaveLength(3), PATIENCE);
    expect(shown()).toEqual(beats);
    outbox.leave();
    vi.unstubAllGlobals();
  });
});

describe('an answer', () => {
  it('is nobody’s unless it names every fact', () => {
    const page = {
      kind: 'data',
      data: '<html>' as never,
      response: new Response(),
    } as Answer<EntriesAnswered>;
    expect(meaning(page, ['a'])).toEqual({ kind: 'away', why: 'sign_in' });
    const half = { kind: 'data', data: { entries: [] }, response: new Response() } as Answer<EntriesAnswered>;
    expect(meaning(half, ['a'])).toEqual({ kind: 'away', why: 'sign_in' });
  });
});

describe('ids', () => {
  it('are put together as the server does', () => {
    expect(both('a3f6b731-b5a1-85da-8054-ad5ca3269f27', '403c8116-6fa1-8b8e-84c2-5785d2b2daea')).toBe(
      'e3ca3627-da00-8e54-8496-fad9719445cd',
    );
  });

  it('of facts rise with presses', () => {
    const [one, two] = [1, 2].map((n) => ({ ...press('a', 'b'), n })) as [Press, Press];
    expect(numberOf(one, 0) < numberOf(one, 1) && numberOf(one, 1) < numberOf(two, 0)).toBe(true);
  });
});
