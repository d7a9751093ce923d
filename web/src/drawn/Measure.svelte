<script lang="ts">
  // A length as it is drawn: a line with an end at either side, and its figure in the middle.
  let {
    from,
    to,
    y,
    text,
    size,
    upright = false,
  }: { from: number; to: number; y: number; text: string; size: number; upright?: boolean } = $props();
</script>

<g transform={upright ? 'rotate(90)' : undefined}>
  <path
    d="M{from} {y - size * 0.35}v{size * 0.7}M{from} {y}H{to}M{to} {y - size * 0.35}v{size * 0.7}"
    fill="none"
    stroke="var(--color-accent)"
    stroke-width={size * 0.09}
  />
</g>
{#if upright}
  <text
    x={-y + size * 0.5}
    y={(from + to) / 2 + size * 0.35}
    font-size={size}
    font-weight="600"
    fill="var(--color-accent)">{text}</text
  >
{:else}
  <text
    x={(from + to) / 2}
    y={y + size * 1.3}
    font-size={size}
    font-weight="600"
    text-anchor="middle"
    fill="var(--color-accent)">{text}</text
  >
{/if}
