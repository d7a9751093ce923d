<script lang="ts">
  // What else there is, with what speaks for it and against it: why this one, and why not the others.
  import type { Sheet } from '../../api/client';

  let { scores, label }: { scores: Sheet['recipe']['settings'][number]['scores']; label: string } = $props();
</script>

<details class="mt-1">
  <summary class="cursor-pointer text-sm underline decoration-dotted">Why not another {label}?</summary>
  <ol class="mt-2 max-w-3xl">
    {#each scores as score (score.key)}
      <li
        class={['border-l-4 py-1 pl-3', score.chosen ? 'border-primary' : 'border-base-300']}
        data-score={score.key}
      >
        <p>
          <span class={score.chosen ? 'font-semibold' : ''}>{score.name}</span>
          <span class="text-secondary">{score.points > 0 ? '+' : ''}{score.points}</span>
          {#if score.obstacle}<span class="text-sm text-warning">{score.obstacle}</span>{/if}
        </p>
        {#each score.speaks_for as says, index (index)}<p class="text-sm">For: {says}</p>{/each}
        {#each score.against as says, index (index)}<p class="text-sm text-secondary">
            Against: {says}
          </p>{/each}
      </li>
    {/each}
  </ol>
</details>
