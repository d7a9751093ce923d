// What is asked of the server about one closure, and told it.
import { ask, type Answer } from '../api/ask';
import { client, type Closure, type PlanChange, type PreviewOf, type StageWord } from '../api/client';

type Ask = Promise<Answer<Closure>>;

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

  /** @param station the stage that is looked at; nothing for the whole */
  read(station?: StageWord): Ask {
    return ask(client.GET(AT, { params: { path: this.path, query: of(station) } })) as Ask;
  }

  /** @param version the one that was seen */
  change(body: PlanChange, version: string, station: StageWord): Ask {
    const params = { path: this.path, header: seen(version), query: of(station) };
    return ask(client.PATCH(`${AT}/plan`, { params, body })) as Ask;
  }

  preview(changes: PlanChange, places: number[], station: StageWord): Promise<Answer<PreviewOf>> {
    const body = { changes, places, station };
    return ask(client.POST(`${AT}/preview`, { params: { path: this.path }, body }));
  }

  move(direction: 'undo' | 'redo', version: string, station: StageWord): Ask {
    const params = { path: this.path, header: seen(version), query: of(station) };
    return ask(client.POST(`${AT}/${direction}`, { params })) as Ask;
  }

  bringBack(number: number, version: string, station: StageWord): Ask {
    const params = { path: { ...this.path, number }, header: seen(version), query: of(station) };
    return ask(client.POST(`${AT}/history/{number}`, { params })) as Ask;
  }

  /** The same on a practice machine. */
  practise(): Ask {
    return ask(client.POST(`${AT}/practice`, { params: { path: this.path } })) as Ask;
  }

  /** The practice machine sews a test hole. */
  standIn(id: string, again?: string): Ask {
    const body = { id, ...(again ? { again } : {}) };
    return ask(client.POST(`${AT}/stand-in`, { params: { path: this.path }, body })) as Ask;
  }
}

function of(station: StageWord | undefined) {
  return station ? { station } : {};
}

function seen(version: string) {
  return { 'If-Match': `"${version}"` };
}
