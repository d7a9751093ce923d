<script lang="ts">
  // In which order a kind of machine sews the parts of a hole.
  import type { Catalogue } from '../../api/client';

  type Part = Catalogue['sews'][number]['parts'][number];
  let { parts, side }: { parts: Part[]; side: string } = $props();

  /** The far end lies at the top, as seen from the chair; the first bead on its own side. */
  let first = $derived(side === 'right' ? 1 : -1);
  let drawn = $derived(
    parts.map((part) => {
      if (part === 'far_tack') return { part, at: [0, -17], box: [-7, -15, 14, 4] };
      if (part === 'near_tack') return { part, at: [0, 17], box: [-7, 11, 14, 4] };
      const way = part === 'first_bead' ? first : -first;
      return { part, at: [8 * way, 0], box: [4.5 * way - 2.5, -15, 5, 30] };
    }),
  );
</script>

<svg viewBox="-18 -24 36 48" class="h-24 w-20 shrink-0" aria-hidden="true">
  {#each drawn as { part, box: [x, y, width, height] } (part)}
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
  {#each drawn as { part, at: [x = 0, y = 0] }, index (part)}
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
