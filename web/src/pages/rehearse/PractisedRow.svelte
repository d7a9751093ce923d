<script lang="ts">
  // What was practised, as a row of holes: sewn solid where there was no slip, open where there was one. The newest is at
  // the right.
  import type { Rehearsal } from '../../api/client';
  import { day } from '../../ui/when';

  let { row }: { row: Rehearsal['row'] } = $props();

  const WIDE = 26;
  let holes = $derived([...row].reverse());
  let clean = $derived(row.filter((one) => !one.slips).length);
  let words = $derived(
    `${row.length} practised, ${clean} without a slip. Last: ${row[0] ? day(row[0].done_at) : ''}.`,
  );
</script>

<figure class="mt-5">
  <svg
    viewBox="0 0 {Math.max(holes.length * WIDE, WIDE * 8)} 44"
    class="h-12 max-w-full"
    role="img"
    aria-label={words}
  >
    <path
      d="M0 22H{Math.max(holes.length * WIDE, WIDE * 8)}"
      stroke="var(--cloth-edge)"
      stroke-dasharray="4 4"
    />
    {#each holes as one, index (index)}
      {@const x = index * WIDE + WIDE / 2}
      <rect x={x - 5} y="6" width="10" height="32" rx="2" fill="var(--cloth)" />
      {#each [-3.4, 3.4] as side (side)}
        <path
          d="M{x + side} 9V35"
          stroke="var(--thread)"
          stroke-width="3.4"
          stroke-dasharray={one.slips ? '2.2 3' : undefined}
        />
      {/each}
      <path d="M{x - 5} 8H{x + 5}M{x - 5} 36H{x + 5}" stroke="var(--thread)" stroke-width="3" />
    {/each}
  </svg>
  <figcaption class="text-sm text-secondary">{words}</figcaption>
</figure>
