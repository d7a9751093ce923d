<script lang="ts">
  // The shelves of fabrics, threads and stabilisers: what is on them is added, changed, deleted, saved to a file and opened.
  import { keepPreviousData, createQuery } from '@tanstack/svelte-query';
  import { ask, read, words } from '../../api/ask';
  import { client, type ShelfName, type ShelfThing } from '../../api/client';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';
  import { route } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import Shelved from '../../drawn/Shelved.svelte';
  import Page from '../Page.svelte';
  import ShelfForm from './ShelfForm.svelte';
  import ShelfImport from './ShelfImport.svelte';

  const SHELVES = {
    cloths: { title: 'Fabrics', one: 'cloth', add: 'Another fabric' },
    threads: { title: 'Threads', one: 'thread', add: 'Another thread' },
    stabilisers: { title: 'Stabilisers', one: 'stabiliser', add: 'Another stabiliser' },
  } as const;

  let asked = $derived((route.params as { shelf?: string }).shelf ?? '');
  let kind = $derived<ShelfName>(asked in SHELVES ? (asked as ShelfName) : 'cloths');
  let shelf = $derived(SHELVES[kind]);
  let slug = $derived(workroom.slug);
  let search = $state('');
  let open = $state<number | 'new' | 'file'>();
  let failed = $state('');
  let taken = $state.raw<ShelfThing>();

  const found = createQuery(() => ({
    queryKey: ['shelf', slug, kind, search],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/shelves/{shelf}', {
          params: { path: { slug, shelf: kind }, query: { search } },
        }),
      ),
    enabled: slug !== '',
    placeholderData: keepPreviousData,
  }));
  let items = $derived(found.data?.items ?? []);
  let names = $derived(found.data?.names ?? []);

  async function changed(): Promise<void> {
    open = undefined;
    await Promise.all([queries.invalidateQueries({ queryKey: ['shelf', slug] }), workroom.refresh()]);
  }

  async function putAway(item: ShelfThing): Promise<void> {
    const path = { slug, shelf: kind, id: item.id };
    const header = { 'If-Match': `"${item.revision}"` };
    const answer = await ask(
      client.DELETE('/api/workrooms/{slug}/shelves/{shelf}/{id}', { params: { path, header } }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    taken = item;
    announce(`${item.fields['name']} is deleted.`);
    await changed();
  }

  async function putBack(): Promise<void> {
    if (!taken) return;
    const path = { slug, kind: shelf.one, id: taken.id };
    failed = words(
      await ask(client.POST('/api/workrooms/{slug}/waste-basket/{kind}/{id}', { params: { path } })),
    );
    taken = undefined;
    await changed();
  }
</script>

<Page title={shelf.title} {failed}>
  <h1 class="text-4xl font-semibold">{shelf.title}</h1>
  <nav class="mt-2 flex gap-4" aria-label="Shelves">
    {#each Object.entries(SHELVES) as [key, other] (key)}
      <a
        class={['border-b-2', key === kind ? 'border-primary font-semibold' : 'border-transparent']}
        aria-current={key === kind ? 'page' : undefined}
        href={workroom.at(`/shelves/${key}`)}>{other.title}</a
      >
    {/each}
  </nav>
  <div class="mt-4 flex flex-wrap items-end gap-3">
    <label class="flex flex-col text-sm text-secondary"
      >Search
      <input type="search" class="input bg-base-100 text-lg text-base-content" bind:value={search} />
    </label>
    {#if workroom.may('plan')}<button class="btn btn-primary" onclick={() => (open = 'new')}
        >{shelf.add}</button
      >
      <button class="btn" onclick={() => (open = open === 'file' ? undefined : 'file')}>From a file</button
      >{/if}
    <a class="btn btn-ghost" href={workroom.file(`/${kind}.csv`)}>Save to a file</a>
  </div>
  {#if taken}
    <p role="status" class="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
      <span>“{taken.fields['name']}” is deleted.</span>
      <button class="btn btn-sm" onclick={putBack}>Put it back</button>
    </p>
  {/if}
  {#if open === 'file'}<ShelfImport {kind} {changed} />{/if}
  {#if open === 'new'}<ShelfForm {kind} {names} saved={changed} leave={() => (open = undefined)} />{/if}
  {#if found.data && items.length === 0}
    <p class="mt-6 text-lg text-secondary">
      {search
        ? 'Nothing on the shelf is called like that.'
        : 'The shelf is empty. What you put on it is filled in for you later.'}
    </p>
  {/if}
  <ul class="mt-4 divide-y divide-base-300">
    {#each items as item (item.id)}
      <li class="py-2">
        <div class="flex flex-wrap items-center gap-x-4">
          <Shelved shelf={kind} thickness={item.drawn} />
          <span class="min-w-40 grow basis-0">
            <span class="text-lg font-semibold wrap-anywhere">{item.fields['name']}</span>
            <span class="block text-sm text-secondary">{item.says}</span>
          </span>
          {#if workroom.may('plan')}<span class="ml-auto flex">
              <button
                class="btn btn-ghost btn-sm"
                aria-expanded={open === item.id}
                aria-label="Change {item.fields['name']}"
                onclick={() => (open = open === item.id ? undefined : item.id)}>Change</button
              >
              <button
                class="btn btn-ghost btn-sm"
                aria-label="Delete {item.fields['name']}"
                onclick={() => putAway(item)}>Delete</button
              >
            </span>{/if}
        </div>
        {#if open === item.id}
          <ShelfForm {kind} {names} {item} saved={changed} leave={() => (open = undefined)} />
        {/if}
      </li>
    {/each}
  </ul>
</Page>
