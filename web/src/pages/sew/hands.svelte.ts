// What both hands on the cloth leave over: keys and pedals, a voice, and a screen that stays on.
import { keep, recall } from '../../api/browser_store';

const ON = [' ', 'Enter', 'ArrowRight', 'ArrowDown', 'PageDown'];
const BACK = ['ArrowLeft', 'ArrowUp', 'PageUp', 'Backspace'];

export type Moves = { done: () => void; back: () => void; wrong: () => void };

/** Keys of a keyboard or a page-turning pedal, unless something is typed or a dialog is open. */
export function onKey(event: KeyboardEvent, moves: Moves): void {
  const at = event.target instanceof HTMLElement ? event.target : document.body;
  if (event.repeat || event.altKey || event.ctrlKey || event.metaKey) return;
  if (at.closest('input, select, textarea, [role=dialog]') || document.querySelector('[role=dialog]')) return;
  const pressed = event.key === ' ' || event.key === 'Enter';
  if (pressed && at.closest('button, a, label, summary') && !at.closest('[data-done]')) return;
  if (ON.includes(event.key)) moves.done();
  else if (BACK.includes(event.key)) moves.back();
  else if (event.key === '?') moves.wrong();
  else return;
  event.preventDefault();
}

/** Reads steps aloud by the browser's own voice, where it has one; off until somebody wants it. */
export class Voice {
  readonly there = 'speechSynthesis' in window;
  on = $state(recall<boolean>('voice') ?? false);

  toggle(text: string): void {
    this.on = !this.on;
    keep('voice', this.on);
    if (this.on) this.say(text);
    else speechSynthesis.cancel();
  }

  say(text: string): void {
    if (!this.on || !this.there) return;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }

  hush(): void {
    if (this.there) speechSynthesis.cancel();
  }
}

/** Keeps the screen on while it is looked at. */
export class Awake {
  /** Why it may go dark; empty while it is kept on. */
  why = $state('');
  private lock: WakeLockSentinel | undefined;
  private readonly again = (): void => {
    if (document.visibilityState === 'visible') void this.ask();
  };

  async ask(): Promise<void> {
    if (!('wakeLock' in navigator)) {
      this.why = window.isSecureContext
        ? 'This browser lets the screen go dark by itself: set it to stay on.'
        : 'Your screen may go dark, and steps need a connection: both work only with https.';
      return;
    }
    try {
      this.lock = await navigator.wakeLock.request('screen');
      this.why = '';
    } catch {
      this.why = 'The screen may go dark by itself: the device does not let it be kept on just now.';
    }
  }

  start(): () => void {
    void this.ask();
    document.addEventListener('visibilitychange', this.again);
    return () => {
      document.removeEventListener('visibilitychange', this.again);
      void this.lock?.release();
    };
  }
}
