<script lang="ts">
  // What a card of the work is about: the hole, sewn or with its start mark; or the button.
  import type { Closure, Step } from '../../api/client';
  import ButtonFace from '../../drawn/ButtonFace.svelte';
  import { figuresOf } from '../../drawn/hole';
  import SewnHole from '../../drawn/SewnHole.svelte';

  let { closure, steps, sewn }: { closure: Closure; steps: Step[]; sewn: boolean } = $props();

  let has = $derived((name: string) => steps.some((step) => step.key.startsWith(name)));
  let hole = $derived(figuresOf(closure.sheet, Math.max(closure.sheet.recipe.feed.mm, 0.3)));
  let width = $derived((hole.length + hole.near.long + hole.far.long) * 1.14);
  let tall = $derived(hole.across * 1.7);
  let button = $derived(closure.sheet.button);
  let reach = $derived(button.largest.mm * 0.6);
  /** The machine begins at the end with the start mark. */
  let start = $derived(-hole.length / 2 - hole.near.long);
</script>

{#if has('sew-at') || has('open-at') || has('test-sew')}
  <svg
    viewBox="{-width / 2} {-tall / 2} {width} {tall}"
    class="mt-1 block max-h-16 w-full"
    aria-hidden="true"
  >
    {#if sewn || has('open-at')}
      <SewnHole {hole} thread={closure.sheet.recipe.thread_thickness.mm} cut={has('open-at')} />
    {:else}
      <path
        d="M{start} 0H{-start}"
        stroke="var(--color-primary)"
        stroke-width={hole.across * 0.05}
        stroke-dasharray="{hole.across * 0.25} {hole.across * 0.18}"
      />
      <circle
        cx={start}
        r={hole.across * 0.2}
        fill="none"
        stroke="var(--color-warning)"
        stroke-width={hole.across * 0.08}
      />
      <path
        d="M{start} {-hole.across * 0.36}V{hole.across * 0.36}"
        stroke="var(--color-warning)"
        stroke-width={hole.across * 0.08}
      />
    {/if}
  </svg>
{:else if has('button-at')}
  <svg
    viewBox="{-reach} {-reach} {reach * 2} {reach * 2}"
    class="mt-1 block max-h-16 w-full"
    aria-hidden="true"
  >
    <ButtonFace {button} />
  </svg>
{/if}
