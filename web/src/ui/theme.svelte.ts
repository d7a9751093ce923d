// Daylight or lamplight: follows the system until the person says otherwise.
import { keep } from '../api/browser_store';

class Theme {
  dark = $state(document.documentElement.dataset['theme'] === 'lamplight');

  toggle(): void {
    this.dark = !this.dark;
    const name = this.dark ? 'lamplight' : 'daylight';
    document.documentElement.dataset['theme'] = name;
    keep('theme', name);
  }
}

export const theme = new Theme();
