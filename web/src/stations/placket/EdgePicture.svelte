<script lang="ts">
  // The edge large, lying along the page: every hole at its place with its button, and the space between two buttons.
  import type { Closure } from '../../api/client';
  import ButtonFace from '../../drawn/ButtonFace.svelte';
  import Cloth from '../../drawn/Cloth.svelte';
  import { loopPath } from '../../drawn/loop';
  import { isSpot } from '../../drawn/spot';

  type Props = { closure: Closure; picked: number; pick: (hole: number) => void };
  let { closure, picked, pick }: Props = $props();

  const id = $props.id();
  let layout = $derived(closure.sheet.placket);
  let plan = $derived(closure.plan);
  let length = $derived(plan['placket.run_length'].mm);
  let button = $derived(closure.sheet.button);
  let fastens = $derived(closure.sheet.stages.some((stage) => stage.word === 'attach'));
  /** Thin edges are drawn wider than long ones are narrow: the picture keeps its shape. */
  let tall = $derived(length * 0.27);
  let text = $derived(length * 0.0215);
  let edge = $derived(Math.min(plan['placket.extension'].mm, tall * 0.42));
  let band = $derived(tall * 0.66);
  let loop = $derived(layout?.loop);
  let spot = $derived(isSpot(closure.sheet.button.sewn));
  /** Room for loops beyond the edge. */
  let beyond = $derived(loop ? Math.min(loop.reach, band * 0.45) : 0);
  /** How far holes reach from the centre line: to the edge, and inwards. */
  let outwards = $derived(Math.max(1, ...(layout?.holes ?? []).map((hole) => hole.out_outer.mm)));
  let inwards = $derived(Math.max(1, ...(layout?.holes ?? []).map((hole) => -hole.out_inner.mm)));
  /** Across a short edge all of a hole stays on the fabric, with its button in proportion. */
  let across = $derived(Math.min(1, (edge * 0.9) / outwards, (band * 0.95 - edge) / inwards));
  let size = $derived(loop ? beyond / loop.reach : Math.min(across, (band * 0.6) / button.largest.mm));
  /** Right side up, with its top at the left, the edge of a side that closes right over left lies away from you. */
  let turned = $derived(closure.sheet.edge_lies === 'left');
  let down = $derived((y: number) => (turned ? band - beyond - y : beyond + y));
  /** A hole that was sewn on another line than the row has now lies beside it. */
  let row = $derived(plan['placket.rows'] === 'double' ? plan['placket.offset'].mm : 0);
  const line = (hole: { out_outer: { mm: number } }): number =>
    down(edge - (hole.out_outer.mm - row) * across);
  let rows = $derived(
    plan['placket.rows'] === 'double' ? Math.min(plan['placket.offset'].mm, band * 0.3) : 0,
  );
</script>

{#if layout}
  <svg
    viewBox="{-length * 0.02} {-text * 1.9} {length * 1.04} {tall + text * 2}"
    class="block max-h-72 w-full"
    role="group"
    aria-label="The edge, with its {layout.measured_from} at the left"
  >
    <defs>
      <pattern
        id="{id}-hatch"
        width={text * 0.5}
        height={text * 0.5}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path
          d="M0 0V{text * 0.5}"
          stroke="var(--color-base-content)"
          stroke-opacity="0.5"
          stroke-width={text * 0.12}
        />
      </pattern>
    </defs>
    <Cloth x={0} y={turned ? 0 : beyond} width={length} height={band - beyond} />
    <path
      d="M0 {down(0)}H{length}M0 0V{band}"
      stroke="var(--color-base-content)"
      stroke-width={text * 0.12}
      fill="none"
    />
    <path
      d="M0 {down(edge)}H{length}"
      stroke="var(--color-primary)"
      stroke-width={text * 0.08}
      stroke-dasharray="{text * 0.6} {text * 0.3} {text * 0.15} {text * 0.3}"
      opacity="0.6"
    />
    {#each plan['placket.keep_outs'] as keep (keep.id)}
      <rect
        x={keep.from.mm}
        y="0"
        width={Math.max((keep.to?.mm ?? keep.from.mm) - keep.from.mm, text * 0.3)}
        height={band}
        fill="url(#{id}-hatch)"
      />
    {/each}
    {#each layout.holes as hole (hole.number)}
      {@const chosen = picked === hole.number}
      <!-- The same holes can be picked by keys on the edge at the left. -->
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g class="cursor-pointer" onclick={() => pick(hole.number)} data-edge-hole={hole.number}>
        <rect x={hole.at.mm - text * 1.5} y={0} width={text * 3} height={band} fill="transparent" />
        {#if fastens}
          {#each rows ? [0, rows * 2] : [0] as apart (apart)}
            <g
              transform="translate({loop ? hole.at.mm : hole.button.mm} {loop
                ? down((loop.base / 2 - loop.reach) * size)
                : down(edge + apart)}) scale({size})"
              opacity={apart ? 0.6 : 0.9}
            >
              <ButtonFace {button} />
            </g>
          {/each}
        {/if}
        <path
          d={loop
            ? loopPath(hole.at.mm, loop, (along, across) => [along, down(across * size)])
            : spot
              ? `M${hole.at.mm} ${down(edge)}h0`
              : hole.lies === 'vertical'
                ? `M${hole.open_from.mm} ${line(hole)}H${hole.open_to.mm}`
                : `M${hole.at.mm} ${down(edge - hole.out_outer.mm * across)}V${down(edge - hole.out_inner.mm * across)}`}
          stroke={chosen ? 'var(--color-warning)' : hole.sewn ? 'var(--thread)' : 'var(--color-primary)'}
          stroke-width={text * (spot ? 1 : hole.sewn ? 0.42 : 0.26)}
          stroke-linecap={spot ? 'round' : undefined}
          fill="none"
          stroke-dasharray={hole.sewn || loop || spot ? undefined : `${text * 0.35} ${text * 0.2}`}
        />
        <text
          x={hole.at.mm}
          y={-text * 0.7}
          font-size={text * 1.05}
          font-weight={chosen ? 700 : 600}
          text-anchor="middle"
          fill={chosen ? 'var(--color-warning)' : 'var(--color-base-content)'}>{hole.at.text}</text
        >
        {#if hole.gap}
          <text
            x={hole.at.mm - hole.gap.mm / 2}
            y={band + text * 1.4}
            font-size={text * 0.95}
            text-anchor="middle"
            fill="var(--color-accent)">{hole.gap.text}</text
          >
          <path
            d="M{hole.at.mm - hole.gap.mm} {band + text * 0.35}H{hole.at.mm}"
            stroke="var(--color-accent)"
            stroke-width={text * 0.07}
          />
        {/if}
        <path
          d="M{hole.at.mm} {-text * 0.35}V{0}"
          stroke="var(--color-base-content)"
          stroke-width={text * 0.09}
        />
      </g>
    {/each}
  </svg>
  <p class="-mt-3 text-center text-sm text-secondary">
    {fastens ? 'The buttonhole side, right side up' : 'Right side up'}. The finished edge is {turned
      ? 'towards'
      : 'away from'} you.
  </p>
{/if}
