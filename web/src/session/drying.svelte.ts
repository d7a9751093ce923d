// What dries: whether it is dry by the clock, and, where somebody wants it, a sound and a notice when it is. All of it
// works without a connection, as long as the page is open.
import { keep, recall } from '../api/browser_store';
import { announce } from '../ui/announce.svelte';

export type Drying = {
  /** Where it lies. */ part: string;
  /** When it is dry, ms. */ at: number;
};

const KEY = 'drying';
/** How often the clock is looked at, ms. */
const LOOK = 1000;
/** So near to each other two times are one, ms. */
const SAME = 60_000;
/** Three tones, Hz. */
const TONES = [660, 880, 1320];

class DryNotice {
  /** ms */
  now = $state(Date.now());
  /** What is waited for, kept over a reload. */
  wanted = $state.raw<Drying | undefined>(recall<Drying>(KEY));
  /** What is dry and was not seen yet. */
  dry = $state.raw<Drying>();
  /** How far this device's clock is ahead of the server's, ms. */
  private ahead = $state(0);
  private timer: ReturnType<typeof setInterval> | undefined;
  private sound: AudioContext | undefined;

  /** The server just said which time it is. */
  heard(asOf: string): void {
    this.ahead = Date.now() - Date.parse(asOf);
  }

  /** By this device's clock, so many seconds after a moment of the server, ms. */
  after(asOf: string, seconds: number): number {
    return Date.parse(asOf) + this.ahead + seconds * 1000;
  }

  /** Looks at the clock from now on. */
  start(): void {
    this.timer ??= setInterval(() => this.look(), LOOK);
    this.look();
  }

  /** Asks for leave to show a notice and to sound: both need the press of a button. */
  async want(drying: Drying): Promise<void> {
    this.wanted = drying;
    keep(KEY, drying);
    if ('AudioContext' in window) this.sound ??= new AudioContext();
    await this.sound?.resume();
    if ('Notification' in window && Notification.permission === 'default')
      await Notification.requestPermission();
  }

  /** Whether somebody waits for this. The server counts in whole seconds, so its time moves a little. */
  waitsFor({ part, at }: Drying): boolean {
    return this.wanted?.part === part && Math.abs(this.wanted.at - at) < SAME;
  }

  seen(): void {
    this.dry = undefined;
  }

  private look(): void {
    this.now = Date.now();
    if (!this.wanted || this.wanted.at > this.now) return;
    this.dry = this.wanted;
    this.wanted = undefined;
    keep(KEY, undefined);
    this.tell(this.dry);
  }

  private tell({ part }: Drying): void {
    announce(`Dry: ${part}.`);
    if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([200, 100, 200]);
    this.ring();
    if ('Notification' in window && Notification.permission === 'granted') {
      // A phone shows notices only through its worker.
      const notice = { body: part, tag: KEY, data: location.href };
      void navigator.serviceWorker?.ready
        .then((worker) => worker.showNotification('Dry', notice))
        .catch(() => new Notification('Dry', notice));
    }
  }

  private ring(): void {
    const { sound } = this;
    if (!sound) return;
    TONES.forEach((tone, index) => {
      const [voice, loud] = [sound.createOscillator(), sound.createGain()];
      const from = sound.currentTime + index * 0.25;
      voice.frequency.value = tone;
      loud.gain.setValueAtTime(0.2, from);
      loud.gain.exponentialRampToValueAtTime(0.001, from + 0.24);
      voice.connect(loud).connect(sound.destination);
      voice.start(from);
      voice.stop(from + 0.25);
    });
  }
}

export const drying = new DryNotice();
