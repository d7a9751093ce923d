<script lang="ts">
  // Where the jaws go, numbered in the order of measuring: on the button from the front, and on its
  // section.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let sheet = $derived(closure.sheet.button);
  let plan = $derived(closure.plan);
  let wide = $derived(sheet.largest.mm);
  let narrow = $derived(sheet.smallest.mm);
  let tall = $derived(Math.max(wide, sheet.height.mm));
  let unit = $derived(wide / 40);
  let face = $derived(sheet.face?.map(([x, y]) => `${x},${y}`).join(' '));
  let section = $derived(sheet.section.map(([x, y]) => `${x},${y}`).join(' '));
  const number = (what: string) => sheet.measuring.findIndex((step) => step.what === what) + 1;
  let bar = $derived(plan['button.shape'] === 'bar');
  let sectionX = $derived(wide / 2 + Math.max(narrow, sheet.height.mm) / 2 + unit * 16);
</script>

{#snippet mark(what: string, x: number, y: number)}
  {#if number(what)}
    <circle
      cx={x}
      cy={y}
      r={unit * 2.6}
      fill="var(--color-base-100)"
      stroke="var(--color-accent)"
      stroke-width={unit * 0.4}
    />
    <text
      {x}
      y={y + unit * 1.3}
      text-anchor="middle"
      font-size={unit * 3.6}
      font-weight="600"
      fill="var(--color-base-content)">{number(what)}</text
    >
  {/if}
{/snippet}

<svg
  viewBox="{-wide / 2 - unit * 10} {-tall / 2 - unit * 10} {sectionX + wide + unit * 22} {tall + unit * 20}"
  class="h-44 w-full max-w-lg"
  role="img"
  aria-label="Where to measure, in order"
>
  <g fill="var(--color-base-200)" stroke="var(--horn)" stroke-width={unit * 0.6}>
    {#if face}<polygon points={face} />{:else}<circle r={wide / 2} />{/if}
    {#each sheet.holes as [x, y], index (index)}<circle
        cx={x}
        cy={y}
        r={sheet.hole / 2}
        fill="var(--color-base-100)"
      />{/each}
  </g>
  <g
    transform="translate({sectionX} 0)"
    fill="var(--color-primary)"
    fill-opacity="0.14"
    stroke="var(--color-primary)"
    stroke-width={unit * 0.6}
  >
    <polygon points={section} />
  </g>
  <g stroke="var(--color-accent)" stroke-width={unit * 0.5} fill="none">
    {#if number('diameter')}<path
        d="M{-wide / 2} {tall / 2 + unit * 3}H{wide / 2}m0 {-unit * 2}v{unit * 4}M{-wide / 2} {tall / 2 +
          unit}v{unit * 4}"
      />{/if}
    {#if number('width')}<path
        d="M{-wide / 2 - unit * 3} {-narrow / 2}V{narrow / 2}m{-unit * 2} 0h{unit * 4}M{-wide / 2 -
          unit * 5} {-narrow / 2}h{unit * 4}"
      />{/if}
    {#if number('thickness')}
      {@const x = sectionX + (bar ? sheet.height.mm : narrow) / 2 + unit * 3}
      <path
        d="M{x} {-sheet.height.mm / 2}V{sheet.height.mm / 2}m{-unit * 2} 0h{unit * 4}M{x - unit * 2} {-sheet
          .height.mm / 2}h{unit * 4}"
      />
    {/if}
    {#if number('wrapped')}<polygon
        points={section}
        transform="translate({sectionX} 0) scale({1 + (unit * 3) / wide})"
        stroke-dasharray="{unit} {unit}"
      />{/if}
  </g>
  {@render mark('diameter', 0, tall / 2 + unit * 6)}
  {@render mark('outline', 0, tall / 2 + unit * 6)}
  {@render mark('width', -wide / 2 - unit * 7, 0)}
  {@render mark('thickness', sectionX + (bar ? sheet.height.mm : narrow) / 2 + unit * 7.5, 0)}
  {@render mark('wrapped', sectionX, -sheet.height.mm / 2 - unit * 5)}
  {#if sheet.holes.length > 0}
    {@render mark('hole_spacing', 0, -tall / 2 - unit * 5)}
    {@render mark('hole_diameter', wide / 2 + unit * 5, -tall / 2 + unit)}
    <path
      d="M0 {-tall / 2 - unit * 2.4}V{(sheet.holes[0]?.[1] ?? 0) - unit}M{wide / 2 + unit * 3} {-tall / 2 +
        unit * 2.6}L{sheet.holes[1]?.[0]} {sheet.holes[1]?.[1]}"
      stroke="var(--color-accent)"
      stroke-width={unit * 0.4}
      fill="none"
    />
  {/if}
</svg>
