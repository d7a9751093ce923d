<script lang="ts">
  // Before a session: what is due to be practised, in a few words, and the way there. It stands in a line that is there
  // already, so that nothing moves when it comes. Nothing where nothing is due.
  import { workroom } from '../api/workroom.svelte';
  import type { Due } from './due.svelte';

  let { due, closure }: { due: Due; closure: number } = $props();

  const LONG = 2;
  const MOST = 2;
  let data = $derived(due.data);
  let months = $derived(data?.months ?? 0);
  let forgotten = $derived(months >= LONG);
  let names = $derived((data?.due ?? []).slice(0, MOST).map((one) => one.name));
  let why = $derived(
    forgotten
      ? `${months} months since your last buttonhole`
      : names.length
        ? names.join(', ')
        : 'on a practice machine',
  );
</script>

{#if data && (forgotten || names.length || !data.practised)}
  <a class="btn btn-lg" href={workroom.at(`/closures/${closure}/rehearse`)} data-due>
    Practise first, {data.minutes} min
    <span class="font-normal text-secondary max-md:sr-only">{why}</span>
  </a>
{/if}
