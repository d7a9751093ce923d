// A garment of the workroom as its page has it, and what is changed on the whole of it: its name, its note, its photos.
import { createQuery } from '@tanstack/svelte-query';
import { ask, faultsOf, gone, read, refusal, words } from '../../api/ask';
import { keep, recall } from '../../api/browser_store';
import { client, type GarmentPage } from '../../api/client';
import { photoBody, photoFault } from '../../api/photo_file';
import { queries } from '../../api/queries';
import { workroom } from '../../api/workroom.svelte';

const AT = '/api/workrooms/{slug}/garments/{id}';

type Photos = GarmentPage['photos'];

export class GarmentWork {
  failed = $state('');
  private readonly asked;

  constructor(private readonly id: () => number) {
    this.asked = createQuery(() => ({
      queryKey: this.key,
      queryFn: () => read(client.GET(AT, { params: { path: this.path } })),
      enabled: workroom.slug !== '',
    }));
  }

  get page(): GarmentPage | undefined {
    return this.asked.data;
  }

  get missing(): boolean {
    return gone(this.asked.error);
  }

  get trouble(): string {
    return this.asked.failureCount && !this.missing
      ? 'The server does not answer. Trying again…'
      : this.failed;
  }

  /** A note that was typed and not saved yet, with the note it was typed over. */
  get unsaved(): { note: string; was: string } | undefined {
    return recall(this.noteKey);
  }

  keepNote(note: string, was: string): void {
    keep(this.noteKey, note === was ? undefined : { note, was });
  }

  async refresh(): Promise<void> {
    await Promise.all([queries.invalidateQueries({ queryKey: this.key }), workroom.refresh()]);
  }

  /** Saves what is given; answers with what is wrong, or nothing. */
  async change(body: { name?: string; archived?: boolean }): Promise<string> {
    const answer = await ask(client.PATCH(AT, { params: { path: this.path }, body }));
    const { faults, failed } = refusal(answer);
    if (answer.kind === 'data') await this.take(answer.data);
    return faults['garment.name'] ?? failed;
  }

  /** @returns what is wrong, and the other note where one was written meanwhile */
  async note(note: string, was: string): Promise<{ fault: string; other?: string }> {
    const answer = await ask(
      client.PATCH(AT, { params: { path: this.path }, body: { note, note_was: was } }),
    );
    if (answer.kind === 'data') {
      await this.take(answer.data);
      return { fault: '' };
    }
    const { faults, failed } = refusal(answer);
    const other = answer.kind === 'refused' ? answer.problem.garment?.note : undefined;
    return { fault: faults['garment.note'] ?? failed, ...(other === undefined ? {} : { other }) };
  }

  /** A file as it was chosen or taken; answers with what is wrong, or nothing. */
  async addPhoto(file: File): Promise<string> {
    const fault = photoFault(file);
    if (fault) return fault;
    const answer = await ask(
      client.POST(`${AT}/photos`, { params: { path: this.path }, ...photoBody(file) }),
    );
    if (answer.kind === 'data') this.takePhotos(answer.data);
    return (answer.kind === 'refused' && faultsOf(answer)['photo']) || words(answer);
  }

  async movePhoto(photo: string, back: boolean): Promise<string> {
    const params = { path: { ...this.path, photo } };
    const answer = back
      ? await ask(client.POST(`${AT}/photos/{photo}/back`, { params }))
      : await ask(client.DELETE(`${AT}/photos/{photo}`, { params }));
    if (answer.kind === 'data') this.takePhotos(answer.data);
    return words(answer);
  }

  photoAt(photo: string, size: 'small' | 'large'): string {
    return workroom.file(`/garments/${this.id()}/photos/${photo}/${size}.jpg`);
  }

  private get path() {
    return { slug: workroom.slug, id: this.id() };
  }

  private get key() {
    return ['garment', workroom.slug, this.id()];
  }

  private get noteKey(): string {
    return `note:${workroom.slug}:${this.id()}`;
  }

  private async take(page: GarmentPage): Promise<void> {
    queries.setQueryData(this.key, page);
    await workroom.refresh();
  }

  private takePhotos(photos: Photos): void {
    queries.setQueryData(this.key, (page: GarmentPage | undefined) => page && { ...page, photos });
  }
}
