<script lang="ts">
  // A recipe that a test hole holds says so wherever it is shown, and what is set otherwise since.
  import type { Frozen } from '../api/client';

  let { frozen }: { frozen: Frozen } = $props();
</script>

{#if frozen}
  <div class="mt-3 max-w-prose border-l-4 border-primary pl-3" data-frozen>
    <p>
      In use from Test {frozen.number}{frozen.simulated ? ', which was simulated' : ''}: {frozen.changes
        .length
        ? 'but you changed the plan since.'
        : 'everything is set as it was sewn.'}
    </p>
    {#if frozen.changes.length}
      <ul class="mt-1 text-warning">
        {#each frozen.changes as change (change)}<li>{change}</li>{/each}
      </ul>
    {/if}
  </div>
{/if}
