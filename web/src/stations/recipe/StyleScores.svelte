<script lang="ts">
  // Every style with what speaks for it and against it: why this one, and why not the others.
  import type { Sheet } from '../../api/client';

  let { scores }: { scores: Sheet['recipe']['scores'] } = $props();
</script>

<details class="mt-4">
  <summary class="cursor-pointer underline decoration-dotted">Why not another style?</summary>
  <ol class="mt-2 max-w-3xl">
    {#each scores as score (score.key)}
      <li
        class={['border-l-4 py-1 pl-3', score.chosen ? 'border-primary' : 'border-base-300']}
        data-score={score.key}
      >
        <p>
          <span class={score.chosen ? 'font-semibold' : ''}>{score.name}</span>
          <span class="text-secondary">{score.points > 0 ? '+' : ''}{score.points}</span>
          {#if !score.possible}<span class="text-warning">not on this machine</span>{/if}
        </p>
        {#each score.speaks_for as says, index (index)}<p class="text-sm">For: {says}</p>{/each}
        {#each score.against as says, index (index)}<p class="text-sm text-secondary">
            Against: {says}
          </p>{/each}
      </li>
    {/each}
  </ol>
</details>
