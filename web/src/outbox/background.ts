// What waits is told whichever page is open, of every workroom; what earlier builds kept is taken over first.
import { sweepSeen } from '../api/seen';
import { takeOver } from './older';
import { CHANNEL, Outbox, store, type Heard } from './outbox.svelte';
import { photos } from './photos';

/** Where no page of its own tells what waits, it is told all the same. */
const EVERY = 15_000;

export async function tellInTheBackground(): Promise<void> {
  await Promise.all([store.sweep(Date.now()), sweepSeen()]);
  const slugs = await takeOver(store);
  const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(CHANNEL) : undefined;
  for (const slug of slugs) channel?.postMessage({ slug } satisfies Heard);
  channel?.close();
  await tellAll();
  addEventListener('online', () => void tellAll());
  setInterval(() => void tellAll(), EVERY);
}

async function tellAll(): Promise<void> {
  const rooms = [...(await store.slugs()), ...(await photos.all()).map(({ slug }) => slug)];
  for (const slug of new Set(rooms)) {
    const outbox = new Outbox(slug);
    await outbox.send();
    outbox.leave();
  }
}
