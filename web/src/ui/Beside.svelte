<script lang="ts">
  // Who else looks at this just now: their initials, with their names for whoever asks.
  import { here } from '../api/here.svelte';
  import { initials } from '../api/who.svelte';
  import { workroom } from '../api/workroom.svelte';

  let { place }: { place: string } = $props();

  $effect(() => {
    const { slug } = workroom;
    // Where nobody signs in there is nobody to see.
    if (!slug || !workroom.data || workroom.data.you.kind === 'own') return;
    return here.at(slug, place);
  });
  let others = $derived([...new Map(here.beside(place).map((one) => [one.account, one])).values()]);
</script>

{#if others.length}
  <ul class="flex gap-1" data-beside aria-label="Also here">
    {#each others as one (one.account)}
      <li
        class="flex h-7 min-w-7 items-center justify-center rounded-full border border-primary px-1 text-xs font-semibold"
        title="{one.name} is here too"
      >
        <span aria-hidden="true">{initials(one.name)}</span><span class="sr-only">{one.name}</span>
      </li>
    {/each}
  </ul>
{/if}
