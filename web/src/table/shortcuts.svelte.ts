// Single keys of the table: they can be switched off, mean nothing to somebody who is typing, and never
// act behind a dialog or a menu.
import { keep, recall } from '../api/browser_store';

const TYPING =
  'input:not([type="radio"], [type="checkbox"], [type="range"]), select, textarea, [contenteditable]';
const BEFORE = '[role="dialog"], [role="alertdialog"], [role="menu"]';

class Shortcuts {
  on = $state(recall<boolean>('shortcuts') ?? true);

  toggle(): void {
    this.on = !this.on;
    keep('shortcuts', this.on ? undefined : false);
  }

  /** Whether a key with Ctrl or Alt may act: nobody types, nothing lies before the table. */
  free(event: KeyboardEvent): boolean {
    const target = event.target instanceof Element ? event.target : null;
    return !target?.closest(TYPING) && !document.querySelector(BEFORE);
  }

  /** Whether a single key may act. */
  single(event: KeyboardEvent): boolean {
    return this.on && this.free(event);
  }
}

export const shortcuts = new Shortcuts();
