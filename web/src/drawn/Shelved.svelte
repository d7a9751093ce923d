<script lang="ts">
  // A thing of the shelves: a folded piece of fabric, as thick as it is beside the others; a spool; a piece of what goes
  // beneath.
  import LineDrawing from './LineDrawing.svelte';

  let { shelf, thickness }: { shelf: 'cloths' | 'threads' | 'stabilisers'; thickness: number } = $props();

  /** Pixels a millimetre; the thinnest is still seen, the thickest still folds. */
  let thick = $derived(Math.min(Math.max(thickness * 6, 1.5), 19));
  /** From the middle to each of its two layers. */
  let half = $derived((thick + 5) / 2);
  const SPOOL = {
    fill: ['M30 8H66V16H30Z', 'M30 56H66V64H30Z', 'M38 16H58V56H38Z'],
    thread: ['M37 22L59 26', 'M37 29L59 33', 'M37 36L59 40', 'M37 43L59 47', 'M59 47Q72 52 78 66'],
  };
  const SHEET = {
    fill: ['M18 14H70L80 24V58H18Z'],
    line: [
      'M70 14V24H80',
      'M28 26H34M42 26H48M56 26H62',
      'M35 36H41M49 36H55M63 36H69',
      'M28 46H34M42 46H48M56 46H62',
    ],
  };
</script>

{#if shelf === 'cloths'}
  <svg viewBox="0 0 96 72" class="h-14 max-w-full" aria-hidden="true">
    <g fill="none" stroke-linecap="butt">
      {#each [['var(--cloth-edge)', 0], ['var(--cloth)', 1.8]] as const as [stroke, less] (stroke)}
        <path
          d="M14 {36 - half}H66C{66 + half * 1.6} {36 - half} {66 + half * 1.6} {36 + half} 66 {36 + half}H20"
          {stroke}
          stroke-width={Math.max(thick - less, 0.8)}
        />
      {/each}
    </g>
  </svg>
{:else}
  <LineDrawing drawing={shelf === 'threads' ? SPOOL : SHEET} size="h-14" />
{/if}
