// An exercise on the practice machine: every act goes to the server, which alone knows what comes of it. While the pedal
// is down the page draws what the server has worked out in advance. What was done is kept until the exercise is over: a
// reload goes on where it was.
import { ask, words } from '../api/ask';
import { keep, recall, uuid } from '../api/browser_store';
import { client, type Attempt, type PracticeAct } from '../api/client';
import { announce } from '../ui/announce.svelte';
import { motorOff, motorOn, sound } from './sounds';

export type How = 'shown' | 'hints' | 'alone';

/** @see Practice.helped */
type Kept = { id: string; acts: PracticeAct[]; how: How; helped?: boolean; seconds: number; at: number };

const AT = '/api/workrooms/{slug}/closures/{id}/rehearsal';
const DAY = 86_400_000;
/** Between two acts that are shown, ms; and how much faster a pedal is shown. */
const SHOWN_EVERY = 1100;
const SHOWN_FASTER = 4;
const SHOWN_RATE = 0.25;

export class Practice {
  attempt = $state.raw<Attempt>();
  how = $state<How>('hints');
  failed = $state('');
  /** Stitches of what is sewn ahead that are drawn. */
  drawn = $state(0);
  /** Degrees of the wheel that are drawn beyond where it stands. */
  turning = $state(0);
  pressed = $state(false);
  hint = $state(false);
  kept = $state<'' | 'keeping' | 'kept' | 'away'>('');
  paused = $state(false);
  seconds = $state(0);
  private acts = $state.raw<PracticeAct[]>([]);
  /** A hint was asked for: what is done with one is not done alone. */
  private helped = false;
  private id = uuid();
  private busy = false;
  private waiting: PracticeAct[] = [];
  private frame = 0;
  private timer = 0;
  private since = 0;
  private gone = false;
  /** Rises when the exercise begins again: what was asked before is not looked at. */
  private round = 0;

  constructor(
    readonly slug: string,
    readonly closure: number,
    readonly exercise: string,
    readonly faster = 1,
  ) {}

  private get key(): string {
    return `rehearsal:${this.slug}:${this.closure}:${this.exercise}`;
  }

  /** Acts so far. */
  get count(): number {
    return this.acts.length;
  }

  private get path() {
    return { slug: this.slug, id: this.closure };
  }

  async open(): Promise<void> {
    const kept = recall<Kept>(this.key);
    if (kept && Date.now() - kept.at < DAY) {
      this.id = kept.id;
      this.acts = kept.acts;
      this.how = kept.how;
      this.helped = kept.helped ?? false;
      this.seconds = kept.seconds;
    }
    await this.read(this.acts);
    if (this.attempt?.done) await this.over();
    this.showOn();
  }

  leave(): void {
    this.gone = true;
    this.stop();
  }

  help(): void {
    this.hint = true;
    this.helped = true;
  }

  /** Nothing runs on, and no act comes of it. */
  private stop(): void {
    clearTimeout(this.timer);
    cancelAnimationFrame(this.frame);
    motorOff();
    this.pressed = false;
    this.letting = () => {};
  }

  async again(how: How = this.how): Promise<void> {
    this.stop();
    this.round += 1;
    this.how = how;
    this.helped = false;
    this.id = uuid();
    this.acts = [];
    this.waiting = [];
    this.seconds = 0;
    this.since = 0;
    this.kept = '';
    this.hint = false;
    this.paused = false;
    keep(this.key, undefined);
    await this.read([]);
    this.showOn();
  }

  /** One act after the other, in the order in which they were done. */
  async act(act: PracticeAct): Promise<void> {
    if (this.attempt?.done) return;
    this.waiting.push(act);
    if (this.busy) return;
    this.busy = true;
    for (let next = this.waiting.shift(); next; next = this.waiting.shift()) await this.send(next);
    this.busy = false;
    if (this.attempt?.done) await this.over();
    else this.showOn();
  }

  private async send(act: PracticeAct): Promise<void> {
    const before = this.attempt?.slips.length ?? 0;
    const acts = [...this.acts, act];
    if (!(await this.read(acts))) return;
    if (!this.since) this.since = performance.now();
    this.hint = false;
    this.acts = acts;
    this.store();
    this.tell(before);
  }

  private async read(acts: PracticeAct[]): Promise<boolean> {
    const { round } = this;
    const body = { exercise: this.exercise, acts };
    const answer = await ask(client.POST(AT, { params: { path: this.path }, body }));
    if (round !== this.round) return false;
    this.failed = words(answer);
    this.drawn = 0;
    this.turning = 0;
    if (answer.kind !== 'data') return false;
    this.attempt = answer.data;
    return true;
  }

  private store(): void {
    if (this.how === 'shown') return;
    const now = performance.now();
    this.seconds += (now - this.since) / 1000;
    this.since = now;
    const { id, acts, how, helped, seconds } = this;
    keep(this.key, { id, acts, how, helped, seconds, at: Date.now() } satisfies Kept);
  }

  /** What is seen and heard, in sound and in words. */
  private tell(before: number): void {
    const { happened, slips } = this.attempt ?? {};
    happened?.heard.filter((one) => one.key !== 'hum').forEach((one) => sound(one.key));
    const made = slips?.slice(before).map((slip) => `${slip.says} ${slip.does}`) ?? [];
    const seen = [...(happened?.heard ?? []), ...(happened?.seen ?? [])].map((one) => one.says);
    const next = this.how === 'alone' ? [] : [this.attempt?.step?.says ?? ''];
    announce([...seen, ...made, ...next].filter(Boolean).join(' '));
  }

  press(hard = false): void {
    const ahead = this.attempt?.ahead;
    if (this.pressed || !ahead || this.busy) return;
    this.pressed = true;
    const rate = (hard ? ahead.hard : ahead.rate) * this.faster;
    const from = performance.now();
    const angle = this.attempt?.state.angle ?? 0;
    if (ahead.heard.includes('beep')) return void this.release(hard, 0.1);
    motorOn(rate);
    const step = (): void => {
      const elapsed = (performance.now() - from) / 1000;
      this.turning = elapsed * rate * 360;
      const turns = Math.floor((angle + this.turning + 180) / 360) - Math.floor((angle + 180) / 360);
      this.drawn = Math.min(turns, ahead.points.length / 2);
      if (ahead.stops !== null && turns >= ahead.stops) void this.release(hard, elapsed * this.faster);
      else this.frame = requestAnimationFrame(step);
    };
    this.letting = (hold) => void this.release(hold, ((performance.now() - from) / 1000) * this.faster);
    this.hard = hard;
    this.frame = requestAnimationFrame(step);
  }

  private letting: (hard: boolean) => void = () => {};
  private hard = false;

  letGo(): void {
    if (this.pressed) this.letting(this.hard);
  }

  private async release(hard: boolean, seconds: number): Promise<void> {
    if (!this.pressed) return;
    this.stop();
    await this.act({ act: 'pedal', seconds: Math.min(seconds, 120), hard });
  }

  /** The next right act is done for whoever looks on. */
  private showOn(): void {
    clearTimeout(this.timer);
    const step = this.attempt?.step;
    if (this.how !== 'shown' || this.paused || !step || this.gone) return;
    this.timer = window.setTimeout(() => void this.show(step.act), SHOWN_EVERY);
  }

  private async show(act: PracticeAct): Promise<void> {
    const seconds = act.seconds ?? 0;
    const ahead = this.attempt?.ahead;
    if (act.act === 'pedal' && ahead && seconds > 0.5) {
      this.pressed = true;
      const rate = Math.max(ahead.rate * SHOWN_FASTER * this.faster, 1);
      const stitches = Math.floor(seconds * ahead.rate);
      motorOn(rate * SHOWN_RATE);
      const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
      for (let sewn = still ? stitches : 0; sewn < stitches && !this.gone && this.pressed; sewn += 1) {
        this.drawn = Math.min(sewn, ahead.points.length / 2);
        this.turning = sewn * 360;
        await new Promise((done) => setTimeout(done, 1000 / rate));
      }
      motorOff();
      if (!this.pressed) return;
      this.pressed = false;
    }
    if (!this.gone && this.how === 'shown') await this.act(act);
  }

  pause(paused: boolean): void {
    this.paused = paused;
    if (!paused) this.showOn();
    else clearTimeout(this.timer);
  }

  /** Hands that are shown are no exercise. */
  async over(): Promise<void> {
    if (this.how === 'shown' || this.kept === 'kept') return;
    this.kept = 'keeping';
    const body = {
      id: this.id,
      exercise: this.exercise,
      alone: this.how === 'alone' && !this.helped,
      seconds: Math.round(Math.min(this.seconds, 86_400)),
      acts: this.acts,
    };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/closures/{id}/rehearsals', { params: { path: this.path }, body }),
    );
    // Who only looks on practises, and nothing is kept of it.
    this.kept = answer.kind === 'away' ? 'away' : 'kept';
    if (answer.kind !== 'away') keep(this.key, undefined);
  }
}
