<script lang="ts">
  // Every style with what speaks for it and against it: why this one, and why not the others.
  import type { Sheet } from '../../api/client';

  let { standings }: { standings: Sheet['recipe']['standings'] } = $props();
</script>

<details class="mt-4">
  <summary class="cursor-pointer underline decoration-dotted">Why not another style?</summary>
  <ol class="mt-2 max-w-3xl">
    {#each standings as standing (standing.key)}
      <li
        class={['border-l-4 py-1 pl-3', standing.chosen ? 'border-primary' : 'border-base-300']}
        data-standing={standing.key}
      >
        <p>
          <span class={standing.chosen ? 'font-semibold' : ''}>{standing.name}</span>
          <span class="text-secondary">{standing.points > 0 ? '+' : ''}{standing.points}</span>
          {#if !standing.possible}<span class="text-warning">not on this machine</span>{/if}
        </p>
        {#each standing.speaks_for as says, index (index)}<p class="text-sm">For: {says}</p>{/each}
        {#each standing.against as says, index (index)}<p class="text-sm text-secondary">
            Against: {says}
          </p>{/each}
      </li>
    {/each}
  </ol>
</details>
