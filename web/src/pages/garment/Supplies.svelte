<script lang="ts">
  // What a garment takes, counted off its steps: to buy, to wind, to lay ready; as CSV and on paper.
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';

  let { id }: { id: number } = $props();

  const asked = createQuery(() => ({
    queryKey: ['supplies', workroom.slug, id],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/garments/{id}/supplies', {
          params: { path: { slug: workroom.slug, id } },
        }),
      ),
    enabled: workroom.slug !== '',
  }));
  let groups = $derived([...new Set((asked.data ?? []).map((item) => item.title))]);
</script>

{#if asked.data && asked.data.length > 0}
  <section class="mt-8" aria-labelledby="supplies">
    <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 border-b border-base-300">
      <h2 id="supplies" class="text-2xl font-semibold">What it takes</h2>
      <p class="flex flex-wrap gap-4 pb-1">
        <a class="link" href={workroom.file(`/garments/${id}/supplies.csv`)} download="supplies-{id}.csv"
          >As a table (CSV)</a
        >
        <a class="link" href={workroom.file(`/garments/${id}/record.pdf`)} target="_blank">The record (PDF)</a
        >
      </p>
    </div>
    <div class="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-4 md:grid-cols-2" data-supplies>
      {#each groups as title (title)}
        <div>
          <h3 class="font-semibold">{title}</h3>
          <ul>
            {#each asked.data.filter((item) => item.title === title) as item, index (index)}
              <li class="border-b border-dashed border-base-300 py-1 wrap-anywhere">
                <span class="font-semibold"
                  >{item.kind === 'thread' ? item.length?.text : (item.count ?? item.length?.text)}</span
                >
                {item.name}
                <span class="block text-sm text-secondary"
                  >{item.says}{item.owned === null ? '' : `; ${item.owned} in the stash`}</span
                >
                {#if item.kind === 'button' && item.lacks > 0}
                  <span class="block text-sm text-warning">{item.lacks} to buy</span>
                {/if}
              </li>
            {/each}
          </ul>
        </div>
      {/each}
    </div>
  </section>
{/if}
