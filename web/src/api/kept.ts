// What is typed stays in the browser until the server has confirmed it.

const PREFIX = 'nimble-eyelet:';

/** Reads a kept value; nothing when there is none or the browser keeps nothing. */
export function recall<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(PREFIX + key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** Keeps a value; `undefined` forgets it. */
export function keep(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(PREFIX + key);
    else localStorage.setItem(PREFIX + key, JSON.stringify(value));
  } catch {
    // A full or closed store: the page still holds it in memory.
  }
}
