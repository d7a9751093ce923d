<script lang="ts">
  // The question of the stage, and its knot: tied, taken up again, or stale and from what to what.
  import type { StageState } from '../api/client';
  import type { ClosureWork } from '../closure/work.svelte';

  let { work, stage }: { work: ClosureWork; stage: StageState } = $props();

  const WORDS = { loose: 'Mark as decided', stale: 'Still right', tied: 'Reopen' };
  const TOLD = 4;
</script>

<div class="flex flex-wrap items-baseline justify-between gap-x-4">
  <h1 class="text-2xl text-secondary">{stage.question}</h1>
  <button
    class={['btn btn-sm', stage.state === 'stale' ? 'btn-primary' : 'btn-ghost']}
    onclick={() => work.typeAll({ [`settled.${stage.word}`]: stage.state === 'tied' ? null : 'yes' })}
  >
    {WORDS[stage.state]}
  </button>
</div>
{#if stage.state === 'stale'}
  <div role="status" class="mt-1 border-l-4 border-warning pl-3 text-warning" data-stale>
    <p>Something changed since you decided this. Still right?</p>
    <ul class="text-sm">
      {#each stage.changes.slice(0, TOLD) as change (change)}<li>{change}</li>{/each}
      {#if stage.changes.length > TOLD}<li>and {stage.changes.length - TOLD} more</li>{/if}
    </ul>
  </div>
{/if}
