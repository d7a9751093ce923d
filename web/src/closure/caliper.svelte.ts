// The caliper of the workroom: whether there is one, and readings into the field somebody is in.
import { ask, refusal, words } from '../api/ask';
import { client, type CaliperState } from '../api/client';
import { workroom } from '../api/workroom.svelte';

/** Sent to a field after a reading came into it. */
export const READ_OFF = 'readoff';

class Caliper {
  state = $state.raw<CaliperState>();
  /** Why the last reading did not come. */
  note = $state('');
  private asked = '';
  /** Done when the jaws stand as they were last moved. */
  private moved: Promise<void> = Promise.resolve();

  private get path() {
    return { slug: workroom.slug };
  }

  /** Asks once a workroom, and again when its switch was turned, whether there is one. */
  async look(): Promise<void> {
    const here = `${workroom.slug} ${workroom.data?.caliper ?? ''}`;
    if (this.asked === here) return;
    this.asked = here;
    const answer = await ask(client.GET('/api/workrooms/{slug}/caliper', { params: { path: this.path } }));
    if (answer.kind === 'data') this.state = answer.data;
    else this.asked = '';
  }

  /** Reads into a field, as if it were typed there. */
  async read(field: HTMLInputElement): Promise<void> {
    await this.moved;
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/caliper/reading', { params: { path: this.path } }),
    );
    this.note = words(answer);
    if (answer.kind !== 'data') return;
    field.focus();
    field.value = answer.data.text;
    // As typed, and then told that it was not.
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.dispatchEvent(new Event(READ_OFF));
  }

  move(body: { jaws?: string; key?: 'unit' | 'zero' }): Promise<void> {
    this.moved = this.moved.then(() => this.tell(body));
    return this.moved;
  }

  private async tell(body: { jaws?: string; key?: 'unit' | 'zero' }): Promise<void> {
    const answer = await ask(
      client.PUT('/api/workrooms/{slug}/caliper', { params: { path: this.path }, body }),
    );
    if (answer.kind === 'data') this.state = answer.data;
    const { faults, failed } = refusal(answer);
    this.note = Object.values(faults)[0] ?? failed;
  }
}

export const caliper = new Caliper();

/** Alt C reads into the field with the focus, where that is one that measures. */
export function readHere(event: KeyboardEvent): void {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement) || !('measures' in field.dataset)) return;
  event.preventDefault();
  void caliper.read(field);
}
