<script lang="ts">
  // What earlier buttonholes on this machine taught, before the first test of these: it is set with one press.
  import type { Advice } from '../../api/client';
  import type { ClosureWork } from '../../closure/work.svelte';
  import { settable, sets } from './changes';

  let { work, advice, fresh }: { work: ClosureWork; advice: Advice; fresh: boolean } = $props();

  let changes = $derived(settable(advice.changes));
</script>

{#if changes.length > 0}
  <div class="mt-3 rounded-lg border border-base-300 p-3" data-before-first>
    <p class="text-sm text-secondary">From your earlier buttonholes</p>
    {#each changes as change (change.axis)}<p class="text-lg">{change.says}</p>{/each}
    <button class="btn mt-2 btn-sm" disabled={!fresh} onclick={() => work.typeAll(sets(changes))}
      >{changes.length > 1 ? 'Make them all' : 'Make this change'}</button
    >
  </div>
{/if}
