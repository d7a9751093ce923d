// How everything is shown on this device: light or dark, how large the text is, and for which hand the screens at the
// machine are laid out. Light and dark follow the system until somebody says otherwise; public/theme.js sets all of it
// before anything is drawn.
import { keep, recall } from '../api/browser_store';

const root = document.documentElement;

export type TextSize = 'usual' | 'large' | 'largest';
export type Hand = 'right' | 'left';

class Display {
  dark = $state(root.dataset['theme'] === 'lamplight');
  text = $state<TextSize>((root.dataset['text'] as TextSize | undefined) ?? 'usual');
  /** Whether practising is offered, and slips of it are shown at the machine. */
  rehearse = $state(!(recall<boolean>('rehearsal-off') ?? false));
  hand = $state<Hand>((root.dataset['hand'] as Hand | undefined) ?? 'right');

  darken(dark: boolean): void {
    this.dark = dark;
    this.set('theme', dark ? 'lamplight' : 'daylight');
  }

  size(text: TextSize): void {
    this.text = text;
    this.set('text', text);
  }

  lead(hand: Hand): void {
    this.hand = hand;
    this.set('hand', hand);
  }

  offer(rehearse: boolean): void {
    this.rehearse = rehearse;
    keep('rehearsal-off', rehearse ? undefined : true);
  }

  private set(name: string, value: string): void {
    root.dataset[name] = value;
    keep(name, value);
  }
}

export const display = new Display();
