<script lang="ts">
  // The layers at the hole in section, to scale, with the needle for comparison.
  import type { Sheet } from '../../api/client';

  let { recipe }: { recipe: Sheet['recipe'] } = $props();

  let tall = $derived(Math.max(recipe.stack.mm, 0.4));
  let unit = $derived(tall / 12);
  let tops = $derived(
    recipe.stack_parts.map((_, index) =>
      recipe.stack_parts.slice(0, index).reduce((sum, layer) => sum + layer.thickness.mm, 0),
    ),
  );
</script>

<svg
  viewBox="0 0 {unit * 60} {tall + unit * 2}"
  class="h-28 w-full max-w-md"
  role="img"
  aria-label="{recipe.stack_parts.length} layers, {recipe.stack.text} together"
>
  {#each recipe.stack_parts as layer, index (index)}
    <rect
      x={unit * 2}
      y={unit + (tops[index] ?? 0)}
      width={unit * 34}
      height={Math.max(layer.thickness.mm, unit * 0.15)}
      fill={layer.name === 'interfacing' ? 'var(--color-accent)' : 'var(--cloth)'}
      fill-opacity={layer.name === 'interfacing' ? 0.5 : 1}
      stroke="var(--cloth-edge)"
      stroke-width={unit * 0.15}
    />
  {/each}
  <path
    d="M{unit * 38} {unit}v{tall}m{-unit * 0.6} 0h{unit * 1.2}m{-unit * 1.2} {-tall}h{unit * 1.2}"
    stroke="var(--color-secondary)"
    stroke-width={unit * 0.2}
    fill="none"
  />
  <text x={unit * 40} y={unit + tall / 2} font-size={unit * 2.2} fill="var(--color-base-content)"
    >{recipe.stack.text}</text
  >
  <text x={unit * 40} y={unit * 3.6 + tall / 2} font-size={unit * 1.6} fill="var(--color-secondary)"
    >{recipe.stack_parts.length} layers at the hole</text
  >
</svg>
