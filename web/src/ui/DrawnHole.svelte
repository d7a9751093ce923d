<script lang="ts">
  // A test hole to scale, drawn from its figures: beads, tacks and the open slit.
  import type { SwatchLeaf } from '../api/client';

  let { drawn, scale = 5 }: { drawn: SwatchLeaf['drawn']; scale?: number } = $props();

  const MARGIN = 1;
  const id = $props.id();
  let long = $derived(drawn.opening + 2 * drawn.ends);
  let straight = $derived(drawn.stitched === 'straight');
  let bead = $derived(Math.max((drawn.width - drawn.space) / 2, 0.2));
  let box = $derived({ wide: long + 2 * MARGIN, tall: drawn.width + 2 * MARGIN });
</script>

<svg
  width={box.wide * scale}
  height={box.tall * scale}
  viewBox="{-MARGIN} {-box.tall / 2} {box.wide} {box.tall}"
  class="max-w-full shrink-0"
  aria-hidden="true"
>
  <defs>
    <pattern
      id="{id}-satin"
      width={drawn.stitch}
      height={bead}
      patternUnits="userSpaceOnUse"
      patternTransform="translate(0 {-drawn.width / 2})"
    >
      <rect width={drawn.stitch} height={bead} fill="var(--cloth)" />
      <path
        d="M0 {bead}L{drawn.stitch / 2} 0L{drawn.stitch} {bead}"
        fill="none"
        stroke="var(--thread)"
        stroke-width="0.34"
      />
    </pattern>
  </defs>
  <rect x={-MARGIN} y={-box.tall / 2} width={box.wide} height={box.tall} fill="var(--cloth)" />
  {#if straight}
    <rect
      x="0"
      y={-drawn.width / 2}
      width={long}
      height={drawn.width}
      fill="none"
      stroke="var(--thread)"
      stroke-width="0.3"
      stroke-dasharray={drawn.stitch}
    />
  {:else}
    {#each [-drawn.width / 2, drawn.width / 2 - bead] as top (top)}
      <rect x={drawn.ends} y={top} width={drawn.opening} height={bead} fill="url(#{id}-satin)" />
    {/each}
    {#each [0, long - drawn.ends] as at (at)}
      <rect x={at} y={-drawn.width / 2} width={drawn.ends} height={drawn.width} fill="var(--thread)" />
    {/each}
  {/if}
  <line
    x1={drawn.ends}
    x2={long - drawn.ends}
    y1="0"
    y2="0"
    stroke="var(--color-base-content)"
    stroke-width="0.25"
  />
</svg>
