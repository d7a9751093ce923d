// Sewn holds a hole as it would be sewn: asked for anew while dials are turned, only the newest wish
// at a time; and where the needle is in it.
import { ask, refusal } from '../../api/ask';
import { client, type Stitches } from '../../api/client';
import { workroom } from '../../api/workroom.svelte';

export type Dials = { stitch_width: string; stitch_length: string; tension: string; balance: number };
export const AS_THE_RECIPE: Dials = { stitch_width: '', stitch_length: '', tension: '', balance: 0 };

export class Sewn {
  hole = $state.raw<Stitches>();
  faults = $state<Record<string, string>>({});
  failed = $state('');
  dials = $state<Dials>({ ...AS_THE_RECIPE });
  /** Penetrations sewn so far. */
  at = $state(0);
  playing = $state(false);
  /** Times the speed it is sewn at. */
  speed = $state(4);
  private wanted = false;
  private asking = false;
  private frame = 0;

  constructor(private readonly id: number) {}

  get total(): number {
    return (this.hole?.points.length ?? 0) / 2;
  }

  get part(): string {
    return this.hole?.parts.find((part) => this.at <= part.to)?.name ?? '';
  }

  async look(): Promise<void> {
    this.wanted = true;
    if (this.asking) return;
    this.asking = true;
    while (this.wanted) {
      this.wanted = false;
      await this.ask();
    }
    this.asking = false;
  }

  private async ask(): Promise<void> {
    const params = { path: { slug: workroom.slug, id: this.id } };
    const body = $state.snapshot(this.dials);
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures/{id}/stitches', { params, body }));
    ({ faults: this.faults, failed: this.failed } = refusal(answer));
    if (answer.kind !== 'data') return;
    const whole = this.at >= this.total;
    this.hole = answer.data;
    this.at = whole ? this.total : Math.min(this.at, this.total);
  }

  turn<Name extends keyof Dials>(name: Name, to: Dials[Name]): void {
    this.dials[name] = to;
    void this.look();
  }

  asRecipe(): void {
    this.dials = { ...AS_THE_RECIPE };
    void this.look();
  }

  step(by: number): void {
    this.pause();
    this.at = Math.min(Math.max(Math.round(this.at) + by, 0), this.total);
  }

  /** To where a part begins. */
  goTo(name: string): void {
    this.pause();
    this.at = this.hole?.parts.find((part) => part.name === name)?.from ?? 0;
  }

  play(): void {
    if (this.playing || !this.hole) return;
    if (this.at >= this.total) this.at = 0;
    this.playing = true;
    let before = performance.now();
    const go = (now: number) => {
      if (!this.playing || !this.hole) return;
      const a_second = this.total / Math.max(this.hole.seconds, 0.1);
      this.at = Math.min(this.at + ((now - before) / 1000) * a_second * this.speed, this.total);
      before = now;
      if (this.at >= this.total) this.playing = false;
      else this.frame = requestAnimationFrame(go);
    };
    this.frame = requestAnimationFrame(go);
  }

  pause(): void {
    this.playing = false;
    cancelAnimationFrame(this.frame);
  }
}
