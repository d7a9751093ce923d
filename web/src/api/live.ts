// What happens elsewhere is told by the server. One line a browser: the tab that holds it tells the others. Where there is
// none, whoever listens is told to ask every two seconds.
export type Change = { kind: string; closure?: number };

const ASK_EVERY = 2000;

/** @returns how to stop */
export function listen(slug: string, heard: (change: Change) => void): () => void {
  const channel = new BroadcastChannel(`nimble-eyelet-live:${slug}`);
  let source: EventSource | undefined;
  let asking: ReturnType<typeof setInterval> | undefined;
  let stop: (() => void) | undefined;

  channel.onmessage = (event: MessageEvent<Change>) => heard(event.data);
  const tell = (change: Change): void => {
    heard(change);
    channel.postMessage(change);
  };
  const askAgain = (on: boolean): void => {
    clearInterval(asking);
    asking = on ? setInterval(() => tell({ kind: 'again' }), ASK_EVERY) : undefined;
  };
  const hold = (): Promise<void> =>
    new Promise((done) => {
      stop = done;
      source = new EventSource(`/api/workrooms/${slug}/live`);
      source.addEventListener('change', (event) => tell(JSON.parse(String(event.data)) as Change));
      source.addEventListener('again', () => tell({ kind: 'again' }));
      source.onopen = () => askAgain(false);
      source.onerror = () => askAgain(true);
    });

  const leaving = new AbortController();
  if ('locks' in navigator)
    navigator.locks
      .request(`nimble-eyelet-line:${slug}`, { signal: leaving.signal }, hold)
      .catch(() => undefined);
  else void hold();

  return () => {
    leaving.abort();
    source?.close();
    askAgain(false);
    channel.close();
    stop?.();
  };
}
