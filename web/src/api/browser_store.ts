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

/** Keys of kept values that begin so. */
export function keptKeys(beginning: string): string[] {
  try {
    const keys = Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? '');
    return keys.filter((key) => key.startsWith(PREFIX + beginning)).map((key) => key.slice(PREFIX.length));
  } catch {
    return [];
  }
}

/** An id nobody else has; pages that are not served from this machine have no `randomUUID`. */
export function uuid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** This browser's own id: what one browser types on within a minute is one revision. */
export function device(): string {
  const kept = recall<string>('device');
  if (kept) return kept;
  const made = uuid();
  keep('device', made);
  return made;
}
