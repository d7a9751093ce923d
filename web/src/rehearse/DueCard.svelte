<script lang="ts">
  // Before a session: what is due to be practised, in a line, and the way there. Nothing where nothing is due.
  import { workroom } from '../api/workroom.svelte';
  import type { Due } from './due.svelte';

  let { due, closure }: { due: Due; closure: number } = $props();

  const LONG = 2;
  const MOST = 3;
  let data = $derived(due.data);
  let months = $derived(data?.months ?? 0);
  let forgotten = $derived(months >= LONG);
  let names = $derived((data?.due ?? []).slice(0, MOST).map((one) => one.name));
</script>

{#if data && (forgotten || names.length || !data.practised)}
  <p
    class="mt-4 flex max-w-prose flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-primary pl-3"
    data-due
  >
    <span class="min-w-0 flex-1">
      {#if forgotten}{months} months since your last buttonhole on this machine.{:else if names.length}Due
        again: {names.join(', ')}.{:else}Try it on a practice machine first?{/if}
    </span>
    <a class="btn" href={workroom.at(`/closures/${closure}/rehearse`)}>Practise, {data.minutes} minutes</a>
  </p>
{/if}
