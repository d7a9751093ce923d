<script lang="ts">
  // What is written on a sheet, in small: its heading and its lines.
  let { title, lines, boxes = false }: { title: string; lines: string[]; boxes?: boolean } = $props();
</script>

<svg viewBox="0 0 210 297" class="h-full w-full" aria-hidden="true" fill="#1d2547" font-size="13">
  <text x="16" y="28" font-size="15" font-weight="700">{title}</text>
  <path d="M16 36H194" stroke="#1d2547" stroke-width="1" />
  {#each lines.slice(0, 12) as line, index (index)}
    {@const y = 58 + index * 19}
    {#if boxes}<rect x="16" y={y - 10} width="10" height="10" fill="none" stroke="#1d2547" />{/if}
    <text x={boxes ? 32 : 16} {y}>{line.length > 28 ? `${line.slice(0, 27)}…` : line}</text>
  {/each}
</svg>
