<script lang="ts">
  // A hole or a tack as it lies under the foot: which end is away, where the needle goes in, which bead comes first.
  import type { SessionClosure } from '../api/client';

  let { hole, tack = false }: { hole: SessionClosure['holes'][number]; tack?: boolean } = $props();

  /** The way of a tack's zigzag, from end to end. */
  const ZIGZAG = `M${Array.from({ length: 23 }, (_, index) => `${index % 2 ? 130 : 110} ${30 + index * 5}`).join('L')}`;

  let left = $derived(hole.side?.startsWith('left'));
  let right = $derived(hole.side?.startsWith('right'));
  let start = $derived(hole.begins === 'far' ? 34 : hole.begins === 'near' ? 136 : undefined);
</script>

<svg viewBox="0 0 240 172" class="h-40 w-full max-w-xs" role="img" aria-label="{hole.away} away from you">
  <g fill="currentColor" font-size="15" text-anchor="middle">
    <text x="120" y="14">{hole.away}</text>
    <text x="120" y="168">you</text>
  </g>
  {#if tack}
    <path d="M120 30V140" stroke="currentColor" stroke-width="3" stroke-opacity="0.5" />
    <path d={ZIGZAG} fill="none" stroke="currentColor" stroke-width="4" stroke-linejoin="round" />
  {:else}
    <path
      d="M104 30V140"
      stroke="currentColor"
      stroke-width={left ? 13 : 7}
      stroke-opacity={left ? 1 : 0.45}
    />
    <path
      d="M136 30V140"
      stroke="currentColor"
      stroke-width={right ? 13 : 7}
      stroke-opacity={right ? 1 : 0.45}
    />
    <path d="M97 32H143M97 138H143" stroke="currentColor" stroke-width="8" stroke-opacity="0.6" />
  {/if}
  {#if start !== undefined}
    <path d="M{left ? 66 : 174} {start}l{left ? 26 : -26} 0" stroke="var(--color-warning)" stroke-width="4" />
    <circle cx={tack ? 120 : left ? 98 : 142} cy={start} r="7" class="fill-warning" />
    <text x={left ? 30 : 210} y={start + 5} font-size="15" text-anchor="middle" class="fill-warning"
      >needle</text
    >
  {/if}
</svg>
