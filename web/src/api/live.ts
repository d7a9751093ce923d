// What happens elsewhere is told by the server. One line a browser: the tab that holds it tells the others. Where there is
// none, whoever listens is told to ask every two seconds.
export type Change = { kind: string; closure?: number };

const ASK_EVERY = 2000;
/** A line that was refused is not opened again by the browser itself. */
const OPEN_AGAIN = 10_000;
const CLOSED = 2;

/** @returns how to stop */
export function listen(slug: string, heard: (change: Change) => void): () => void {
  const channel = new BroadcastChannel(`nimble-eyelet-live:${slug}`);
  let source: EventSource | undefined;
  let asking: ReturnType<typeof setInterval> | undefined;
  let stop: (() => void) | undefined;
  let later: ReturnType<typeof setTimeout> | undefined;

  channel.onmessage = (event: MessageEvent<Change>) => heard(event.data);
  const tell = (change: Change): void => {
    heard(change);
    channel.postMessage(change);
  };
  const askAgain = (on: boolean): void => {
    clearInterval(asking);
    asking = on ? setInterval(() => tell({ kind: 'again' }), ASK_EVERY) : undefined;
  };
  const open = (): void => {
    const line = new EventSource(`/api/workrooms/${slug}/live`);
    source = line;
    line.addEventListener('change', (event) => tell(JSON.parse(String(event.data)) as Change));
    line.addEventListener('again', () => tell({ kind: 'again' }));
    line.onopen = () => askAgain(false);
    line.onerror = () => {
      askAgain(true);
      if (line.readyState === CLOSED) later = setTimeout(open, OPEN_AGAIN);
    };
  };
  const hold = (): Promise<void> =>
    new Promise((done) => {
      stop = done;
      open();
    });

  const leaving = new AbortController();
  if ('locks' in navigator)
    navigator.locks
      .request(`nimble-eyelet-line:${slug}`, { signal: leaving.signal }, hold)
      .catch(() => undefined);
  else void hold();

  return () => {
    leaving.abort();
    clearTimeout(later);
    source?.close();
    askAgain(false);
    channel.close();
    stop?.();
  };
}
