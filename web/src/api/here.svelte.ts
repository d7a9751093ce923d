// Who else is there: this screen says what it looks at while it is looked at, and learns who looks at what. Where nobody
// signs in there is nobody else.
import { ask } from './ask';
import { uuid } from './browser_store';
import { client, type HereNow } from './client';
import { listen } from './live';
import { workroom } from './workroom.svelte';

/** It is said again after so long; after three times as long somebody is gone. */
const AGAIN = 30_000;
/** This tab, also after a reload. */
function tab(): string {
  try {
    const kept = sessionStorage.getItem('nimble-eyelet:screen');
    if (kept) return kept;
    const made = uuid();
    sessionStorage.setItem('nimble-eyelet:screen', made);
    return made;
  } catch {
    return uuid();
  }
}

const screen = tab();

class Here {
  all = $state.raw<HereNow>([]);
  private place = '';

  /** @param place such as "closure:12". @returns how to stop */
  at(slug: string, place: string): () => void {
    this.place = place;
    const say = (): void => void this.say(slug, place);
    say();
    const clock = setInterval(say, AGAIN);
    document.addEventListener('visibilitychange', say);
    const stop = listen(slug, (change) => change.kind === 'here' && say());
    return () => {
      clearInterval(clock);
      document.removeEventListener('visibilitychange', say);
      stop();
    };
  }

  private async say(slug: string, place: string): Promise<void> {
    if (document.visibilityState !== 'visible' || workroom.data?.you.kind === 'own') return;
    const params = { path: { slug } };
    const answer = await ask(client.PUT('/api/workrooms/{slug}/here', { params, body: { screen, place } }));
    if (answer.kind === 'data' && this.place === place) this.all = answer.data;
  }

  /** Other people who look at the same. */
  beside(place: string): HereNow {
    const you = workroom.data?.you.account;
    return this.all.filter((one) => one.place === place && one.account !== you);
  }
}

export const here = new Here();
