// Photos of test holes wait in this browser until the server has them, over a reload and without a connection: each is
// told after the fact it belongs to, whichever page is open.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { ask } from '../api/ask';
import { client } from '../api/client';
import { photoBody } from '../api/photo_file';
import { announce } from '../ui/announce.svelte';

/** entry is the id of the fact that it shows; at, when it was taken in, ms. */
export type WaitingPhoto = { entry: string; slug: string; file: File; at: number };

/** So long its fact may still be on its way, ms. */
const ON_ITS_WAY = 600_000;

interface Schema extends DBSchema {
  photos: { key: string; value: WaitingPhoto };
}

const NOT_KEPT = 'The photo was not kept. Add it to the test in the swatch book.';

class Photos {
  private opened: Promise<IDBPDatabase<Schema>> | undefined;
  /** What the browser could not keep. */
  private memory: WaitingPhoto[] = [];
  /** The server failed over these: they are tried again on another page. */
  private readonly failed = new Set<string>();

  /** Keeps one until the server has it. */
  async add(found: Omit<WaitingPhoto, 'at'>): Promise<void> {
    const photo = { ...found, at: Date.now() };
    const kept = await (await this.db())?.put('photos', photo).catch(() => undefined);
    if (kept === undefined) this.memory.push(photo);
  }

  /** All that wait, of every workroom. */
  async all(): Promise<WaitingPhoto[]> {
    const kept = await (await this.db())?.getAll('photos').catch(() => []);
    return [...(kept ?? []), ...this.memory];
  }

  /** Tells those of a workroom. @param untold gives ids of facts that the server does not have */
  async tell(slug: string, untold: () => Promise<string[]>): Promise<void> {
    for (const photo of await this.all()) {
      if (photo.slug !== slug || this.failed.has(photo.entry)) continue;
      if ((await untold()).includes(photo.entry)) continue;
      const path = { slug, entry: photo.entry };
      const answer = await ask(
        client.PUT('/api/workrooms/{slug}/swatches/{entry}/photo', {
          params: { path },
          ...photoBody(photo.file),
        }),
      );
      if (answer.kind === 'away') return;
      if (answer.kind === 'refused' && answer.status >= 500) {
        this.failed.add(photo.entry);
        continue;
      }
      if (answer.kind === 'refused' && answer.status === 404 && Date.now() - photo.at < ON_ITS_WAY) continue;
      await this.drop(photo.entry);
      if (answer.kind === 'refused') announce(NOT_KEPT);
    }
  }

  private async drop(entry: string): Promise<void> {
    this.memory = this.memory.filter((photo) => photo.entry !== entry);
    await (await this.db())?.delete('photos', entry);
  }

  private async db(): Promise<IDBPDatabase<Schema> | undefined> {
    try {
      this.opened ??= openDB<Schema>('nimble-eyelet-photos', 1, {
        upgrade: (db) => void db.createObjectStore('photos', { keyPath: 'entry' }),
      });
      return await this.opened;
    } catch {
      return undefined;
    }
  }
}

/** One for all of a page. */
export const photos = new Photos();
