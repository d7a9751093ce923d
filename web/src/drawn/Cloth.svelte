<script lang="ts">
  // A piece of cloth under what is drawn, in millimetres.
  let {
    x,
    y,
    width,
    height,
    round = 0,
  }: { x: number; y: number; width: number; height: number; round?: number } = $props();

  const id = $props.id();
  /** Threads of the weave so far apart. */
  let weave = $derived(Math.max(width, height) / 90);
</script>

<defs>
  <pattern id="{id}-weave" width={weave} height={weave} patternUnits="userSpaceOnUse">
    <path
      d="M0 {weave / 4}H{weave}M{weave / 4} 0V{weave}"
      stroke="var(--cloth-edge)"
      stroke-opacity="0.3"
      stroke-width={weave * 0.22}
    />
  </pattern>
</defs>
<rect {x} {y} {width} {height} rx={round} fill="var(--cloth)" />
<rect {x} {y} {width} {height} rx={round} fill="url(#{id}-weave)" />
