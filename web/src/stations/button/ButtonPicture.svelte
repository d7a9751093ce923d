<script lang="ts">
  // The button from the front and its passing section, both to one scale.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let sheet = $derived(closure.sheet.button);
  let wide = $derived(sheet.largest.mm);
  let face = $derived(sheet.face?.map(([x, y]) => `${x},${y}`).join(' '));
  let hole = $derived(sheet.hole / 2);
  let tall = $derived(Math.max(wide, sheet.height.mm));
  let pad = $derived(wide * 0.12);
  let text = $derived(wide * 0.085);
  let points = $derived(sheet.section.map(([x, y]) => `${x},${y}`).join(' '));
</script>

<svg
  viewBox="{-pad} {-pad} {2 * wide + 4 * pad} {tall + 2 * pad + 2.4 * text}"
  class="h-52 w-full max-w-xl"
  role="img"
  aria-label="The button from the front, {sheet.largest.text} wide, and its passing section, {sheet.height
    .text} high"
>
  <g transform="translate({wide / 2} {tall / 2})">
    {#if face}
      <polygon
        points={face}
        fill="var(--color-base-200)"
        stroke="var(--horn)"
        stroke-width={wide * 0.02}
        stroke-linejoin="round"
      />
    {:else}
      <circle r={wide / 2} fill="var(--color-base-200)" stroke="var(--horn)" stroke-width={wide * 0.02} />
      <circle
        r={wide * 0.36}
        fill="none"
        stroke="var(--horn)"
        stroke-opacity="0.5"
        stroke-width={wide * 0.01}
      />
    {/if}
    {#each sheet.holes as [x, y], index (index)}
      <circle
        cx={x}
        cy={y}
        r={hole}
        fill="var(--color-base-100)"
        stroke="var(--color-base-content)"
        stroke-width={wide * 0.012}
      />
    {/each}
    {#if sheet.holes.length === 0}
      <circle
        r={wide * 0.09}
        fill="none"
        stroke="var(--color-base-content)"
        stroke-dasharray={text / 2}
        stroke-width={wide * 0.012}
      />
    {/if}
  </g>
  <g transform="translate({1.5 * wide + 2 * pad} {tall / 2})">
    <polygon
      {points}
      fill="var(--color-primary)"
      fill-opacity="0.14"
      stroke="var(--color-primary)"
      stroke-width={wide * 0.02}
      stroke-linejoin="round"
    />
  </g>
  <g font-size={text} fill="var(--color-secondary)" text-anchor="middle">
    <text x={wide / 2} y={tall + pad + text}>front, {sheet.largest.text}</text>
    <text x={1.5 * wide + 2 * pad} y={tall + pad + text}>passing section, {sheet.height.text} high</text>
  </g>
</svg>
