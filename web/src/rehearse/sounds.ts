// What a practice machine sounds like, made by the page itself: nothing is fetched, and it can be switched off.
import { keep, recall } from '../api/browser_store';

const OFF = 'rehearsal-silent';

let context: AudioContext | undefined;
let motor: { stop: () => void } | undefined;

export const silent = (): boolean => recall<boolean>(OFF) ?? false;

export function hush(off: boolean): void {
  keep(OFF, off || undefined);
  if (off) motorOff();
}

/** Only after somebody touched something: before that a browser makes no sound. */
function audio(): AudioContext | undefined {
  if (silent() || !('AudioContext' in window)) return undefined;
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
  return context;
}

type Tone = { wave: OscillatorType; from: number; to?: number; lasts: number; loud: number; after?: number };

const TONES: Record<string, Tone[]> = {
  beep: [0, 0.22, 0.44].map((after) => ({ wave: 'square', from: 880, lasts: 0.12, loud: 0.04, after })),
  click: [{ wave: 'triangle', from: 1400, to: 500, lasts: 0.04, loud: 0.06 }],
  thud: [{ wave: 'sine', from: 140, to: 60, lasts: 0.12, loud: 0.16 }],
  snap: [
    { wave: 'sawtooth', from: 2600, to: 300, lasts: 0.07, loud: 0.12 },
    { wave: 'sine', from: 320, to: 90, lasts: 0.2, loud: 0.1, after: 0.03 },
  ],
  grind: [{ wave: 'sawtooth', from: 90, to: 45, lasts: 0.5, loud: 0.09 }],
};

export function sound(key: string): void {
  const at = audio();
  if (!at) return;
  for (const tone of TONES[key] ?? []) {
    const begins = at.currentTime + (tone.after ?? 0);
    const wave = at.createOscillator();
    const loud = at.createGain();
    wave.type = tone.wave;
    wave.frequency.setValueAtTime(tone.from, begins);
    if (tone.to) wave.frequency.exponentialRampToValueAtTime(tone.to, begins + tone.lasts);
    loud.gain.setValueAtTime(tone.loud, begins);
    loud.gain.exponentialRampToValueAtTime(0.0005, begins + tone.lasts);
    wave.connect(loud).connect(at.destination);
    wave.start(begins);
    wave.stop(begins + tone.lasts + 0.02);
  }
}

/** @param rate stitches a second */
export function motorOn(rate: number): void {
  const at = audio();
  if (!at || motor) return;
  const wave = at.createOscillator();
  const beat = at.createOscillator();
  const depth = at.createGain();
  const loud = at.createGain();
  wave.type = 'sawtooth';
  wave.frequency.value = 70 + rate * 4;
  beat.frequency.value = rate;
  depth.gain.value = 0.012;
  loud.gain.value = 0.018;
  beat.connect(depth).connect(loud.gain);
  wave.connect(loud).connect(at.destination);
  [wave, beat].forEach((one) => one.start());
  motor = { stop: () => [wave, beat].forEach((one) => one.stop()) };
}

export function motorOff(): void {
  motor?.stop();
  motor = undefined;
}
