<script lang="ts">
  // The hole on its scrap, with the part in question marked.
  import type { Closure } from '../../api/client';
  import Cloth from '../../drawn/Cloth.svelte';
  import { figuresOf } from '../../drawn/hole';
  import SewnHole from '../../drawn/SewnHole.svelte';

  let {
    closure,
    mark = '',
    size = 'max-h-52',
  }: { closure: Closure; mark?: string; size?: string } = $props();

  let hole = $derived(figuresOf(closure.sheet, Math.max(closure.sheet.recipe.feed.mm, 0.25)));
  let whole = $derived(hole.length + hole.near.long + hole.far.long);
  let width = $derived(Math.max(whole, hole.across * 3) * 1.5);
  let text = $derived(width * 0.03);
  let tall = $derived(hole.across + text * 5.5);
  let half = $derived(hole.across / 2);
  /** Where the mark lies above or below the middle, and what it says. */
  const MARKS: Record<string, [side: number, says: string]> = {
    bead_away: [-1, 'this side'],
    bead_back: [1, 'this side'],
    cover: [-1, 'the sides'],
    tension: [-1, 'this edge'],
    space: [0, 'in here'],
    length: [1, 'this long'],
    fit: [1, 'this long'],
  };
  let found = $derived(MARKS[mark]);
  let y = $derived(found ? found[0] * (half + text * 0.9) : 0);
</script>

<svg
  viewBox="{-width / 2} {-tall / 2} {width} {tall}"
  class={['block w-full rounded-lg', size]}
  role="img"
  aria-label={found ? `The hole; look at ${found[1]}` : 'The hole as it should come out'}
>
  <Cloth x={-width / 2} y={-tall / 2} {width} height={tall} />
  <SewnHole {hole} thread={closure.sheet.recipe.thread_thickness.mm} />
  {#if found}
    <g fill="none" stroke="var(--color-warning)" stroke-width={text * 0.14}>
      {#if found[0] === 0}
        <path d="M{hole.length / 2 + hole.far.long + text * 2} {-text}L{hole.length / 4} 0" />
      {:else}
        <path
          d="M{-hole.length / 2} {y - text * 0.4}v{text * 0.8}M{-hole.length / 2} {y}H{hole.length /
            2}M{hole.length / 2} {y - text * 0.4}v{text * 0.8}"
        />
      {/if}
    </g>
    <text
      x={found[0] === 0 ? hole.length / 2 + hole.far.long + text * 2.3 : 0}
      y={found[0] === 0 ? -text * 0.8 : y + (found[0] < 0 ? -text * 0.6 : text * 1.4)}
      font-size={text * 1.15}
      font-weight="600"
      text-anchor={found[0] === 0 ? 'start' : 'middle'}
      fill="var(--color-warning)">{found[1]}</text
    >
  {/if}
</svg>
