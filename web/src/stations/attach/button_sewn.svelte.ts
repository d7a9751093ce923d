// A button sewn on before it is sewn on: asked for anew when the plan changes, or when it is laid off its place or another
// width is tried. One request at a time, the newest wish.
import { ask, words } from '../../api/ask';
import { client, type ButtonStitches } from '../../api/client';
import { workroom } from '../../api/workroom.svelte';

const EVERY = 60;

export class ButtonSewn {
  data = $state.raw<ButtonStitches>();
  failed = $state('');
  off = $state(0);
  across = $state(0);
  width = $state('');
  /** Penetrations shown; all of them while nothing plays. */
  shown = $state(Infinity);
  playing = $state(false);
  private asking = false;
  private again = false;
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(readonly id: number) {}

  async look(): Promise<void> {
    this.again = true;
    if (this.asking) return;
    this.asking = true;
    while (this.again) {
      this.again = false;
      const body = { off: this.off, across: this.across, ...(this.width ? { width: this.width } : {}) };
      const params = { path: { slug: workroom.slug, id: this.id } };
      const answer = await ask(
        client.POST('/api/workrooms/{slug}/closures/{id}/button-stitches', { params, body }),
      );
      this.failed = words(answer);
      if (answer.kind === 'data') this.data = answer.data;
    }
    this.asking = false;
  }

  toggle(): void {
    if (this.playing) return this.pause();
    if (this.shown >= (this.data?.stitches ?? 0)) this.shown = 0;
    this.playing = true;
    this.timer = setInterval(() => {
      this.shown += 1;
      if (this.shown >= (this.data?.stitches ?? 0)) this.pause();
    }, EVERY);
  }

  pause(): void {
    this.playing = false;
    clearInterval(this.timer);
  }
}
