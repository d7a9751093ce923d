<script lang="ts">
  // How much the thread covers, on a scale with the band it should lie in.
  import type { Sheet } from '../../api/client';
  import Term from '../../ui/Term.svelte';

  let { recipe }: { recipe: Sheet['recipe'] } = $props();

  /** The coverage index on a scale with the band in its middle. */
  const place = (index: number) => `${Math.min(100, Math.max(0, ((index - 0.2) / 0.7) * 100))}%`;
</script>

{#if recipe.coverage_least !== null && recipe.coverage_most !== null}
  <div class="mt-4 max-w-md">
    <p class="text-sm">
      <Term of="coverage" as="Coverage index" />{recipe.second_pass ? ' of one pass' : ''}
      <strong>{recipe.coverage}</strong>, wanted {recipe.coverage_least}
      to {recipe.coverage_most}
    </p>
    <div class="relative mt-1 h-3 bg-base-200" aria-hidden="true">
      <div
        class="absolute inset-y-0 bg-primary/40"
        style:left={place(recipe.coverage_least)}
        style:right="calc(100% - {place(recipe.coverage_most)})"
      ></div>
      <div
        class="absolute -inset-y-1 border-l-3 border-base-content"
        style:left={place(recipe.coverage)}
      ></div>
    </div>
    <p class="mt-0.5 flex justify-between text-xs text-secondary" aria-hidden="true">
      <span>cloth shows through</span><span>stitches pile up</span>
    </p>
  </div>
{/if}
