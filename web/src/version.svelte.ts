// The shell of the application is kept in the browser, and opens without a connection. A new version waits while anybody
// sits at a machine, in whatever tab, and is taken when somebody goes to another page.
import { registerSW } from 'virtual:pwa-register';

/** Held, shared, by every page that must not change under the hands. */
const AT_THE_MACHINE = 'nimble-eyelet:sitting';

let take: ((reload?: boolean) => Promise<void>) | undefined;
let ready = $state(false);

export const version = {
  /** Whether a new one waits. */
  get waits(): boolean {
    return ready;
  },
};

export function keepShell(): void {
  if (!('serviceWorker' in navigator)) return;
  take = registerSW({ immediate: false, onNeedRefresh: () => (ready = true) });
}

/** Somebody went to another page, or asked for it: a new version may come now. */
export async function mayChange(): Promise<void> {
  if (!ready || !take || !('locks' in navigator)) return;
  await navigator.locks.request(AT_THE_MACHINE, { ifAvailable: true }, async (free) => {
    if (!free) return;
    ready = false;
    await take?.(true);
  });
}

/** Nothing changes until what comes back is called. */
export function holdVersion(): () => void {
  let letGo: () => void = () => undefined;
  if ('locks' in navigator)
    void navigator.locks.request(
      AT_THE_MACHINE,
      { mode: 'shared' },
      () => new Promise<void>((done) => (letGo = done)),
    );
  return () => letGo();
}
