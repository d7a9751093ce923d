<script lang="ts">
  // The garments of the workroom, each drawn, with its buttonholes; searched by name when there are many.
  import { workroom } from '../../api/workroom.svelte';
  import Garment from '../../drawn/Garment.svelte';

  /** From so many on there is a search. */
  const MANY = 8;
  let search = $state('');
  let all = $derived(workroom.data?.garments ?? []);
  let garments = $derived(
    all.filter((item) =>
      [item.name, ...item.closures.map((one) => one.name)].some((name) =>
        name.toLowerCase().includes(search.trim().toLowerCase()),
      ),
    ),
  );
</script>

{#if all.length > 0}
  <div class="mt-6 flex flex-wrap items-end justify-between gap-2 border-b border-base-300 pb-1">
    <h2 class="text-2xl">Garments</h2>
    {#if all.length >= MANY}
      <input
        type="search"
        class="input w-48 bg-base-100"
        aria-label="Search the garments"
        placeholder="search"
        bind:value={search}
      />
    {/if}
  </div>
  <ul class="mt-3 grid gap-x-6 gap-y-4 sm:grid-cols-2 xl:grid-cols-3">
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
      <li class="text-secondary">No garment has “{search}” in its name.</li>
    {/each}
  </ul>
{/if}
