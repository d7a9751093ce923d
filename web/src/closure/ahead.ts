// One's own garments are read in good time, so that each of their stages opens without a connection: as they were seen
// last. Only where pages are kept at all, and only what is neither archived nor a template.
import { read } from '../api/ask';
import { client, type Workroom } from '../api/client';
import { queries } from '../api/queries';
import { keepSeen } from '../api/seen';
import { Requests } from './requests';

/** Buttonholes read ahead; what is kept has an end (see seen.ts). */
const MOST = 60;
/** Not again within this, ms. */
const FRESH = 10 * 60_000;

const readAt = new Map<string, number>();

const idle = (): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => done(), { timeout: 2000 });
    else setTimeout(done, 200);
  });

/** Reads what of a workroom was not read a while. It never fails: who does not answer is asked the next time. */
export async function readAhead(slug: string, garments: Workroom['garments']): Promise<void> {
  if (!('serviceWorker' in navigator) || Date.now() - (readAt.get(slug) ?? 0) < FRESH) return;
  readAt.set(slug, Date.now());
  await navigator.serviceWorker.ready;
  let left = MOST;
  for (const garment of garments.filter((one) => !one.archived && !one.template)) {
    if (left <= 0) break;
    left -= garment.closures.length;
    await idle();
    const path = { slug, id: garment.id };
    await queries.prefetchQuery({
      queryKey: ['garment', slug, garment.id],
      queryFn: () => read(client.GET('/api/workrooms/{slug}/garments/{id}', { params: { path } })),
      retry: false,
    });
    for (const { id } of garment.closures) if (!(await keepOne(new Requests(slug, id)))) return;
  }
  document.documentElement.dataset['ahead'] = slug;
}

async function keepOne(requests: Requests): Promise<boolean> {
  await idle();
  const answer = await requests.read();
  if (answer.kind === 'data') await keepSeen(requests.key, answer.data);
  return answer.kind !== 'away';
}
