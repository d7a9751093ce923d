<script lang="ts">
  // The little drawing of a step: the run with this hole on it and where the needle goes in, or a sign of what it is
  // done to. The upper end of the run lies left; which end lies away is said beside it.
  import { Hand, TriangleAlert } from '@lucide/svelte';
  import type { SessionClosure, SessionStep } from '../api/client';
  import Tool, { hasTool } from '../drawn/Tool.svelte';
  import HoleTurn from './HoleTurn.svelte';

  let { step, closure }: { step: SessionStep; closure: SessionClosure | undefined } = $props();

  let Sign = $derived(step.block === 'rescue' ? TriangleAlert : Hand);
  const WIDE = 640;
  const x = (mm: number) => 20 + (mm / (closure?.run_length || 1)) * (WIDE - 40);
  let hole = $derived(closure?.holes.find((one) => Math.abs(one.at - (step.hole ?? -1)) < 0.01));
  let placing = $derived(step.name === 'place');
  let underTheFoot = $derived(['place', 'lever', 'sew'].includes(step.name));
</script>

{#if hole && closure}
  <svg
    viewBox="0 0 {WIDE} 92"
    class="w-full max-w-2xl"
    role="img"
    aria-label="{closure.noun === 'tack' ? 'Tack' : 'Hole'} {hole.number} of {closure.holes
      .length} on the edge"
  >
    <path d="M20 46H{WIDE - 20}" stroke="currentColor" stroke-opacity="0.35" stroke-width="2" />
    {#each closure.holes as one (one.at)}
      {@const here = one === hole}
      {#if one.vertical}
        <path
          d="M{x(one.from)} 46H{Math.max(x(one.to), x(one.from) + 6)}"
          stroke="currentColor"
          stroke-width={here ? 14 : 8}
          stroke-opacity={here ? 1 : one.sewn ? 0.7 : 0.3}
        />
      {:else}
        <path
          d="M{x(one.at)} {here ? 26 : 32}V{here ? 66 : 60}"
          stroke="currentColor"
          stroke-width={here ? 12 : 7}
          stroke-opacity={here ? 1 : one.sewn ? 0.7 : 0.3}
        />
      {/if}
      {#if here}
        <text x={x(one.at)} y="20" text-anchor="middle" font-size="20" fill="currentColor">{one.number}</text>
        {#if placing}
          {#each one.starts as start (start)}
            <path d="M{x(start)} 88l-9 -16h18z" class="fill-warning" />
          {/each}
        {/if}
      {/if}
    {/each}
  </svg>
  {#if underTheFoot}<HoleTurn {hole} tack={closure.noun === 'tack'} />{/if}
{:else if hasTool(step.name)}
  <Tool name={step.name} size="h-32 sm:h-44" />
{:else}
  <Sign size={72} strokeWidth={1.5} aria-hidden="true" />
{/if}
