<script lang="ts">
  // The little drawing of a step: the run with this hole on it and where the needle goes in, or a sign of what it is
  // done to. The upper end of the run lies left; which end lies away is said beside it.
  import { Hand, TriangleAlert } from '@lucide/svelte';
  import type { SessionClosure, SessionStep } from '../api/client';
  import Tool from '../drawn/Tool.svelte';
  import { hasTool } from '../drawn/tools';
  import HoleTurn from './HoleTurn.svelte';
  import { capital } from '../ui/capital';

  let { step, closure }: { step: SessionStep; closure: SessionClosure | undefined } = $props();

  let Sign = $derived(step.block === 'rescue' ? TriangleAlert : Hand);
  const WIDE = 640;
  const x = (mm: number) => 20 + (mm / (closure?.run_length || 1)) * (WIDE - 40);
  let hole = $derived(closure?.holes.find((one) => Math.abs(one.at - (step.hole ?? -1)) < 0.01));
  let underTheFoot = $derived(['place', 'lever', 'sew'].includes(step.name));
</script>

{#if hole && closure}
  <svg
    viewBox="0 0 {WIDE} 64"
    class="w-full max-w-2xl"
    role="img"
    aria-label="{capital(closure.noun)} {hole.number} of {closure.holes.length} on the edge"
  >
    <path
      d="M20 40H{WIDE - 20}"
      stroke="var(--color-base-300)"
      stroke-width="3"
      stroke-dasharray="9 7"
      fill="none"
    />
    {#each closure.holes as one (one.at)}
      {@const here = one === hole}
      {@const color = here
        ? 'var(--color-warning)'
        : one.sewn
          ? 'var(--thread)'
          : 'var(--color-base-content)'}
      {#if one.vertical}
        <path
          d="M{x(one.from)} 40H{Math.max(x(one.to), x(one.from) + 6)}"
          stroke={color}
          stroke-width={here ? 16 : 11}
          stroke-opacity={here || one.sewn ? 1 : 0.3}
        />
      {:else}
        <path
          d="M{x(one.at)} {here ? 22 : 27}V{here ? 58 : 53}"
          stroke={color}
          stroke-width={here ? 12 : 9}
          stroke-opacity={here || one.sewn ? 1 : 0.3}
        />
      {/if}
      {#if here}
        <text
          x={x(one.at)}
          y="17"
          text-anchor="middle"
          font-size="20"
          font-weight="700"
          fill="var(--color-warning)">{one.number}</text
        >
      {/if}
    {/each}
  </svg>
  {#if underTheFoot}<HoleTurn {hole} tack={closure.noun === 'tack'} />
  {:else if hasTool(step.name)}<Tool name={step.name} size="h-[clamp(5rem,16vh,13rem)]" />{/if}
{:else if hasTool(step.name)}
  <Tool name={step.name} size="h-[clamp(8rem,26vh,18rem)]" />
{:else}
  <Sign size={72} strokeWidth={1.5} aria-hidden="true" />
{/if}
