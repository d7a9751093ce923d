<script lang="ts">
  // The slit with its end finishes as they look, and the button's passing section over it, to one scale.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let button = $derived(closure.sheet.button);
  /** Wide enough for its words, whatever is round. */
  let width = $derived(
    Math.max(
      opening.overall.mm * 1.12,
      closure.sheet.button.smallest.mm * 1.12,
      (button.height.mm + opening.across.mm) * 2.2,
    ),
  );
  let text = $derived(width * 0.035);
  let points = $derived(button.section.map(([x, y]) => `${x},${y}`).join(' '));
  let gap = $derived(button.height.mm / 2 + text * 1.2);
  const PLURAL: Record<string, string> = { 'end of the box': 'two ends of the box', ring: 'its ring' };
  let ends = $derived(
    opening.ends.near_name === opening.ends.far_name
      ? (PLURAL[opening.ends.near_name] ?? `two ${opening.ends.near_name}s`)
      : `${opening.ends.near_name} and ${opening.ends.far_name}`,
  );
  let left = $derived(-opening.overall.mm / 2);
  let slitLeft = $derived(left + opening.ends.near.mm);
  let slitRight = $derived(slitLeft + opening.length.mm);
  let right = $derived(slitRight + opening.ends.far.mm);
  /** Half the hole across its slit. */
  let bead = $derived(opening.across.mm / 2);
  /** Where the hole lies below the section. */
  let low = $derived(gap * 2 + bead - text);
  let round = $derived(opening.ends.near_name === 'ring');
  let box = $derived(opening.ends.near_name === 'end of the box');
  let eye = $derived(opening.ends.eye.mm);
  let cut = $derived(closure.sheet.recipe.space.mm / 2);

  let tacks = $derived(
    [
      { name: opening.ends.near_name, x: left, long: opening.ends.near.mm },
      { name: opening.ends.far_name, x: slitRight, long: opening.ends.far.mm },
    ].filter((end) => end.name === 'bar tack'),
  );

  /** The outline of a satin hole: each end straight or round, an eye as wide as its ring. */
  let outline = $derived.by(() => {
    const nearRound = opening.ends.near_name === 'round end' || eye > 0;
    const farRound = opening.ends.far_name === 'round end';
    const from = nearRound ? left + bead : left;
    const to = farRound ? right - bead : right;
    const near = nearRound ? `A${bead} ${bead} 0 0 1 ${from} ${-bead}` : `V${-bead}`;
    const far = farRound ? `A${bead} ${bead} 0 0 1 ${to} ${bead}` : `V${bead}`;
    return `M${from} ${bead}${near}H${to}${far}Z`;
  });
</script>

<svg
  viewBox="{-width / 2} {-text} {width} {low + bead + text * 6}"
  class="max-h-64 w-full max-w-2xl"
  role="img"
  aria-label="Slit {opening.length.text}, overall {opening.overall
    .text}; the section of the button over it: {opening.verdict.words}"
>
  <g transform="translate(0 {gap})">
    <polygon
      {points}
      fill="var(--horn)"
      fill-opacity="0.25"
      stroke="var(--horn)"
      stroke-width={width * 0.006}
    />
  </g>
  <g transform="translate(0 {low})">
    {#if round}
      <g fill="none" stroke="var(--color-primary)">
        <circle
          r={opening.length.mm / 2 + opening.ends.near.mm / 2}
          stroke-width={opening.ends.near.mm}
          stroke-opacity="0.45"
        />
        <circle r={opening.length.mm / 2} stroke="var(--color-base-content)" stroke-width={width * 0.005} />
      </g>
    {:else if box}
      <!-- Straight stitch twice round, a hair beside itself. -->
      <g fill="none" stroke="var(--color-primary)" stroke-width={width * 0.006} stroke-dasharray="2.2 0.5">
        <rect x={left} y={-bead} width={right - left} height={bead * 2} />
        <rect x={left + 0.3} y={-bead + 0.3} width={right - left - 0.6} height={bead * 2 - 0.6} />
      </g>
    {:else}
      <path d={outline} fill="var(--color-primary)" fill-opacity="0.3" />
      {#each tacks as tack (tack.x)}
        <rect
          x={tack.x}
          y={-bead}
          width={tack.long}
          height={bead * 2}
          fill="var(--color-primary)"
          fill-opacity="0.4"
        />
      {/each}
      <!-- Between the beads the cloth shows. -->
      <rect
        x={slitLeft}
        y={-cut}
        width={slitRight - slitLeft}
        height={cut * 2}
        fill="var(--color-base-100)"
      />
      {#if eye > 0}
        <circle
          cx={slitLeft + eye}
          r={eye}
          fill="var(--color-base-100)"
          stroke="var(--color-base-content)"
          stroke-width={width * 0.005}
        />
      {/if}
    {/if}
    {#if !round}
      <line
        x1={slitLeft + eye * 2}
        x2={slitRight}
        y1="0"
        y2="0"
        stroke="var(--color-base-content)"
        stroke-width={width * 0.008}
      />
    {/if}
    <g stroke="var(--color-secondary)" stroke-width={width * 0.003} fill="none">
      <path
        d="M{slitLeft} {bead + text * 0.3}v{text}M{slitRight} {bead + text * 0.3}v{text}M{slitLeft} {bead +
          text * 0.3 +
          text * 0.5}H{slitRight}"
      />
      <path
        d="M{left} {bead + text * 0.3}v{text * 2.6}M{-left} {bead + text * 0.3}v{text * 2.6}M{left} {bead +
          text * 0.3 +
          text * 2.2}H{-left}"
      />
    </g>
    <g font-size={text} fill="var(--color-base-content)" text-anchor="middle">
      <text y={bead + text * 0.3 + text * 1.6}>opening {round ? '' : '(the slit) '}{opening.length.text}</text
      >
      <text y={bead + text * 0.3 + text * 3.4}>overall, with {ends}: {opening.overall.text}</text>
    </g>
  </g>
</svg>
