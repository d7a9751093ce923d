<script lang="ts">
  // A button sewn on: from above with its stitches and the needle where it lands, and from the side with its shank.
  import type { Closure } from '../../api/client';
  import ButtonFace from '../../drawn/ButtonFace.svelte';
  import Cloth from '../../drawn/Cloth.svelte';
  import Measure from '../../drawn/Measure.svelte';

  let { closure }: { closure: Closure } = $props();

  let attach = $derived(closure.sheet.attach);
  let button = $derived(closure.sheet.button);
  let recipe = $derived(closure.sheet.recipe);
  let wide = $derived(button.largest.mm);
  let text = $derived(wide * 0.075);
  /** From which hole to which the thread runs, by pattern. */
  const RUNS: Record<string, [number, number][]> = {
    two_bars: [
      [0, 1],
      [3, 2],
    ],
    cross: [
      [0, 2],
      [1, 3],
    ],
    square: [
      [0, 1],
      [1, 2],
      [2, 3],
      [3, 0],
    ],
    arrow: [
      [0, 1],
      [0, 2],
      [1, 3],
    ],
  };
  let runs = $derived(
    button.holes.length === 2 ? [[0, 1] as [number, number]] : (RUNS[attach.pattern] ?? []),
  );
  const PASSES = [-0.3, -0.1, 0.1, 0.3];
  let swing = $derived((attach.width?.mm ?? 0) / 2);
  let needle = $derived(attach.needle_width.mm / 2);

  /** The side: fabric below, the shank on it, the button above. */
  let stack = $derived(Math.max(recipe.stack.mm, 0.4));
  let high = $derived(button.height.mm);
  let shank = $derived(attach.shank.mm);
  let middle = $derived(wide * 1.35);
  let ground = $derived(Math.max(wide * 0.22, (high + shank + stack) / 2));
  let under = $derived(ground - shank);
  let holes = $derived(button.holes.length ? Math.abs(button.holes[0]?.[0] ?? 0) : 0);
  let left = $derived(-wide * 0.66);
  let right = $derived(middle + wide * 0.66);
  let top = $derived(-wide * 0.62);
</script>

<svg
  viewBox="{left} {top} {right - left} {wide * 1.24 + text}"
  class="block max-h-60 w-full rounded-lg"
  role="img"
  aria-label="The button from above with its stitches, and from the side with a shank of {attach.shank.text}"
>
  <Cloth x={left} y={top} width={wide * 1.32} height={wide * 1.24 + text} />
  <ButtonFace {button} />
  {#each runs as [from, to], run (run)}
    {@const [x1 = 0, y1 = 0] = button.holes[from] ?? []}
    {@const [x2 = 0, y2 = 0] = button.holes[to] ?? []}
    {@const long = Math.hypot(x2 - x1, y2 - y1) || 1}
    {#each PASSES as pass (pass)}
      {@const aside = pass * button.hole}
      <path
        d="M{x1 - ((y2 - y1) / long) * aside} {y1 + ((x2 - x1) / long) * aside}L{x2 -
          ((y2 - y1) / long) * aside} {y2 + ((x2 - x1) / long) * aside}"
        stroke="var(--thread)"
        stroke-width={wide * 0.02}
        stroke-linecap="round"
      />
    {/each}
  {/each}
  {#if attach.by_machine && button.holes.length}
    {@const y = button.holes[0]?.[1] ?? 0}
    {#each [-1, 1] as side (side)}
      <circle
        cx={side * swing}
        cy={y}
        r={needle}
        fill={attach.verdict === 'strikes' ? 'var(--color-warning)' : 'var(--color-base-100)'}
        stroke="var(--color-base-content)"
        stroke-width={wide * 0.008}
      />
    {/each}
  {/if}
  <g transform="translate({middle} 0)">
    <rect
      x={-wide * 0.6}
      y={ground}
      width={wide * 1.2}
      height={stack}
      fill="var(--cloth)"
      stroke="var(--cloth-edge)"
      stroke-width={wide * 0.01}
    />
    {#if shank > 0}
      <rect x={-wide * 0.075} y={under} width={wide * 0.15} height={shank} fill="var(--thread)" />
      {#each Array.from({ length: 4 }, (_, index) => under + ((index + 0.5) * shank) / 4) as y (y)}
        <path d="M{-wide * 0.08} {y}h{wide * 0.16}" stroke="var(--thread-edge)" stroke-width={wide * 0.008} />
      {/each}
    {/if}
    <rect
      x={-wide / 2}
      y={under - high}
      width={wide}
      height={high}
      rx={high * 0.35}
      fill="var(--shell)"
      stroke="var(--horn)"
      stroke-width={wide * 0.018}
    />
    {#if holes}
      <path
        d="M{-holes} {ground + stack}V{under - high - wide * 0.02}H{holes}V{ground + stack}"
        fill="none"
        stroke="var(--thread)"
        stroke-width={wide * 0.022}
        stroke-linejoin="round"
      />
    {/if}
    {#if shank > 0}
      <g transform="translate({wide * 0.18} 0)">
        <path
          d="M0 {under}V{ground}m{-text * 0.3} 0h{text * 0.6}M{-text * 0.3} {under}h{text * 0.6}"
          stroke="var(--color-accent)"
          stroke-width={text * 0.12}
        />
        <text
          x={text * 0.6}
          y={(under + ground) / 2 + text * 0.35}
          font-size={text}
          font-weight="600"
          fill="var(--color-accent)">{attach.shank.text}</text
        >
      </g>
    {/if}
    <text y={ground + stack + text * 1.5} font-size={text} text-anchor="middle" fill="var(--color-secondary)"
      >{shank > 0 ? 'wound shank' : 'it lies flat'}</text
    >
  </g>
  {#if attach.spacing && button.holes.length}
    <Measure
      from={-attach.spacing.mm / 2}
      to={attach.spacing.mm / 2}
      y={(button.holes.at(-1)?.[1] ?? 0) + button.hole * 1.1}
      size={text}
      text={attach.spacing.text}
    />
  {/if}
</svg>
