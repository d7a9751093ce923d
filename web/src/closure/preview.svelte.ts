// Preview shows what a change would make of a closure while something is dragged. Only the newest
// wish is asked for; an answer that was overtaken is shown all the same, as long as something is
// dragged. Without an answer there is no preview: what is dropped is kept and saved later.
import type { Closure, PlanChange, PreviewOf, StageWord } from '../api/client';
import type { Requests } from './requests';

/** A closure as it would be, and what became of its holes. */
export type Previewed = Closure & { moved: string | null };
/** A preview laid over what is saved: it says only what the table shows. */
export function over(saved: Closure, { plan, moved, sheet }: PreviewOf): Previewed {
  const stages = saved.sheet.stages.map((stage) => sheet.stages.find((s) => s.word === stage.word) ?? stage);
  return { ...saved, plan, moved, sheet: { ...saved.sheet, ...sheet, stages } as Closure['sheet'] };
}

/** Asks for one. Only what the table shows comes back; the rest stays as it is saved. */
export async function previewOf(
  of: { readonly closure: Closure | undefined; station: StageWord },
  requests: Requests,
  changes: PlanChange,
): Promise<Previewed | undefined> {
  const saved = of.closure;
  const places = saved?.sheet.placket?.holes.map((hole) => hole.at.mm) ?? [];
  const answer = await requests.preview(changes, places, of.station);
  return answer.kind === 'data' && saved ? over(saved, answer.data) : undefined;
}

type Ask = (changes: PlanChange) => Promise<Previewed | undefined>;

export class Preview {
  closure = $state.raw<Previewed>();
  private wanted: PlanChange | undefined;
  private asking = false;
  private dragging = false;

  constructor(private readonly ask: Ask) {}

  async peek(changes: PlanChange): Promise<void> {
    this.wanted = changes;
    this.dragging = true;
    if (this.asking) return;
    this.asking = true;
    while (this.wanted) {
      const wish: PlanChange = this.wanted;
      this.wanted = undefined;
      const answer = await this.ask(wish);
      if (answer && this.dragging) this.closure = answer;
    }
    this.asking = false;
  }

  /** The drag is over: what it showed stays until the save has come back. */
  end(): void {
    this.wanted = undefined;
    this.dragging = false;
  }

  clear(): void {
    this.end();
    this.closure = undefined;
  }
}
