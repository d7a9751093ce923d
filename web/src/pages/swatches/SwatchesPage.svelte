<script lang="ts">
  // The swatch book: every test hole of the workroom, found by words, by what it was sewn on and with,
  // and by what came of it.
  import { createInfiniteQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client, type SwatchLeaf as Leaf } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { searchedFor } from '../../ui/searched';
  import Page from '../Page.svelte';
  import Compare from './Compare.svelte';
  import SearchForm, { type By } from './SearchForm.svelte';
  import SwatchLeaf from './SwatchLeaf.svelte';
  import TakeIn from './TakeIn.svelte';

  let words = $state(searchedFor());
  let by = $state<By>({});
  let chosen = $state<Leaf[]>([]);
  let slug = $derived(workroom.slug);

  const book = createInfiniteQuery(() => ({
    queryKey: ['swatches', slug, words, $state.snapshot(by)],
    queryFn: ({ pageParam }: { pageParam: string }) => {
      const asked = Object.fromEntries(Object.entries(by).filter(([, value]) => value));
      const query = { ...asked, ...(words ? { words } : {}), ...(pageParam ? { before: pageParam } : {}) };
      return read(client.GET('/api/workrooms/{slug}/swatches', { params: { path: { slug }, query } }));
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.following ?? undefined,
    enabled: slug !== '',
    placeholderData: keepPreviousData,
  }));
  let first = $derived(book.data?.pages[0]);
  let leaves = $derived(book.data?.pages.flatMap((page) => page.leaves) ?? []);
  let asked = $derived(Boolean(words) || Object.values(by).some(Boolean));
  let pair = $derived(chosen.length === 2 ? (chosen as [Leaf, Leaf]) : undefined);

  /** The two chosen last. */
  function choose(leaf: Leaf, on: boolean): void {
    const others = chosen.filter((one) => one.id !== leaf.id);
    chosen = on ? [...others, leaf].slice(-2) : others;
  }
</script>

<Page title="Swatch book" wide failed={book.failureCount ? 'The server does not answer. Trying again…' : ''}>
  <div class="flex flex-wrap items-end justify-between gap-3">
    <h1 class="text-4xl font-semibold">Swatch book</h1>
    <div class="flex flex-wrap gap-2">
      <a class="btn btn-sm" href="/api/workrooms/{slug}/swatches.csv">Save as CSV</a>
      <a class="btn btn-sm" href="/api/workrooms/{slug}/swatches.json">Save as JSON</a>
      <TakeIn done={() => void book.refetch()} />
    </div>
  </div>
  <p class="mt-1 max-w-prose text-secondary">
    Every test you save is kept here. What worked last time comes first.
  </p>
  <SearchForm bind:words bind:by there={first?.there} />
  {#if pair}<Compare leaves={pair} />{/if}
  <p role="status" class="mt-4 text-sm text-secondary">
    {#if first?.alike}Nothing has exactly these words. These come close.{:else if book.data}{leaves.length}{book.hasNextPage
        ? ' and more'
        : ''}
      {leaves.length === 1 ? 'test hole' : 'test holes'}.{/if}
    {#if chosen.length === 1}Choose another one to compare with.{/if}
  </p>
  <ol class="mt-3 grid gap-5 sm:grid-cols-2 xl:grid-cols-3">
    {#each leaves as leaf (leaf.id)}
      <li class="rounded-lg border border-base-300 p-4">
        <SwatchLeaf {leaf}>
          <label class="flex min-h-8 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              class="checkbox checkbox-sm"
              checked={chosen.some((one) => one.id === leaf.id)}
              onchange={(event) => choose(leaf, event.currentTarget.checked)}
            />compare
          </label>
        </SwatchLeaf>
      </li>
    {:else}
      {#if book.data}
        <li class="py-4">
          {asked
            ? 'Nothing found. Try fewer words or another verdict.'
            : 'No test buttonhole yet. Save your first test and it is kept here.'}
        </li>
      {:else if !book.failureCount}<li role="status" class="py-4">Loading the swatch book…</li>{/if}
    {/each}
  </ol>
  {#if book.hasNextPage}
    <button class="btn mt-2" disabled={book.isFetchingNextPage} onclick={() => book.fetchNextPage()}
      >{book.isFetchingNextPage ? 'Loading…' : 'Older ones'}</button
    >
  {/if}
</Page>
