<script lang="ts">
  // A test hole to scale on its scrap, drawn from its figures.
  import type { SwatchLeaf } from '../api/client';
  import Cloth from '../drawn/Cloth.svelte';
  import type { End } from '../drawn/hole';
  import SewnHole from '../drawn/SewnHole.svelte';

  let { drawn, scale = 5 }: { drawn: SwatchLeaf['drawn']; scale?: number } = $props();

  const MARGIN = 1;
  let long = $derived(drawn.opening + 2 * drawn.ends);
  let box = $derived({ wide: long + 2 * MARGIN, tall: drawn.width + 2 * MARGIN });
  let end = $derived<End>({ finish: drawn.stitched === 'straight' ? 'box' : 'tack', long: drawn.ends });
  let hole = $derived({
    length: drawn.opening,
    across: drawn.width,
    space: drawn.space,
    stitch: drawn.stitch,
    near: end,
    far: end,
    eye: 0,
  });
</script>

<svg
  width={box.wide * scale}
  height={box.tall * scale}
  viewBox="{-MARGIN} {-box.tall / 2} {box.wide} {box.tall}"
  class="max-w-full shrink-0"
  aria-hidden="true"
>
  <Cloth x={-MARGIN} y={-box.tall / 2} width={box.wide} height={box.tall} round={0.6} />
  <g transform="translate({long / 2} 0)"><SewnHole {hole} /></g>
</svg>
