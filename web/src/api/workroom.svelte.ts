// The workroom somebody is in: its shelves, machines, garments and unit, and what there is to choose
// from. Read through the queries, so that every page sees the same.
import { QueryObserver } from '@tanstack/svelte-query';
import { ask, read, type Answer } from './ask';
import { keep, recall } from './browser_store';
import { client, type Catalogue, type Habit, type Right, type Workroom } from './client';
import { queries } from './queries';

export type WorkroomChange = {
  unit?: Workroom['unit'];
  csv?: Workroom['csv'];
  caliper?: Workroom['caliper'];
  name?: string;
  habits?: Record<string, string | null>;
  stabilisers?: Workroom['stabilisers'][number]['key'][];
};

class CurrentWorkroom {
  slug = $state('');
  data = $state.raw<Workroom>();
  catalogue = $state.raw<Catalogue>();
  /** It does not answer at the moment. */
  failed = $state(false);
  missing = $state(false);
  private leave: (() => void) | undefined;

  /** Where somebody was last. */
  get last(): string | undefined {
    return recall<string>('workroom');
  }

  enter(slug: string): void {
    if (slug === this.slug) return;
    this.leave?.();
    this.slug = slug;
    this.data = this.catalogue = undefined;
    this.failed = this.missing = false;
    const path = { slug };
    const rooms = new QueryObserver<Workroom>(queries, {
      queryKey: ['workroom', slug],
      queryFn: () => read(client.GET('/api/workrooms/{slug}', { params: { path } })),
    });
    const choices = new QueryObserver<Catalogue>(queries, {
      queryKey: ['catalogue', slug],
      queryFn: () => read(client.GET('/api/workrooms/{slug}/catalogue', { params: { path } })),
      staleTime: 60_000,
    });
    const unsubscribe = [
      rooms.subscribe((result) => {
        this.data = result.data;
        this.missing = result.isError;
        this.failed = result.failureCount > 0;
        if (result.data) keep('workroom', slug);
      }),
      choices.subscribe((result) => (this.catalogue = result.data)),
    ];
    this.leave = () => unsubscribe.forEach((stop) => stop());
  }

  /** Asks again: something in it was changed elsewhere. */
  async refresh(): Promise<void> {
    await Promise.all(
      ['workroom', 'picks', 'under-way', 'sessions'].map((kind) =>
        queries.invalidateQueries({ queryKey: [kind, this.slug] }),
      ),
    );
  }

  take(changed: Workroom): void {
    queries.setQueryData(['workroom', changed.slug], changed);
  }

  /** Changes the unit, the name, a habit or the drawer. */
  async change(body: WorkroomChange): Promise<Answer<Workroom>> {
    const header = { 'If-Match': `"${this.data?.revision ?? 0}"` };
    const path = { slug: this.slug };
    const answer = await ask(client.PATCH('/api/workrooms/{slug}', { params: { path, header }, body }));
    if (answer.kind === 'data') this.take(answer.data);
    else if (answer.kind === 'refused' && answer.status === 412) await this.refresh();
    if (answer.kind === 'data' && body.unit)
      await queries.invalidateQueries({ queryKey: ['catalogue', this.slug] });
    return answer;
  }

  /** Whether whoever is here may do this in it. */
  may(right: Right): boolean {
    return this.data?.you.may.includes(right) ?? true;
  }

  /** Machines to sew on; the example has none but practice machines. */
  get machines(): Workroom['machines'] {
    return (this.data?.machines ?? []).filter((machine) => !machine.practice || this.data?.sample);
  }

  /** What the house does for a field that a closure leaves open. */
  habit(path: string): Habit | undefined {
    return this.data?.habits.find((habit) => habit.path === path);
  }

  /** A field of a closure: what it is called and what there is to choose. */
  field(path: string): Catalogue['fields'][number] | undefined {
    return this.catalogue?.fields.find((field) => field.path === path);
  }

  /** What a field is called. */
  label(path: string): string {
    return this.field(path)?.label ?? path.replaceAll(/[._]/g, ' ');
  }

  /** What stands over a field; nothing until it is known, so that no other words stand there first. */
  heading(path: string): string {
    const label = this.field(path)?.label ?? '';
    return label.charAt(0).toUpperCase() + label.slice(1);
  }

  /** Where a page of this workroom lies. */
  at(rest = ''): string {
    return `/w/${this.slug}${rest}`;
  }

  /** Where a file of this workroom is fetched. */
  file(rest: string): string {
    return `/api/workrooms/${this.slug}${rest}`;
  }
}

export const workroom = new CurrentWorkroom();
