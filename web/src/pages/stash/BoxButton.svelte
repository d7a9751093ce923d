<script lang="ts">
  // A button of the box, drawn from its numbers.
  import type { StashButton } from '../../api/client';

  let { picture, label, of }: { picture: StashButton['picture']; label: string; of: number } = $props();

  // All buttons of a page to one scale, so that a toggle looks like a toggle.
  let size = $derived(Math.max(of, picture.largest) * 1.06);
  let face = $derived(picture.face?.map(([x, y]) => `${x},${y}`).join(' '));
  let line = $derived(size * 0.016);
</script>

<svg viewBox="{-size / 2} {-size / 2} {size} {size}" class="h-20 w-20 shrink-0" role="img" aria-label={label}>
  <g fill={picture.ink} stroke={picture.rim} stroke-width={line}>
    {#if face}
      <polygon points={face} stroke-linejoin="round" />
    {:else}
      <circle r={picture.largest / 2} />
      <circle
        r={picture.largest * (picture.rimmed ? 0.38 : 0.43)}
        fill="none"
        stroke-opacity={picture.rimmed ? 1 : 0.35}
        stroke-width={picture.rimmed ? line * 2 : line}
      />
    {/if}
    {#each picture.holes as [x, y], index (index)}
      <circle cx={x} cy={y} r={picture.hole / 2} fill="var(--color-base-100)" />
    {/each}
  </g>
</svg>
