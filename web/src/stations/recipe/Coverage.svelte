<script lang="ts">
  // How much the thread covers, on a scale with the band it should lie in.
  import type { Sheet } from '../../api/client';
  import Term from '../../ui/Term.svelte';

  let { recipe }: { recipe: Sheet['recipe'] } = $props();

  /** The coverage index on a scale with the band in its middle. */
  let words = $derived.by(() => {
    if (recipe.coverage_least !== null && recipe.coverage < recipe.coverage_least)
      return recipe.second_pass ? 'Thin in one pass' : 'Thin: fabric shows through';
    if (recipe.coverage_most !== null && recipe.coverage > recipe.coverage_most)
      return 'Crowded: stitches pile up';
    return 'Full coverage';
  });
  const place = (index: number) => `${Math.min(100, Math.max(0, ((index - 0.2) / 0.7) * 100))}%`;
</script>

{#if recipe.coverage_least !== null && recipe.coverage_most !== null}
  <div class="mt-2 grid items-center gap-x-4 sm:grid-cols-[auto_1fr]">
    <p>
      <strong>{words}</strong>
      <span class="text-secondary"
        >(<Term of="coverage" as="coverage" />
        {recipe.coverage})</span
      >
    </p>
    <div class="relative h-3 rounded bg-base-200" aria-hidden="true">
      <div
        class="absolute inset-y-0 rounded bg-primary/35"
        style:left={place(recipe.coverage_least)}
        style:right="calc(100% - {place(recipe.coverage_most)})"
      ></div>
      <div
        class="absolute -inset-y-1 border-l-4 border-base-content"
        style:left={place(recipe.coverage)}
      ></div>
    </div>
  </div>
{/if}
