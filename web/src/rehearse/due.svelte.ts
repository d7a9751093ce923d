// What is due to be practised before a session, and at which steps to look twice: read once, kept for when there is no
// connection, and left out where somebody has switched it off.
import { ask } from '../api/ask';
import { keep, recall } from '../api/browser_store';
import { client, type RehearsalDue } from '../api/client';
import { display } from '../ui/display.svelte';

export class Due {
  private found = $state.raw<RehearsalDue>();
  /** Nothing where it is switched off. */
  readonly data = $derived(display.rehearse ? this.found : undefined);
  /** Names of the steps that went wrong in practice, with what was done and what comes of it. */
  readonly weak = $derived(
    new Map((this.data?.weak ?? []).flatMap((one) => one.steps.map((step) => [step, one] as const))),
  );
  private asked = '';

  async read(slug: string, machine: number): Promise<void> {
    const key = `rehearsal-due:${slug}:${machine}`;
    if (this.asked === key || !display.rehearse) return;
    this.asked = key;
    this.found = recall<RehearsalDue>(key);
    const path = { slug, id: machine };
    const answer = await ask(
      client.GET('/api/workrooms/{slug}/machines/{id}/rehearsal', { params: { path } }),
    );
    if (answer.kind !== 'data') return;
    this.found = answer.data;
    keep(key, answer.data);
  }
}
