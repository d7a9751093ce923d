<script lang="ts">
  // What lies under the needle, from above, the person at the bottom: the mark, the foot, and the stitches as they fall.
  // In millimetres.
  import type { Attempt, Bench } from '../api/client';
  import Cloth from '../drawn/Cloth.svelte';
  import Laid from './Laid.svelte';

  let {
    bench,
    attempt,
    drawn,
    angle,
    moved,
    words,
  }: {
    bench: Bench;
    attempt: Attempt;
    /** How many of the stitches ahead are drawn. */ drawn: number;
    angle: number;
    /** The fabric was moved, mm. */ moved: (across: number, along: number) => void;
    words: string;
  } = $props();

  const MM = 1000;
  const SHEET = 'pointer-events-none absolute inset-0 h-full w-full will-change-transform';
  const FINE = 0.5;
  /** Fabric beyond what is seen, mm. */
  const AROUND = 8;
  let at = $derived(attempt.state);
  let hole = $derived(bench.hole);
  let onButton = $derived(at.under?.startsWith('pair') ?? false);
  let box = $derived.by((): [number, number, number, number] => {
    if (onButton && bench.button) {
      const half = (bench.button.across / MM) * 0.75;
      return [-half, -half, half * 2, half * 2];
    }
    const [left = -3, right = 3, top = 0, low = 20] = (hole?.box ?? []).map((one) => one / MM);
    const tall = low - top + 14;
    const wide = Math.max(right - left + 14, tall * 0.62);
    return [(left + right - wide) / 2, top - 7, wide, tall];
  });
  let [x, y, wide, tall] = $derived(box);
  let start = $derived([(hole?.start[0] ?? 0) / MM, (hole?.start[1] ?? 0) / MM] as [number, number]);
  let slide = $state<[number, number]>([0, 0]);
  /** The fabric lies off by so much. */
  let off = $derived([-(at.off[0] ?? 0) + slide[0], -(at.off[1] ?? 0) + slide[1]] as [number, number]);
  let pieces = $derived(at.sewn.filter((one) => one.name.startsWith('pair') === onButton));
  let other = $derived(pieces.filter((one) => one.name !== at.under));
  let here = $derived(pieces.find((one) => one.name === at.under));
  let ahead = $derived((attempt.ahead?.points ?? []).slice(0, drawn * 2));
  let all = $derived([...(here?.points ?? []), ...ahead]);
  let thick = $derived(Math.max(bench.thread * 1.5, wide / 110));

  /** Where the needle goes in, or went in last, in the fabric's own places. */
  let last = $derived.by((): [number, number] | undefined => {
    const [lastX, lastY] = all.slice(-2);
    return lastX !== undefined && lastY !== undefined ? [lastX / MM, lastY / MM] : undefined;
  });
  let first = $derived.by((): [number, number] => {
    if (!onButton || !bench.button) return start;
    const middle = bench.button.pairs[Number(at.under?.slice(5) ?? 0)]?.at ?? [];
    return [(middle[0] ?? 0) / MM, (middle[1] ?? 0) / MM];
  });
  /** And where that is seen. */
  let needle = $derived<[number, number]>(last ? [last[0] + off[0], last[1] + off[1]] : first);
  let pivot = $derived(last ?? first);
  let deep = $derived((1 - Math.cos((angle * Math.PI) / 180)) / 2);
  let loose = $derived(here?.spoiled === 'foot_up' || here?.spoiled === 'threaded_down');
  let nest = $derived(at.jammed || attempt.slips.some((slip) => slip.key === 'tails_loose'));

  /** The same in words. */
  let told = $derived.by(() => {
    if (!at.under) return 'No fabric under the needle.';
    const sewn = all.length / 2;
    if (sewn)
      return `${sewn} ${sewn === 1 ? 'stitch' : 'stitches'} sewn${here?.finished ? ', finished' : ''}.`;
    const [across = 0, along = 0] = at.off;
    const times = (off: number, more: string, less: string): string[] => {
      const presses = Math.round(Math.abs(off) / FINE);
      return presses ? [`${presses} times ${off > 0 ? more : less}`] : [];
    };
    const keys = [...times(across, 'right', 'left'), ...times(along, 'down', 'up')];
    return keys.length
      ? `To bring the mark under it, press ${keys.join(', ')}.`
      : 'The mark lies under the needle.';
  });

  let from: [number, number] | undefined;
  let svg = $state<SVGSVGElement>();
  function point(event: PointerEvent): [number, number] {
    const scale = svg ? tall / svg.getBoundingClientRect().height : 1;
    return [event.clientX * scale, event.clientY * scale];
  }
  function hold(event: PointerEvent): void {
    if (!at.under) return;
    from = point(event);
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function drag(event: PointerEvent): void {
    if (!from) return;
    const [left, top] = point(event);
    slide = [left - from[0], top - from[1]];
  }
  function letGo(): void {
    from = undefined;
    const [across, along] = slide;
    slide = [0, 0];
    if (Math.hypot(across, along) > 0.2) moved(-across, -along);
  }
  const KEYS: Record<string, [number, number]> = {
    ArrowLeft: [FINE, 0],
    ArrowRight: [-FINE, 0],
    ArrowUp: [0, FINE],
    ArrowDown: [0, -FINE],
  };
  function nudge(event: KeyboardEvent): void {
    const by = KEYS[event.key];
    if (!by || !at.under) return;
    event.preventDefault();
    event.stopPropagation();
    moved(...by);
  }
</script>

<div class="relative">
  <!-- Moved by arrow keys and by touch. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    bind:this={svg}
    viewBox="{x} {y} {wide} {tall}"
    class="block max-h-[30vh] lg:max-h-[clamp(13rem,49vh,30rem)] w-full cursor-grab touch-none border border-base-300 bg-base-200"
    role="application"
    tabindex="0"
    aria-label="Fabric under the needle. {told} Arrow keys move it. {words}"
    onpointerdown={hold}
    onpointermove={drag}
    onpointerup={letGo}
    onpointercancel={letGo}
    onkeydown={nudge}
    data-fabric
  >
    {#if at.under}
      <g transform="translate({off[0]} {off[1]})">
        <g transform={at.turned ? `rotate(180 ${pivot[0]} ${pivot[1]})` : undefined}>
          <Cloth x={x - AROUND} y={y - AROUND} width={wide + AROUND * 2} height={tall + AROUND * 2} />
          {#if onButton && bench.button}
            <circle
              r={bench.button.across / MM / 2}
              fill="var(--shell)"
              stroke="var(--horn)"
              stroke-width={wide / 90}
            />
            {#each bench.button.holes as across, index (index)}
              {#if index % 2 === 0}
                <circle
                  cx={across / MM}
                  cy={(bench.button.holes[index + 1] ?? 0) / MM}
                  r={bench.button.hole / MM / 2}
                  fill="var(--slit)"
                />
              {/if}
            {/each}
          {:else if hole}
            {@const ends = hole.slit.map((one) => one / MM)}
            <g
              stroke="var(--color-primary)"
              stroke-width={wide / 130}
              stroke-dasharray="{wide / 60} {wide / 90}"
              opacity="0.75"
            >
              <path d="M0 {(ends[0] ?? 0) - 6}V{(ends[1] ?? 0) + 6}" />
              {#each ends as end (end)}<path d="M-3.5 {end}H3.5" />{/each}
            </g>
            {#if hole.keyed !== null && !at.parts['memory']}
              <path d="M-5 {hole.keyed / MM}H5" stroke="var(--color-accent)" stroke-width={wide / 80} />
              <text x="5.4" y={hole.keyed / MM + 0.6} font-size={wide / 17} fill="var(--color-accent)"
                >{bench.figure?.text ?? ''}</text
              >
            {/if}
            {#if !here?.points.length}
              <g fill="none" stroke="var(--color-warning)" stroke-width={wide / 110}>
                <circle cx={start[0]} cy={start[1]} r={wide / 34} />
                <path
                  d="M{start[0] - wide / 16} {start[1]}h{wide / 8}M{start[0]} {start[1] - wide / 16}v{wide /
                    8}"
                />
              </g>
            {/if}
          {/if}
        </g>
      </g>
    {:else}
      <text
        x={x + wide / 2}
        y={y + tall / 2}
        text-anchor="middle"
        font-size={wide / 14}
        fill="var(--color-secondary)">No fabric under the needle</text
      >
    {/if}
  </svg>
  {#if at.under}
    <!-- Each on a sheet of its own: while it sews, only what changes is drawn anew. -->
    <svg viewBox="{x} {y} {wide} {tall}" class={SHEET} aria-hidden="true">
      <g transform="translate({off[0]} {off[1]})">
        <g transform={at.turned ? `rotate(180 ${pivot[0]} ${pivot[1]})` : undefined}>
          <Laid
            {all}
            before={here?.before ?? []}
            others={onButton ? other.map((one) => one.points) : []}
            {thick}
            {loose}
            {nest}
            begins={first}
            tails={at.tails}
            edge={[x, y + 5]}
          />
        </g>
      </g>
    </svg>
    <svg viewBox="{x} {y} {wide} {tall}" class={SHEET} aria-hidden="true">
      <!-- The foot lies over it while it is down. -->
      {#if at.foot_down}
        <g fill="none" stroke="var(--color-base-content)" stroke-width={wide / 110} opacity="0.55">
          {#if onButton}
            <path
              d="M-2.4 {y + tall}V0.9M2.4 {y + tall}V0.9"
              stroke-width={wide / 26}
              stroke-linecap="round"
              opacity="0.5"
            />
          {:else}
            <path d="M-5.2 {y}V{y + tall}M5.2 {y}V{y + tall}M-5.2 {y + 1.2}H5.2M-5.2 {y + tall - 1.2}H5.2" />
          {/if}
        </g>
      {/if}
      <!-- The needle: nearer to the fabric the darker. -->
      <g stroke="var(--color-base-content)" stroke-width={wide / 90}>
        <circle
          cx={needle[0]}
          cy={needle[1]}
          r={wide / 46 + (1 - deep) * (wide / 40)}
          fill="none"
          opacity={0.35 + deep * 0.6}
        />
        <circle
          cx={needle[0]}
          cy={needle[1]}
          r={wide / 120 + deep * (wide / 150)}
          fill={at.needle_whole ? 'var(--color-base-content)' : 'var(--color-warning)'}
        />
      </g>
    </svg>
  {/if}
</div>
