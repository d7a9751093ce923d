<script lang="ts">
  // In which order a kind of machine sews the parts of a hole.
  let { kind, side }: { kind: string; side: string } = $props();

  /** The parts in sewing order: t upper tack, b lower tack, l and r the beads. */
  const ORDERS: Record<string, string> = { sensing: 'bltr', memory: 'ltrb', stepped: 'ltrb', plain: 'tlbr' };
  const PLACES: Record<string, [number, number]> = { t: [0, -17], b: [0, 17], l: [-8, 0], r: [8, 0] };
  const BOXES: Record<string, [number, number, number, number]> = {
    t: [-7, -15, 14, 4],
    b: [-7, 11, 14, 4],
    l: [-7, -15, 5, 30],
    r: [2, -15, 5, 30],
  };
  let order = $derived(
    [...(ORDERS[kind] ?? 'ltrb')].map((part) =>
      side === 'right' ? ({ l: 'r', r: 'l' }[part] ?? part) : part,
    ),
  );
</script>

<svg viewBox="-18 -24 36 48" class="h-24 w-20 shrink-0" aria-hidden="true">
  {#each order as part (part)}
    {@const [x, y, width, height] = BOXES[part] ?? [0, 0, 0, 0]}
    <rect
      {x}
      {y}
      {width}
      {height}
      fill="var(--color-primary)"
      fill-opacity="0.22"
      stroke="var(--color-primary)"
      stroke-width="0.5"
    />
  {/each}
  <path d="M0 -10V10" stroke="var(--color-base-content)" stroke-width="0.7" />
  {#each order as part, index (part)}
    {@const [x, y] = PLACES[part] ?? [0, 0]}
    <text
      x={x * 1.6}
      y={y * 1.12 + 2.4}
      text-anchor="middle"
      font-size="7"
      font-weight="600"
      fill="var(--color-base-content)">{index + 1}</text
    >
  {/each}
</svg>
