// Photo is the picture of one test hole: taken in, marked with two points of known distance, removed.
import { ask, faultsOf, words } from '../api/ask';
import { client, type SwatchPhoto } from '../api/client';
import { photoBody, photoFault } from '../api/photo_file';
import { workroom } from '../api/workroom.svelte';

const AT = '/api/workrooms/{slug}/swatches/{entry}/photo';
export type Points = { x1: number; y1: number; x2: number; y2: number };

export class Photo {
  shown = $state.raw<SwatchPhoto>(null);
  looked = $state(false);
  busy = $state(false);
  fault = $state('');
  points = $state<Points>({ x1: 0.2, y1: 0.5, x2: 0.8, y2: 0.5 });
  distance = $state('');

  constructor(
    readonly entry: string,
    shown?: SwatchPhoto,
  ) {
    if (shown !== undefined) this.take(shown);
  }

  private get path() {
    return { slug: workroom.slug, entry: this.entry };
  }

  address(size: 'small' | 'large'): string {
    return `/api/workrooms/${workroom.slug}/swatches/${this.entry}/photo/${size}.jpg?${this.shown?.key ?? ''}`;
  }

  async look(): Promise<void> {
    const answer = await ask(client.GET(AT, { params: { path: this.path } }));
    if (answer.kind === 'data') this.take(answer.data);
    else if (answer.kind === 'refused' && answer.status === 404) this.take(null);
    else this.fault = words(answer);
  }

  /** A file as it was chosen or taken. */
  async put(file: File): Promise<void> {
    this.fault = photoFault(file);
    if (this.fault) return;
    this.busy = true;
    const answer = await ask(client.PUT(AT, { params: { path: this.path }, ...photoBody(file) }));
    this.busy = false;
    if (answer.kind === 'data') this.take(answer.data);
    else this.fault = (answer.kind === 'refused' && faultsOf(answer)['photo']) || words(answer);
  }

  async mark(): Promise<void> {
    const body = { ...$state.snapshot(this.points), distance: this.distance };
    const answer = await ask(client.PUT(`${AT}/points`, { params: { path: this.path }, body }));
    this.fault = (answer.kind === 'refused' && faultsOf(answer)['photo.distance']) || words(answer);
    if (answer.kind === 'data') this.take(answer.data);
  }

  async remove(): Promise<void> {
    const answer = await ask(client.DELETE(AT, { params: { path: this.path } }));
    this.fault = words(answer);
    if (answer.kind === 'data') this.take(null);
  }

  /** A point moved by hand or by the arrow keys, as shares of the picture. */
  move(point: 1 | 2, x: number, y: number): void {
    const within = (share: number) => Math.min(1, Math.max(0, share));
    if (point === 1) Object.assign(this.points, { x1: within(x), y1: within(y) });
    else Object.assign(this.points, { x2: within(x), y2: within(y) });
  }

  private take(photo: SwatchPhoto): void {
    this.looked = true;
    this.shown = photo;
    if (!photo?.points) return;
    const { x1, y1, x2, y2, distance } = photo.points;
    this.points = { x1, y1, x2, y2 };
    this.distance = distance.text;
  }
}
