// What is asked of the server about one closure, and told it.
import { ask, type Answer } from '../api/ask';
import { client, type Closure, type PlanChange, type PreviewOf, type StageWord } from '../api/client';
import type { Deed } from './outbox.svelte';

const AT = '/api/workrooms/{slug}/closures/{id}';

export class Requests {
  constructor(
    readonly slug: string,
    readonly id: number,
  ) {}

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

  /** A fact answers only what it is; what settles the plan answers the closure. */
  async tell(deed: Deed, version: string): Promise<Answer<Closure | { id: string }>> {
    const header = seen(version);
    switch (deed.kind) {
      case 'fact': {
        const body = { ...deed.fact, happened_at: deed.at, sent_at: new Date().toISOString() };
        const params = { path: { slug: this.slug, entry: deed.id } };
        return ask(client.PUT('/api/workrooms/{slug}/journal/{entry}', { params, body }));
      }
      case 'settle': {
        const params = { path: { ...this.path, stage: deed.stage }, header };
        return ask(
          deed.settled
            ? client.PUT(`${AT}/settled/{stage}`, { params })
            : client.DELETE(`${AT}/settled/{stage}`, { params }),
        );
      }
      case 'stand_in': {
        const body = { id: deed.id, ...(deed.again ? { again: deed.again } : {}) };
        return ask(client.POST(`${AT}/stand-in`, { params: { path: this.path }, body }));
      }
      case 'accept': {
        const params = { path: { ...this.path, entry: deed.entry }, header };
        return ask(client.PUT(`${AT}/accepted/{entry}`, { params }));
      }
    }
  }
}

function seen(version: string) {
  return { 'If-Match': `"${version}"` };
}
