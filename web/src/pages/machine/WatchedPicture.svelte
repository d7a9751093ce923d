<script lang="ts">
  // One hole as it is seen from the chair, with what was watched: which side comes first and which way it goes.
  import type { Catalogue } from '../../api/client';
  import Cloth from '../../drawn/Cloth.svelte';
  import type { Profile } from './profile.svelte';

  type Props = { facts: Profile['typed']['facts']; parts: Catalogue['sews'][number]['parts'] };
  let { facts, parts }: Props = $props();

  const TOP = 50;
  const END = 190;
  let known = $derived(Boolean(facts.first_side));
  let first = $derived(facts.first_side === 'right' ? 138 : 102);
  let away = $derived(facts.first_direction === 'away');
  let order = $derived(parts.map((part, index) => ({ part, number: index + 1 })));
  const at = (part: string): [number, number] => {
    if (part === 'far_tack') return [120, TOP - 16];
    if (part === 'near_tack') return [120, END + 28];
    const x = (part === 'first_bead') === (first === 102) ? 70 : 170;
    return [x, 126];
  };
</script>

<svg
  viewBox="0 0 240 250"
  class="w-full"
  role="img"
  aria-label={known ? 'One hole, seen from the chair' : 'One hole, not watched yet'}
>
  <Cloth x={0} y={0} width={240} height={236} round={8} />
  {#each [102, 138] as x (x)}
    <path
      d="M{x} {TOP}V{END}"
      stroke="var(--thread)"
      stroke-width="20"
      stroke-opacity={known && x === first ? 0.95 : 0.35}
    />
  {/each}
  <path d="M92 {TOP}H148M92 {END}H148" stroke="var(--thread)" stroke-width="12" stroke-opacity="0.35" />
  {#if known && facts.first_direction}
    {@const from = away ? END - 26 : TOP + 26}
    {@const way = away ? -1 : 1}
    <path
      d="M{first} {from}v{way * 70}m-7 {way * -10}l7 {way * 10}l7 {way * -10}"
      fill="none"
      stroke="var(--color-base-100)"
      stroke-width="3"
    />
    <circle
      cx={first}
      cy={away ? END : TOP}
      r="11"
      fill="none"
      stroke="var(--color-warning)"
      stroke-width="3.5"
    />
  {/if}
  <g font-size="17" font-weight="700" text-anchor="middle" fill="var(--color-base-content)">
    {#each order as { part, number } (part)}
      {@const [x, y] = at(part)}
      <text {x} {y}>{number}</text>
    {/each}
  </g>
  <text x="120" y="230" font-size="13" text-anchor="middle" fill="var(--color-base-content)">you</text>
</svg>
