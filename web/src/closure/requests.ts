// What is asked of the server about one closure, and told it.
import { ask, type Answer } from '../api/ask';
import { client, type Closure, type PlanChange, type PreviewOf, type StageWord } from '../api/client';

const AT = '/api/workrooms/{slug}/closures/{id}';

export class Requests {
  constructor(
    readonly slug: string,
    readonly id: number,
  ) {}

  /** What is read is kept under this name, to be seen without a connection. */
  get key(): string {
    return `closure:${this.slug}:${this.id}`;
  }

  private get path() {
    return { slug: this.slug, id: this.id };
  }

  read(): Promise<Answer<Closure>> {
    return ask(client.GET(AT, { params: { path: this.path } }));
  }

  /** @param version the one that was seen */
  change(body: PlanChange, version: string): Promise<Answer<Closure>> {
    return ask(client.PATCH(`${AT}/plan`, { params: { path: this.path, header: seen(version) }, body }));
  }

  preview(changes: PlanChange, places: number[], station: StageWord): Promise<Answer<PreviewOf>> {
    const body = { changes, places, station };
    return ask(client.POST(`${AT}/preview`, { params: { path: this.path }, body }));
  }

  move(direction: 'undo' | 'redo', version: string): Promise<Answer<Closure>> {
    return ask(client.POST(`${AT}/${direction}`, { params: { path: this.path, header: seen(version) } }));
  }

  bringBack(number: number, version: string): Promise<Answer<Closure>> {
    const params = { path: { ...this.path, number }, header: seen(version) };
    return ask(client.POST(`${AT}/history/{number}`, { params }));
  }

  /** The same on a practice machine. */
  practise(): Promise<Answer<Closure>> {
    return ask(client.POST(`${AT}/practice`, { params: { path: this.path } }));
  }

  /** The practice machine sews a test hole. */
  standIn(id: string, again?: string): Promise<Answer<Closure>> {
    const body = { id, ...(again ? { again } : {}) };
    return ask(client.POST(`${AT}/stand-in`, { params: { path: this.path }, body }));
  }
}

function seen(version: string) {
  return { 'If-Match': `"${version}"` };
}
