<script lang="ts">
  // A hole or a tack as the fabric lies under the foot, the person at the bottom: where the finished edge is, where the
  // needle goes in, which side is sewn first and which way.
  import type { SessionClosure } from '../api/client';
  import Cloth from '../drawn/Cloth.svelte';

  let { hole, tack = false }: { hole: SessionClosure['holes'][number]; tack?: boolean } = $props();

  const WIDE = 340;
  const TALL = 236;
  const TOP = 46;
  const END = 176;
  const MIDDLE = 170;
  /** The way of a tack's zigzag, from end to end. */
  const ZIGZAG = `M${Array.from({ length: 23 }, (_, index) => `${index % 2 ? MIDDLE + 10 : MIDDLE - 10} ${TOP + (index * (END - TOP)) / 22}`).join('L')}`;

  let left = $derived(hole.side?.startsWith('left'));
  let start = $derived(hole.begins === 'far' ? TOP : hole.begins === 'near' ? END : undefined);
  let across = $derived(tack || !hole.side ? MIDDLE : left ? MIDDLE - 15 : MIDDLE + 15);
  /** The fabric ends at its finished edge. */
  let cloth = $derived(
    {
      left: { x: 66, y: 0, width: WIDE - 66, height: TALL },
      right: { x: 0, y: 0, width: WIDE - 66, height: TALL },
      away: { x: 0, y: 24, width: WIDE, height: TALL - 24 },
      near: { x: 0, y: 0, width: WIDE, height: TALL - 24 },
    }[hole.edge.lies],
  );
  let edge = $derived(
    {
      left: `M66 0V${TALL}`,
      right: `M${WIDE - 66} 0V${TALL}`,
      away: `M0 24H${WIDE}`,
      near: `M0 ${TALL - 24}H${WIDE}`,
    }[hole.edge.lies],
  );
  let beside = $derived(hole.edge.lies === 'left' || hole.edge.lies === 'right');
  let edgeX = $derived(hole.edge.lies === 'left' ? 66 : WIDE - 66);
  /** The figure stands where the edge is not beside the words of the needle. */
  let wordsLeft = $derived(hole.edge.lies === 'right' || (hole.edge.lies !== 'left' && Boolean(left)));
  let goes = $derived(start === END ? -1 : 1);
</script>

<svg
  viewBox="0 0 {WIDE} {TALL}"
  class="h-[clamp(8rem,21vh,14rem)] w-full lg:h-[clamp(9rem,42vh,28rem)]"
  role="img"
  aria-label="{hole.away} away from you"
>
  <Cloth {...cloth} />
  <path d={edge} stroke="var(--cloth-edge)" stroke-width="6" />
  <g font-size="13" text-anchor="middle" fill="var(--color-base-content)">
    <text x={MIDDLE} y={hole.edge.lies === 'away' ? 17 : 15}>{hole.away}</text>
    <text x={MIDDLE} y={TALL - 6}>you</text>
  </g>
  <path
    d="M{MIDDLE} {TOP - 18}V{END + 18}"
    stroke="var(--color-primary)"
    stroke-width="1.6"
    stroke-dasharray="7 5"
  />
  {#if tack}
    <path d={ZIGZAG} fill="none" stroke="var(--thread)" stroke-width="4" stroke-linejoin="round" />
  {:else}
    {#each [MIDDLE - 15, MIDDLE + 15] as x (x)}
      <path
        d="M{x} {TOP}V{END}"
        stroke="var(--thread)"
        stroke-width={x === across ? 15 : 13}
        stroke-opacity={x === across ? 0.95 : 0.3}
      />
    {/each}
    <path
      d="M{MIDDLE - 22} {TOP}H{MIDDLE + 22}M{MIDDLE - 22} {END}H{MIDDLE + 22}"
      stroke="var(--thread)"
      stroke-width="9"
      stroke-opacity="0.3"
    />
    {#if start !== undefined && hole.side}
      <path
        d="M{across} {start + goes * 42}v{goes * 40}m-6 {goes * -9}l6 {goes * 9}l6 {goes * -9}"
        fill="none"
        stroke="var(--color-base-100)"
        stroke-width="2.6"
      />
    {/if}
  {/if}
  {#if start !== undefined}
    <g fill="none" stroke="var(--color-warning)" stroke-width="3">
      <circle cx={across} cy={start} r="10" />
      <path d="M{across - 26} {start}h52M{across} {start - 20}v40" />
    </g>
    <text
      x={wordsLeft ? across - 34 : across + 34}
      y={start + 5}
      font-size="15"
      font-weight="700"
      text-anchor={wordsLeft ? 'end' : 'start'}
      class="fill-warning">needle here</text
    >
    {#if hole.edge.text && beside}
      {@const y = END + 28}
      <path
        d="M{across} {y - 5}v10M{edgeX} {y - 5}v10M{across} {y}H{edgeX}"
        stroke="var(--color-accent)"
        stroke-width="1.5"
      />
      <text
        x={(across + edgeX) / 2}
        y={y - 6}
        font-size="14"
        font-weight="600"
        text-anchor="middle"
        fill="var(--color-accent)">{hole.edge.text}</text
      >
    {:else if hole.edge.text}
      {@const line = hole.edge.lies === 'away' ? 24 : TALL - 24}
      {@const x = wordsLeft ? across + 62 : across - 62}
      <path
        d="M{x - 5} {start}h10M{x - 5} {line}h10M{x} {start}V{line}"
        stroke="var(--color-accent)"
        stroke-width="1.5"
      />
      <text
        x={wordsLeft ? x + 8 : x - 8}
        y={(start + line) / 2 + 5}
        font-size="14"
        font-weight="600"
        text-anchor={wordsLeft ? 'start' : 'end'}
        fill="var(--color-accent)">{hole.edge.text}</text
      >
    {/if}
  {/if}
</svg>
