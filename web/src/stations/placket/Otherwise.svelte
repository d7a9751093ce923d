<script lang="ts">
  // What else the run could be: one hole more, one fewer, or grouped otherwise. It takes solving, so it is
  // asked for when this station is looked at, and again when the plan or what is sewn is another.
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client, type Closure } from '../../api/client';
  import type { ClosureWork } from '../../closure/work.svelte';
  import Because from '../../ui/Because.svelte';
  import SmallRun from '../../ui/SmallRun.svelte';

  type Props = { work: ClosureWork; closure: Closure; sewn: number };
  let { work, closure, sewn }: Props = $props();

  let plan = $derived(closure.plan);
  const found = createQuery(() => ({
    queryKey: ['spacings', work.slug, work.id, closure.version, sewn],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/closures/{id}/spacings', {
          params: { path: { slug: work.slug, id: work.id } },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }));

  function choose(count: number, pattern: string): void {
    work.typeAll({ 'placket.count': String(count), 'placket.count_most': '', 'placket.pattern': pattern });
  }
</script>

<h2 class="mt-5 text-lg font-semibold">One more, one fewer, or otherwise</h2>
<ul class="mt-1 flex flex-wrap gap-2">
  {#each found.data?.alternatives ?? [] as item (`${item.count}-${item.pattern}`)}
    <li>
      <button
        class={['btn h-auto gap-3 py-1.5', item.chosen && 'btn-primary']}
        aria-pressed={item.chosen}
        disabled={!item.fits}
        onclick={() => choose(item.count, item.pattern)}
      >
        <SmallRun places={item.places} length={plan['placket.run_length'].mm} />
        <span class="flex flex-col items-start">
          <span class="text-lg"
            >{item.count}
            {closure.sheet.button.sewn}{item.count === 1 ? '' : 's'}{item.pattern === plan['placket.pattern']
              ? ''
              : item.pattern === 'clusters'
                ? ' in clusters'
                : ', evenly'}</span
          >
          <span class="text-xs font-normal"
            >{item.fits
              ? item.smallest && item.largest
                ? `gaps ${item.smallest.text} to ${item.largest.text}`
                : 'alone'
              : 'does not fit'}</span
          >
        </span>
      </button>
    </li>
  {/each}
</ul>
{#if found.data?.because.length}
  <div class="mt-2"><Because reasons={found.data.because} title="How even" /></div>
{/if}
