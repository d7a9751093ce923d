<script lang="ts">
  // The cloth of the run with its edges, its centre line and the tape along it.
  import type { RunGeometry } from './geometry.svelte';

  let { geometry, hatch }: { geometry: RunGeometry; hatch: string } = $props();

  const id = $props.id();
</script>

<defs>
  <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <path d="M0 0V6" stroke="var(--color-base-content)" stroke-opacity="0.45" stroke-width="1.6" />
  </pattern>
  <pattern id="{id}-weave" width="4" height="4" patternUnits="userSpaceOnUse">
    <path d="M0 1H4M1 0V4" stroke="var(--cloth-edge)" stroke-opacity="0.22" stroke-width="1" />
  </pattern>
</defs>
<rect {...geometry.area(0, geometry.length)} fill="var(--cloth)" />
<rect {...geometry.area(0, geometry.length)} fill="url(#{id}-weave)" />
<line {...geometry.line(0, 0, geometry.length, 0)} stroke="var(--cloth-edge)" stroke-width="3" />
<line
  {...geometry.line(0, 0, 0, geometry.clothWidth / geometry.scale)}
  stroke="var(--cloth-edge)"
  stroke-width="3"
/>
<line
  {...geometry.line(0, geometry.edge, geometry.length, geometry.edge)}
  stroke="var(--color-primary)"
  stroke-opacity="0.55"
  stroke-dasharray="9 4 2 4"
/>
<g class="text-[11px]" fill="var(--color-secondary)">
  {#each geometry.ticks as mm (mm)}
    {@const [x, y] = geometry.tape(mm)}
    <path d={geometry.lying ? `M${x} ${y - 3}v-7` : `M${x - 3} ${y}h-7`} stroke="var(--color-secondary)" />
    <text
      x={geometry.lying ? x : x - 13}
      y={geometry.lying ? y - 8 : y + 4}
      text-anchor={geometry.lying ? 'middle' : 'end'}>{geometry.tick(mm)}</text
    >
  {/each}
</g>
