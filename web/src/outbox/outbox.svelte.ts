// Outbox is what happened and waits to be told: facts and nothing but facts, of all tabs of this browser. What is shown
// is the server's own word with what waits laid over it, also for a moment after it was told, until that word is newer.
import { uuid } from '../api/browser_store';
import { Retry } from '../api/retry';
import { photos } from './photos';
import { waits, type NewPress, type Press, type Said } from './press';
import { Sender } from './sender';
import { OutboxStore } from './store';
import { inTurn } from './turn';

/** What fails is tried again after so long. */
const FAILING_RETRY = 60_000;

export const CHANNEL = 'nimble-eyelet-outbox';

/** What tabs tell each other: something of this workroom was added, told or dropped. */
export type Heard = { slug: string; dropped?: number[] };

/** One for all of a page. */
export const store = new OutboxStore();

export class Outbox {
  /** All that waits, was refused, or was told and is not yet in what is shown; oldest first. */
  presses = $state.raw<Press[]>([]);
  /** Why nothing is told just now. */
  away = $state<'' | 'silent' | 'sign_in'>('');
  /** Presses the server fails over, while others pass. */
  failing = $state.raw<number[]>([]);
  /** Facts still to be told. */
  readonly waiting = $derived(this.presses.filter(waits).reduce((sum, { facts }) => sum + facts.length, 0));
  readonly refused = $derived(this.presses.filter((press) => press.refused !== undefined));
  /** What counts as having happened. */
  readonly standing = $derived(this.presses.filter((press) => press.refused === undefined));
  /** Facts that count, told or not. */
  readonly facts = $derived(this.standing.flatMap((press) => press.facts));

  readonly store = store;
  /** Called when all is told: the server knows more than what is shown. */
  onTold: (() => Promise<void>) | undefined;
  private readonly sender: Sender;
  private readonly channel: BroadcastChannel | undefined;
  private sending: Promise<void> | undefined;
  private again = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly retry = new Retry();
  private gone = false;
  /** Presses that what is shown knows of: a session may keep them in the store for longer. */
  private readonly known = new Set<string>();

  constructor(
    readonly slug: string,
    private readonly clock: () => number = Date.now,
  ) {
    this.sender = new Sender(slug, store, clock);
    if ('BroadcastChannel' in globalThis) {
      this.channel = new BroadcastChannel(CHANNEL);
      this.channel.onmessage = ({ data }: MessageEvent<Heard>) => {
        if (data.slug === this.slug) void this.heard(data);
      };
    }
  }

  /** Reads what is kept. */
  async open(): Promise<void> {
    await this.read();
  }

  leave(): void {
    this.gone = true;
    clearTimeout(this.timer);
    this.channel?.close();
  }

  /** Keeps what happened, shows it, and tells it: several at one moment, where they are one to whoever pressed. */
  async add(...presses: Omit<NewPress, 'slug' | 'id' | 'at'>[]): Promise<void> {
    const at = new Date(this.clock()).toISOString();
    const made = presses.map((press) => ({ ...press, slug: this.slug, id: uuid(), at }));
    // Shown at once; its number comes out of the store.
    this.presses = [...this.presses, ...made.map((press) => ({ ...press, n: Number.MAX_SAFE_INTEGER }))];
    stayKept();
    await store.add(...made);
    await this.read(made.map(({ id }) => id));
    this.tellOthers();
    void this.send();
  }

  /** A refused one is sent again. */
  async sendAgain(press: Press): Promise<void> {
    await store.again(press);
    this.sender.again();
    await this.changed();
    void this.send();
  }

  /** It did not happen. */
  async drop(press: Press): Promise<void> {
    await store.drop([press.n]);
    this.presses = this.presses.filter((one) => one.n !== press.n);
    this.tellOthers([press.n]);
  }

  /** What is shown knows of these now. */
  forget(presses: Press[]): void {
    for (const press of presses) this.known.add(press.id);
    this.presses = this.presses.filter((press) => !this.known.has(press.id));
  }

  /** Told presses that are still laid over what is shown. */
  get told(): Press[] {
    return this.presses.filter((press) => press.told);
  }

  /** The fact that takes back this one, as far as it waits here. */
  takenBack(id: string): Said | undefined {
    return this.facts.find(({ fact }) => fact.about === id);
  }

  /** One sender at a time, whichever tab it is. */
  async send(): Promise<void> {
    this.again = this.sending !== undefined;
    this.sending ??= inTurn(this.slug, () => this.tell()).finally(() => {
      this.sending = undefined;
      // What happened while the last one was told goes out now.
      if (this.again && !this.away) void this.send();
    });
    return this.sending;
  }

  private async tell(): Promise<void> {
    clearTimeout(this.timer);
    const sent = await this.sender.send(() => this.changed());
    // Another tab may have told what this one shows as waiting.
    await this.read();
    this.failing = this.sender.failing;
    this.away = sent === 'silent' || sent === 'sign_in' ? sent : '';
    if (this.away) this.later(this.retry.next());
    else this.retry.reset();
    if (sent === 'failing') this.later(FAILING_RETRY);
    if (!this.away && !this.gone) await this.onTold?.();
    // Beside the facts: a photo takes long on a slow line, and what happens meanwhile does not wait for it.
    if (!this.away) void inTurn(`${this.slug}:photos`, () => photos.tell(this.slug, () => this.untold()));
  }

  /** Ids of facts that the server does not have. */
  private async untold(): Promise<string[]> {
    const all = await store.all(this.slug);
    return all.filter(({ told }) => !told).flatMap(({ facts }) => facts.map(({ id }) => id));
  }

  /** Asks again after a while. */
  private later(pause: number): void {
    clearTimeout(this.timer);
    if (this.gone) return;
    this.timer = setTimeout(() => {
      if (pause === FAILING_RETRY) this.sender.again();
      void this.send();
    }, pause);
  }

  /** The server was not there, for whoever asked. */
  silent(): void {
    this.away ||= 'silent';
    this.later(this.retry.next());
  }

  private async changed(): Promise<void> {
    await this.read();
    this.tellOthers();
  }

  private async heard({ dropped }: Heard): Promise<void> {
    this.presses = this.presses.filter((press) => !dropped?.includes(press.n));
    await this.read();
    // Another tab told it: what is shown here is older.
    if (this.told.length > 0 && this.waiting === 0) await this.onTold?.();
  }

  private tellOthers(dropped?: number[]): void {
    const heard: Heard = { slug: this.slug, ...(dropped ? { dropped } : {}) };
    if (!this.gone) this.channel?.postMessage(heard);
  }

  /** What lies in the store, and what left it because it was told and is not shown yet.
   * @param stored ids of presses that are in the store by now */
  private async read(stored: string[] = []): Promise<void> {
    const all = await store.all(this.slug);
    const kept = all.filter((press) => !this.known.has(press.id));
    const ids = kept.map((press) => press.id);
    const left = this.presses.flatMap((press) => {
      if (ids.includes(press.id) || press.refused !== undefined) return [];
      if (press.n !== Number.MAX_SAFE_INTEGER || stored.includes(press.id)) return [{ ...press, told: true }];
      return [press];
    });
    this.presses = [...kept, ...left].sort((one, other) => one.n - other.n);
  }
}

let asked = false;

/** What waits here is not thrown away for want of room. */
function stayKept(): void {
  if (!asked) void navigator.storage?.persist?.().catch(() => false);
  asked = true;
}
