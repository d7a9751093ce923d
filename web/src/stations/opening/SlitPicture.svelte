<script lang="ts">
  // The slit with its end finishes, and the button's passing section over it, to one scale.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let button = $derived(closure.sheet.button);
  let width = $derived(Math.max(opening.overall.mm, closure.sheet.button.smallest.mm) * 1.12);
  let text = $derived(width * 0.035);
  let points = $derived(button.section.map(([x, y]) => `${x},${y}`).join(' '));
  let gap = $derived(button.height.mm / 2 + text * 1.2);
  const PLURAL: Record<string, string> = { 'end of the box': 'two ends of the box' };
  let ends = $derived(
    opening.ends.near_name === opening.ends.far_name
      ? (PLURAL[opening.ends.near_name] ?? `two ${opening.ends.near_name}s`)
      : `${opening.ends.near_name} and ${opening.ends.far_name}`,
  );
  let left = $derived(-opening.overall.mm / 2);
  let slitLeft = $derived(left + opening.ends.near.mm);
  let slitRight = $derived(slitLeft + opening.length.mm);
  let bead = $derived(width * 0.03);
</script>

<svg
  viewBox="{-width / 2} {-text} {width} {gap * 2 + bead * 2 + text * 5.4}"
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
  <g transform="translate(0 {gap * 2})">
    <rect
      x={left}
      y={-bead}
      width={opening.overall.mm}
      height={bead * 2}
      rx={bead * 0.3}
      fill="var(--color-primary)"
      fill-opacity="0.18"
    />
    <rect
      x={left}
      y={-bead}
      width={opening.ends.near.mm}
      height={bead * 2}
      fill="var(--color-primary)"
      fill-opacity="0.55"
    />
    <rect
      x={slitRight}
      y={-bead}
      width={opening.ends.far.mm}
      height={bead * 2}
      fill="var(--color-primary)"
      fill-opacity="0.55"
    />
    <line
      x1={slitLeft}
      x2={slitRight}
      y1="0"
      y2="0"
      stroke="var(--color-base-content)"
      stroke-width={width * 0.008}
    />
    <g stroke="var(--color-secondary)" stroke-width={width * 0.003} fill="none">
      <path
        d="M{slitLeft} {bead * 1.3}v{text}M{slitRight} {bead * 1.3}v{text}M{slitLeft} {bead * 1.3 +
          text * 0.5}H{slitRight}"
      />
      <path
        d="M{left} {bead * 1.3}v{text * 2.6}M{-left} {bead * 1.3}v{text * 2.6}M{left} {bead * 1.3 +
          text * 2.2}H{-left}"
      />
    </g>
    <g font-size={text} fill="var(--color-base-content)" text-anchor="middle">
      <text y={bead * 1.3 + text * 1.6}>opening (the slit) {opening.length.text}</text>
      <text y={bead * 1.3 + text * 3.4}>overall, with {ends}: {opening.overall.text}</text>
    </g>
  </g>
</svg>
