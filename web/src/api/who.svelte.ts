// Who is signed in here, as far as this browser knows, and whether somebody has to sign in before it goes on. What was
// read for one person is forgotten before it is shown to another.
import { keep, recall } from './browser_store';

class Who {
  /** The server wants a name before it says anything. */
  lapsed = $state(false);
  /** How often somebody signed in here. */
  times = 0;

  /** What was asked before somebody signed in says nothing of now. @param began how often they had when it was asked */
  laps(began: number): void {
    if (began === this.times) this.lapsed = true;
  }

  /** Somebody came in: nothing of before counts, whoever it is. */
  came(): void {
    this.times += 1;
    this.lapsed = false;
  }

  /** Somebody else than before: called with what is to be forgotten. */
  async is(account: number | null, forget: () => Promise<void>): Promise<void> {
    this.came();
    const before = recall<number | null>('account');
    keep('account', account);
    if (before !== undefined && before !== account) await forget();
  }
}

export const who = new Who();

/** Addresses that are there for whoever has not come in yet. */
export const OUTSIDE = ['/sign-in', '/join', '/pair', '/new-password', '/shared'];

/** Where somebody wanted to go before they were asked for a name; never out of the application. */
export function wanted(): string {
  const to = new URLSearchParams(location.search).get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) ? to : '/';
}

/** Initials, as they stand where there is little room. */
export function initials(name: string): string {
  const words = name.trim().split(/\s+/);
  const first = words[0]?.[0] ?? '';
  return (first + (words.length > 1 ? (words.at(-1)?.[0] ?? '') : (words[0]?.[1] ?? ''))).toUpperCase();
}
