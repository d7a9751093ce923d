<script lang="ts">
  // The three beats of a hole that spoil it when they slip, always in sight: each with its picture and its name.
  import type { SessionStep } from '../api/client';
  import Tool from '../drawn/Tool.svelte';

  let { names, card }: { names: Set<string>; card: SessionStep[] } = $props();

  const BEATS = [
    { name: 'reset', says: 'back to the start' },
    { name: 'place', says: 'needle in the mark' },
    { name: 'lever', says: 'lever down' },
  ];
  let shown = $derived(BEATS.filter((beat) => names.has(beat.name)));
</script>

<ul class="flex flex-wrap gap-2" aria-label="Of every hole">
  {#each shown as beat (beat.name)}
    {@const here = card.some((step) => step.name === beat.name)}
    <li
      class={[
        'flex w-24 flex-col items-center rounded border-2 px-1 py-1 text-center text-sm leading-tight sm:w-28',
        here ? 'border-primary font-semibold' : 'border-base-300 text-secondary',
      ]}
    >
      <Tool name={beat.name} size="h-12" />
      {beat.says}
    </li>
  {/each}
</ul>
