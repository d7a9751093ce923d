<script lang="ts">
  // The garments of the workroom, each drawn, with its buttonholes; searched by name and sorted when there are many.
  import { keep, recall } from '../../api/browser_store';
  import { workroom } from '../../api/workroom.svelte';
  import Garment from '../../drawn/Garment.svelte';

  /** From so many on there is a search. */
  const MANY = 8;
  const SORTED = 'garments-sorted';
  type Sorted = 'name' | 'changed';
  type Item = NonNullable<typeof workroom.data>['garments'][number];

  let search = $state('');
  let sorted = $state<Sorted>(recall<Sorted>(SORTED) ?? 'name');
  let archived = $state(false);
  let everything = $derived(workroom.data?.garments ?? []);
  let templates = $derived(everything.filter((item) => item.template && !item.archived));
  let away = $derived(everything.filter((item) => item.archived).length);
  let looked = $derived(search.trim().toLowerCase());
  let garments = $derived(
    order(
      everything
        .filter((item) => looked || (!item.template && (archived || !item.archived)))
        .filter((item) =>
          [item.name, ...item.closures.map((one) => one.name)].some((name) =>
            name.toLowerCase().includes(looked),
          ),
        ),
    ),
  );

  function order(items: Item[]): Item[] {
    if (sorted === 'name') return items;
    return items.toSorted((one, other) => other.changed.localeCompare(one.changed));
  }
</script>

{#if everything.length > 0}
  <div class="mt-6 flex flex-wrap items-end justify-between gap-2 border-b border-base-300 pb-1">
    <h2 class="text-2xl">Garments</h2>
    {#if everything.length >= MANY}
      <div class="flex flex-wrap gap-2">
        <input
          type="search"
          class="input w-40 bg-base-100"
          aria-label="Search the garments"
          placeholder="search"
          bind:value={search}
        />
        <select
          class="select w-40 bg-base-100"
          aria-label="Sort the garments"
          bind:value={sorted}
          onchange={() => keep(SORTED, sorted)}
        >
          <option value="name">by name</option>
          <option value="changed">last changed first</option>
        </select>
      </div>
    {/if}
  </div>
  <ul class="mt-3 grid gap-x-6 gap-y-4 sm:grid-cols-2 xl:grid-cols-3" data-garments>
    {#each garments as item (item.id)}
      {@const first = item.closures[0]}
      <li class="flex gap-3">
        <a href={workroom.at(`/garments/${item.id}`)} class="w-20 shrink-0" aria-hidden="true" tabindex="-1">
          <Garment
            part={{
              use: first?.use ?? 'shirt',
              place: first?.place ?? 'front',
              orientation: '',
              places: [],
              length: first?.length ?? 0,
            }}
            name={item.name}
            size="h-20 w-20"
          />
        </a>
        <div class="min-w-0 grow">
          <h3 class="text-lg leading-tight font-semibold wrap-anywhere">
            <a class="hover:underline" href={workroom.at(`/garments/${item.id}`)}>{item.name}</a>
          </h3>
          {#if item.archived}<p class="text-sm text-secondary">archived</p>{/if}
          {#if item.template}<p class="text-sm text-secondary">template</p>{/if}
          <ul>
            {#each item.closures as closure (closure.id)}
              <li>
                <a
                  class="flex min-h-11 items-center wrap-anywhere underline decoration-base-300 hover:decoration-current"
                  href={workroom.at(`/closures/${closure.id}/cloth`)}>{closure.name}</a
                >
              </li>
            {/each}
          </ul>
        </div>
      </li>
    {:else}
      <li class="text-secondary">
        {looked ? `No garment has “${search}” in its name.` : 'All garments are archived.'}
      </li>
    {/each}
  </ul>
  {#if templates.length > 0 && !looked}
    <div class="mt-5" data-templates>
      <h3 class="text-lg font-semibold">Start from a template</h3>
      <ul class="flex flex-wrap gap-x-6">
        {#each templates as item (item.id)}
          <li>
            <a
              class="flex min-h-11 items-center wrap-anywhere underline decoration-base-300 hover:decoration-current"
              href={workroom.at(`/garments/${item.id}`)}>{item.name}</a
            >
          </li>
        {/each}
      </ul>
    </div>
  {/if}
  {#if away > 0 && !looked}
    <label class="mt-3 flex min-h-11 w-fit cursor-pointer items-center gap-3">
      <input type="checkbox" class="checkbox checkbox-sm" bind:checked={archived} />
      Show archived garments ({away})
    </label>
  {/if}
{/if}
