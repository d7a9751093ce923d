<script lang="ts">
  // A run drawn small, to see a spacing at a glance.
  let { places, length }: { places: number[]; length: number } = $props();

  const TALL = 44;
  let y = $derived((mm: number) => 3 + (mm / length) * (TALL - 6));
</script>

<svg width="14" height={TALL} aria-hidden="true">
  <path d="M7 1V{TALL - 1}" stroke="currentColor" stroke-opacity="0.35" />
  {#each places as place, index (index)}
    <path d="M7 {y(place) - 1.6}v3.2" stroke="currentColor" stroke-width="3" />
  {/each}
</svg>
