<script lang="ts">
  // The holes of an edge as a row of small marks: sewn ones in thread, planned ones in chalk.
  let { places, length, sewn = [] }: { places: number[]; length: number; sewn?: boolean[] } = $props();

  const WIDE = 160;
  let x = $derived((mm: number) => 4 + (mm / Math.max(length, 1)) * (WIDE - 8));
</script>

<svg viewBox="0 0 {WIDE} 20" class="h-5 w-40 max-w-full" aria-hidden="true">
  <path d="M0 10H{WIDE}" stroke="var(--color-base-300)" stroke-width="2" stroke-dasharray="4 4" />
  {#each places as place, index (index)}
    <path
      d="M{x(place)} 3v14"
      stroke={sewn[index] ? 'var(--thread)' : 'var(--color-base-content)'}
      stroke-opacity={sewn[index] ? 1 : 0.3}
      stroke-width="4.5"
    />
  {/each}
</svg>
