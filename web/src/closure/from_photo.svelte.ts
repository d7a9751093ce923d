// PhotoReader is one photo of the printed card: read by the server, corrected by hand, and its figures handed on.
// The photo itself stays in the browser.
import { ask, faultsOf, words } from '../api/ask';
import { keep, recall } from '../api/browser_store';
import { client, type PhotoReading } from '../api/client';
import { photoBody, photoFault } from '../api/photo_file';
import { workroom } from '../api/workroom.svelte';

export type What = 'button' | 'edge' | 'hole';
export type Place = [number, number];
type Known = { shape?: string; thickness?: string; across?: string };

const AT = '/api/workrooms/{slug}/photo-reading';
const RULER = 'photo-ruler';
const MOST_SEEDS = 1_000_000;

export class PhotoReader {
  what = $state<What>('button');
  file = $state.raw<File>();
  /** Where the browser shows it from. */
  url = $state('');
  reading = $state.raw<PhotoReading>();
  busy = $state(false);
  fault = $state('');
  rulerFault = $state('');
  /** What the check line of one's own card measures. */
  ruler = $state(recall<string>(RULER) ?? '');
  /** Ends of lines that were moved, by figure; and what they measure now. */
  moved = $state<Record<string, { places: Place[]; text: string; value: number }>>({});
  /** How many lines are being measured. */
  measuring = $state(0);
  private settled: Promise<unknown> = Promise.resolve();
  private turn = 0;

  constructor(readonly known: () => Known) {}

  get figures(): PhotoReading['figures'] {
    return (this.reading?.figures ?? []).map((one) => {
      const moved = this.moved[one.key];
      return moved?.text ? { ...one, text: moved.text, value: moved.value } : one;
    });
  }

  /** The lines as they are now. */
  get drawn(): PhotoReading['drawn'] {
    return (this.reading?.drawn ?? []).map((one) =>
      one.kind === 'line' ? { ...one, places: this.moved[one.key]?.places ?? one.places } : one,
    );
  }

  clear(what: What = this.what): void {
    this.turn += 1;
    if (this.url) URL.revokeObjectURL(this.url);
    Object.assign(this, { what, file: undefined, url: '', reading: undefined, busy: false, fault: '' });
    this.moved = {};
  }

  async take(file: File): Promise<void> {
    this.clear();
    this.fault = photoFault(file);
    if (this.fault) return;
    this.file = file;
    this.url = URL.createObjectURL(file);
    await this.read();
  }

  async read(): Promise<void> {
    const { file, what, ruler } = this;
    if (!file) return;
    const turn = ++this.turn;
    this.busy = true;
    this.fault = this.rulerFault = '';
    const query = { of: what, ...this.known(), ...(ruler.trim() ? { ruler } : {}) };
    const answer = await ask(
      client.POST(AT, {
        params: { path: { slug: workroom.slug }, query },
        ...photoBody(file),
      }),
    );
    if (turn !== this.turn) return;
    this.busy = false;
    if (answer.kind === 'data') {
      this.reading = answer.data;
      keep(RULER, ruler.trim() || undefined);
      return;
    }
    const faults = answer.kind === 'refused' ? faultsOf(answer) : {};
    this.rulerFault = faults['photo.ruler'] ?? '';
    this.fault = faults['photo'] ?? (this.rulerFault ? '' : words(answer));
  }

  /** A made-up photo of this button or hole, in the example. */
  async practise(closure: number): Promise<void> {
    this.clear();
    this.busy = true;
    const seed = Math.floor(Math.random() * MOST_SEEDS);
    const params = { path: { slug: workroom.slug, id: closure }, query: { of: this.what, seed } };
    const answer = await ask(
      client.GET('/api/workrooms/{slug}/closures/{id}/practice-photo.jpg', { params, parseAs: 'blob' }),
    );
    this.busy = false;
    if (answer.kind !== 'data') this.fault = words(answer);
    else await this.take(new File([answer.data as Blob], 'practice.jpg', { type: 'image/jpeg' }));
  }

  /** An end of a line, as shares of the picture. */
  move(key: string, end: number, x: number, y: number): void {
    const line = this.drawn.find((one) => one.key === key && one.kind === 'line');
    if (!line) return;
    const within = (share: number) => Math.min(1, Math.max(0, share));
    const places = line.places.map((place, at) => (at === end ? [within(x), within(y)] : place)) as Place[];
    this.moved[key] = { text: '', value: 0, ...this.moved[key], places };
  }

  /** The server measures the line as it is now. */
  measure(key: string): Promise<void> {
    this.measuring += 1;
    const measured = this.measureLine(key).finally(() => (this.measuring -= 1));
    this.settled = Promise.all([this.settled, measured]);
    return measured;
  }

  /** Until every line that was moved is measured. */
  async whole(): Promise<void> {
    await this.settled;
  }

  private async measureLine(key: string): Promise<void> {
    const was = this.reading?.drawn.find((one) => one.key === key && one.kind === 'line');
    const figure = this.reading?.figures.find((one) => one.key === key);
    const now = this.moved[key];
    if (!this.reading || !was || !figure || !now) return;
    const { turn } = this;
    const body = { eye: this.reading.eye, from: was.places, to: now.places, mm: figure.value };
    const answer = await ask(client.POST(`${AT}/moved`, { params: { path: { slug: workroom.slug } }, body }));
    // Where an end was moved on meanwhile, another answer is on its way.
    if (turn !== this.turn || this.moved[key] !== now) return;
    if (answer.kind === 'data') Object.assign(now, { text: answer.data.text, value: answer.data.mm });
    else this.fault = words(answer);
  }
}
