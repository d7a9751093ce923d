<script lang="ts">
  // What can go wrong, and the way out. Madder red is kept for this.
  import type { Caution } from '../api/client';

  let { cautions }: { cautions: Caution[] } = $props();
</script>

{#if cautions.length > 0}
  <ul class="max-w-prose space-y-2" aria-label="Cautions">
    {#each cautions as caution, index (index)}
      <li class="border-l-4 border-warning pl-3">
        <span class="font-semibold text-warning">{caution.says}</span>
        {#if caution.instead}<span class="block text-[0.95rem]">{caution.instead}</span>{/if}
      </li>
    {/each}
  </ul>
{/if}
