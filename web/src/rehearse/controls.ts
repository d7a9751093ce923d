// The parts of the practice machine that hands reach: how each stands, and what can be done with it.
import type { Attempt, Bench, PracticeAct } from '../api/client';

export type Move = { label: string; act: PracticeAct; here?: boolean };
export type Control = { key: string; name: string; now: string; moves: Move[] };

type State = Attempt['state'];

/** Parts that stand on one dial or lever with others. */
const DIALS = ['width', 'length', 'tension', 'balance', 'foot_pressure', 'speed'];
const WITH_THE_FOOT = ['button_in_foot', 'foot_opened'];

/** @param lays what the exercise lays under the needle */
export function controls(bench: Bench, state: State, lays: string[]): Control[] {
  const found: Control[] = [
    two('power', 'power switch', state.power ? 'on' : 'off', { act: 'power' }, [
      ['Switch on', 'on'],
      ['Switch off', 'off'],
    ]),
    two('presser', 'presser foot lever', state.foot_down ? 'down' : 'up', { act: 'presser' }, [
      ['Foot down', 'down'],
      ['Foot up', 'up'],
    ]),
    wheel(state),
    lever(bench, state),
    selector(bench, state),
    ...DIALS.map((key) => dial(bench, state, key)),
    foot(bench, state),
    frame(bench, state),
    needle(bench, state),
    thread(bench, state),
    bobbin(bench, state),
    feed(bench, state),
    key(bench),
    fabric(bench, state, lays),
  ].filter((one): one is Control => one !== undefined && one.moves.length > 0);
  return found;
}

function two(key: string, name: string, now: string, act: PracticeAct, to: [string, string][]): Control {
  return {
    key,
    name,
    now,
    moves: to.map(([label, at]) => ({ label, act: { ...act, to: at }, here: now === at })),
  };
}

function wheel(state: State): Control {
  const turns: [string, number][] = [
    ['Needle up', state.angle === 0 ? 360 : 360 - state.angle],
    ['Needle down', (180 - state.angle + 360) % 360 || 360],
    ['Two turns towards you', 720],
    ['Half a turn away from you', -180],
  ];
  return {
    key: 'wheel',
    name: 'hand wheel',
    now: state.needle_down ? 'needle down' : 'needle up',
    moves: turns.map(([label, degrees]) => ({ label, act: { act: 'wheel', degrees } })),
  };
}

const part = (bench: Bench, key: string) => bench.parts.find((one) => one.key === key);

function choices(bench: Bench, state: State, key: string): Move[] {
  const here = state.parts[key] ?? null;
  return (part(bench, key)?.choices ?? []).map((one) => ({
    label: one.label,
    act: { act: 'set', part: key, to: one.to },
    here: one.to === here,
  }));
}

function stands(bench: Bench, state: State, key: string): string {
  return choices(bench, state, key).find((one) => one.here)?.label ?? '';
}

function again(bench: Bench): Move[] {
  if (bench.by_hand) return [];
  const label = bench.reset ? capital(bench.reset) : 'Select the buttonhole again';
  return [{ label: `Back to the start: ${label.toLowerCase()}`, act: { act: 'begin_again' } }];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function lever(bench: Bench, state: State): Control | undefined {
  if (!bench.senses) return undefined;
  const down = state.parts['lever'] === 'down';
  const moves: Move[] = [
    { label: 'Pull it down', act: { act: 'set', part: 'lever', to: 'down' }, here: down },
    { label: 'Push it up', act: { act: 'set', part: 'lever', to: null }, here: !down },
    ...(bench.reset?.includes('lever') ? again(bench) : []),
  ];
  return { key: 'lever', name: 'buttonhole lever', now: down ? 'down' : 'up', moves };
}

function selector(bench: Bench, state: State): Control | undefined {
  const turned = bench.reset?.includes('lever') ? [] : again(bench);
  const steps = bench.partwise
    ? [1, 2, 3, 4].slice(1).map((number) => ({
        label: `Part ${number} of the hole`,
        act: { act: 'step', to: String(number - 1) } as PracticeAct,
        here: state.stretch === number - 1 && !state.spent,
      }))
    : [];
  const now = stands(bench, state, 'selector');
  const at = bench.partwise && state.parts['selector'] ? `${now}, part ${state.stretch + 1}` : now;
  return {
    key: 'selector',
    name: 'selector',
    now: at,
    moves: [...choices(bench, state, 'selector'), ...turned, ...steps],
  };
}

function dial(bench: Bench, state: State, key: string): Control | undefined {
  const found = part(bench, key);
  if (!found || found.choices.length < 2) return undefined;
  const moves = choices(bench, state, key);
  if (key === 'width' && bench.by_hand)
    moves.push(
      { label: 'Needle in the middle', act: { act: 'position', to: 'middle' }, here: !state.aside },
      { label: 'Needle to the side', act: { act: 'position', to: 'aside' }, here: state.aside },
    );
  return { key, name: found.name, now: stands(bench, state, key), moves };
}

function foot(bench: Bench, state: State): Control {
  const moves = choices(bench, state, 'foot').map((one) => ({ ...one, label: `Fit: ${one.label}` }));
  return { key: 'foot', name: 'presser foot', now: stands(bench, state, 'foot'), moves };
}

/** What is held in a buttonhole foot, or hooked to it. */
function frame(bench: Bench, state: State): Control | undefined {
  if (!bench.clamped && !bench.corded) return undefined;
  const held = WITH_THE_FOOT.flatMap((key) =>
    choices(bench, state, key).map((one) => ({
      ...one,
      label: key === 'button_in_foot' ? `Button: ${one.label}` : `Opened further: ${one.label}`,
    })),
  );
  const slide: Move[] = bench.clamped
    ? [{ label: 'Slide it to its front stop', act: { act: 'slide_foot' }, here: state.carriage === 'front' }]
    : [];
  const cord: Move[] = bench.corded
    ? [{ label: "Hook the cord's loop over the prong", act: { act: 'hook_cord' }, here: state.cord }]
    : [];
  return {
    key: 'frame',
    name: bench.clamped ? 'button in the foot' : 'cord',
    now: bench.clamped ? stands(bench, state, 'button_in_foot') : state.cord ? 'on its prong' : 'loose',
    moves: [...slide, ...cord, ...held],
  };
}

function needle(bench: Bench, state: State): Control {
  const moves = choices(bench, state, 'needle').map((one) => ({ ...one, label: `Fit: ${one.label}` }));
  const pieces: Move[] = state.pieces ? [{ label: 'Find every piece of it', act: { act: 'search' } }] : [];
  const now = state.needle_whole ? stands(bench, state, 'needle') : 'broken';
  return { key: 'needle', name: 'needle', now, moves: [...pieces, ...moves] };
}

const THREADED = { ready: 'threaded', outside: 'outside the discs', broken: 'broken', none: 'not threaded' };

function thread(bench: Bench, state: State): Control {
  const wanted = part(bench, 'top_thread')?.choices.find((one) => one.to !== null);
  const moves: Move[] = wanted
    ? [{ label: `Thread it: ${wanted.label}`, act: { act: 'set', part: 'top_thread', to: wanted.to } }]
    : [];
  return { key: 'thread', name: 'top thread', now: THREADED[state.threading], moves };
}

function bobbin(bench: Bench, state: State): Control {
  const wanted = part(bench, 'bobbin_thread')?.choices.find((one) => one.to !== null);
  const full: Move[] = wanted
    ? [{ label: 'Put in a full bobbin', act: { act: 'set', part: 'bobbin_thread', to: wanted.to } }]
    : [];
  const jam: Move[] = state.jammed
    ? [{ label: 'Cut what holds, and clean the hook', act: { act: 'free' } }]
    : [];
  const finger = choices(bench, state, 'bobbin_finger').map((one) => ({
    ...one,
    label: `Bobbin finger: ${one.label}`,
  }));
  const now = state.jammed ? 'jammed' : state.bobbin ? 'full' : 'empty';
  return {
    key: 'bobbin',
    name: 'bobbin',
    now,
    moves: [...jam, ...full, ...(finger.length > 1 ? finger : [])],
  };
}

function feed(bench: Bench, state: State): Control | undefined {
  const found = ['feed_dogs', 'cover_plate'].find((one) => (part(bench, one)?.choices.length ?? 0) > 1);
  if (!found) return undefined;
  return {
    key: 'feed',
    name: part(bench, found)?.name ?? '',
    now: stands(bench, state, found),
    moves: choices(bench, state, found),
  };
}

function key(bench: Bench): Control | undefined {
  if (!bench.stores) return undefined;
  return {
    key: 'key',
    name: 'reverse key',
    now: '',
    moves: [
      { label: 'Press it', act: { act: 'key' } },
      { label: 'Clear the memory', act: { act: 'clear' } },
    ],
  };
}

/** Nobody lays a mark under the needle to the millimetre: it is moved there. */
const BESIDE = { across: 1.5, along: -1 };

function fabric(bench: Bench, state: State, lays: string[]): Control | undefined {
  if (!lays.length) return undefined;
  const sewn = (name: string) => state.sewn.find((one) => one.name === name);
  /** What lies there is finished first; then the next comes. */
  const next = lays.find((name) => !sewn(name)?.finished || sewn(name)?.spoiled);
  const going = state.under !== null && state.under === next && (sewn(state.under)?.points.length ?? 0) === 0;
  const laid: Move[] = [next].flatMap((name) =>
    name && !going
      ? {
          label: `Lay ${placeName(bench, name)} under the needle`,
          act: { act: 'lay', to: name, ...(name.startsWith('pair') ? {} : BESIDE) } as PracticeAct,
          here: state.under === name,
        }
      : [],
  );
  const there: Move[] = state.under
    ? [
        {
          label: 'Lead both threads under the foot',
          act: { act: 'lead_tails' },
          here: state.tails === 'led',
        },
        { label: 'Slide it out', act: { act: 'lift' } },
        ...(bench.by_hand ? [{ label: 'Turn it half round', act: { act: 'turn' } as PracticeAct }] : []),
      ]
    : [];
  const now = state.under ? `${placeName(bench, state.under)} under the needle` : 'beside the machine';
  return { key: 'fabric', name: 'fabric', now, moves: [...there, ...laid] };
}

function placeName(bench: Bench, name: string): string {
  const number = Number(name.slice(5));
  if (name.startsWith('hole')) return `hole ${number + 1}`;
  const pairs = bench.button?.pairs ?? [];
  return pairs.length > 1 ? `the ${pairs[number]?.name ?? 'button'}` : 'the button';
}

/** An act in short: what is done, with what, and how far. */
export const named = (act: PracticeAct): string =>
  [act.act, act.part, act.to, act.degrees || null]
    .filter((one) => one !== null && one !== undefined)
    .join(' ');

/** Whether both do the same; how far off something is laid does not count. */
export const sameAct = (one: PracticeAct, other: PracticeAct): boolean => named(one) === named(other);

/** Which part the next act is done with. */
export function partOf(act: PracticeAct): string {
  const named: Record<string, string> = {
    power: 'power',
    presser: 'presser',
    wheel: 'wheel',
    pedal: 'pedal',
    key: 'key',
    clear: 'key',
    position: 'width',
    step: 'selector',
    begin_again: 'lever',
    slide_foot: 'frame',
    hook_cord: 'frame',
    free: 'bobbin',
    search: 'needle',
  };
  if (act.act !== 'set') return named[act.act] ?? 'fabric';
  const parts: Record<string, string> = {
    top_thread: 'thread',
    bobbin_thread: 'bobbin',
    bobbin_finger: 'bobbin',
    button_in_foot: 'frame',
    foot_opened: 'frame',
    feed_dogs: 'feed',
    cover_plate: 'feed',
  };
  return parts[act.part ?? ''] ?? act.part ?? '';
}
