// Box is what is done to the buttons in it: counted, taken out, put back.
import { ask, words } from '../../api/ask';
import { client, type StashButton } from '../../api/client';
import { queries } from '../../api/queries';
import { workroom } from '../../api/workroom.svelte';
import { announce } from '../../ui/announce.svelte';

export class Box {
  failed = $state('');
  /** The one taken out last. */
  taken = $state.raw<StashButton>();
  /** One after the other, each from what the one before left: two quick taps are two. */
  private counting = Promise.resolve();

  /** @param find a button as it is known by now */
  constructor(private readonly find: (id: number) => StashButton | undefined) {}

  async changed(): Promise<void> {
    const queryKey = ['stash', workroom.slug];
    await Promise.all([queries.invalidateQueries({ queryKey }), workroom.refresh()]);
  }

  count({ id }: StashButton, by: number): Promise<void> {
    return (this.counting = this.counting.then(() => {
      const button = this.find(id);
      return button && this.counted(button, by);
    }));
  }

  async takeOut(chosen: StashButton): Promise<void> {
    await this.counting;
    const button = this.find(chosen.id) ?? chosen;
    const params = { path: { slug: workroom.slug, id: button.id }, header: seen(button) };
    const answer = await ask(client.DELETE('/api/workrooms/{slug}/stash/{id}', { params }));
    this.failed = words(answer);
    if (answer.kind !== 'data') return;
    this.taken = button;
    announce(`${button.fields.name} is out of the box.`);
    document.getElementById('main')?.focus();
  }

  async putBack(): Promise<void> {
    if (!this.taken) return;
    const path = { slug: workroom.slug, kind: 'button' as const, id: this.taken.id };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/waste-basket/{kind}/{id}', { params: { path } }),
    );
    this.failed = words(answer);
    if (answer.kind === 'data') this.taken = undefined;
    await this.changed();
  }

  private async counted(button: StashButton, by: number): Promise<void> {
    const owned = String(Math.max(button.owned + by, 0));
    const params = { path: { slug: workroom.slug, id: button.id }, header: seen(button) };
    const body = { ...button.fields, owned };
    const answer = await ask(client.PUT('/api/workrooms/{slug}/stash/{id}', { params, body }));
    this.failed = words(answer);
    await queries.invalidateQueries({ queryKey: ['stash', workroom.slug] });
  }
}

function seen(button: StashButton) {
  return { 'If-Match': `"${button.revision}"` };
}
