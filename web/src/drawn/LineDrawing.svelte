<script lang="ts">
  // A line drawing in the one light and line weight all of them have; its words stand beside it.
  import type { Drawing } from './drawing';

  let { drawing, size = 'h-28' }: { drawing: Drawing; size?: string } = $props();
</script>

<svg viewBox="0 0 96 72" class={[size, 'max-w-full']} aria-hidden="true">
  <g stroke-linecap="round" stroke-linejoin="round" stroke-width="2" fill="none">
    <g fill="var(--cloth)" stroke="var(--color-base-content)">
      {#each drawing.fill ?? [] as d (d)}<path {d} />{/each}
    </g>
    <g stroke="var(--color-base-content)"
      >{#each drawing.line ?? [] as d (d)}<path {d} />{/each}</g
    >
    <g stroke="var(--thread)" stroke-width="3"
      >{#each drawing.thread ?? [] as d (d)}<path {d} />{/each}</g
    >
    <g stroke="var(--color-warning)" stroke-width="2.6"
      >{#each drawing.red ?? [] as d (d)}<path {d} />{/each}</g
    >
  </g>
</svg>
