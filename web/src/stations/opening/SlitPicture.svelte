<script lang="ts">
  // The button over its hole, to one scale: it goes down and through once, and again when asked.
  import { Play } from '@lucide/svelte';
  import type { Closure } from '../../api/client';
  import Cloth from '../../drawn/Cloth.svelte';
  import { figuresOf } from '../../drawn/hole';
  import Measure from '../../drawn/Measure.svelte';
  import SewnHole from '../../drawn/SewnHole.svelte';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let button = $derived(closure.sheet.button);
  let hole = $derived(figuresOf(closure.sheet));
  let points = $derived(button.section.map(([x, y]) => `${x},${y}`).join(' '));
  let thick = $derived(
    Math.max(...button.section.map(([, y]) => y ?? 0)) - Math.min(...button.section.map(([, y]) => y ?? 0)),
  );
  /** Wide enough for its figures, whatever is round. */
  let width = $derived(Math.max(opening.overall.mm, button.smallest.mm, (thick + hole.across) * 1.9) * 1.22);
  let text = $derived(width * 0.038);
  let low = $derived(thick / 2 + hole.across / 2 + text * 1.6);
  let top = $derived(-thick / 2 - text * 0.9);
  let tall = $derived(low + hole.across / 2 + text * 3.4 - top);
  /** Played so many times. */
  let plays = $state(0);
</script>

<div class="relative">
  <svg
    viewBox="{-width / 2} {top} {width} {tall}"
    class="block max-h-[19rem] w-full rounded-lg"
    role="img"
    aria-label="The slit is {opening.length.text} long, {opening.overall
      .text} with its ends; the button over it: {opening.verdict.words}"
  >
    <Cloth x={-width / 2} y={top} {width} height={tall} />
    <g transform="translate(0 {low})"><SewnHole {hole} thread={closure.sheet.recipe.thread_thickness.mm} /></g
    >
    <path
      d="M0 {thick / 2 + text * 0.25}v{text * 0.9}m{-text * 0.35} {-text * 0.4}l{text * 0.35} {text *
        0.4}l{text * 0.35} {-text * 0.4}"
      fill="none"
      stroke="var(--color-primary)"
      stroke-width={text * 0.14}
    />
    {#key plays}
      <g class="passes" style:--down="{low}px">
        <polygon
          {points}
          fill="var(--shell)"
          stroke="var(--horn)"
          stroke-width={width * 0.006}
          stroke-linejoin="round"
        />
      </g>
    {/key}
    <Measure
      from={-hole.length / 2}
      to={hole.length / 2}
      y={low + hole.across / 2 + text * 0.7}
      size={text}
      text="{opening.length.text} to cut · {opening.overall.text} overall"
    />
  </svg>
  <button
    class="btn absolute right-2 bottom-2 btn-circle btn-primary"
    aria-label="Play again"
    onclick={() => (plays += 1)}><Play size={18} /></button
  >
</div>

<style>
  .passes {
    animation: pass 2.4s ease-in-out 1;
  }
  @keyframes pass {
    0%,
    10% {
      transform: none;
      opacity: 1;
    }
    55% {
      transform: translateY(var(--down)) scaleY(0.8);
      opacity: 1;
    }
    75% {
      transform: translateY(var(--down)) scaleY(0.15);
      opacity: 0;
    }
    76% {
      transform: none;
      opacity: 0;
    }
    100% {
      transform: none;
      opacity: 1;
    }
  }
</style>
