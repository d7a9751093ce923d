<script lang="ts">
  // What an answer looks like, at the settings the test hole is sewn with.
  import type { LookDrawn } from '../../api/client';

  let { picture, tall: size = 'h-16' }: { picture: LookDrawn; tall?: string } = $props();

  /** Under tension satin thread flattens to about so many times its thickness. */
  const FLAT = 1.7;
  const BARE = 0.36;
  const COVERED = 0.5;
  const MM = 1000;

  let [x = 0, y = 0, wide = 1, tall = 1] = $derived(picture.box);
  let full = $derived(Math.min(1, Math.max(0, (picture.cover - BARE) / (COVERED - BARE))));
  /** Beyond full, stitches climb on each other. */
  let ridge = $derived(Math.max(0, picture.cover - 0.66));
  let thick = $derived(picture.thread * FLAT);

  function path(line: number[]): string {
    const points = line.flatMap((figure, index) =>
      index % 2 ? [] : [`${figure / MM} ${(line[index + 1] ?? 0) / MM}`],
    );
    return points.length ? `M${points.join('L')}` : '';
  }

  /** How wide the bead lies, across. */
  function extent(line: number[]): [number, number] {
    const ys = line.filter((_, index) => index % 2 === 1).map((figure) => figure / MM);
    return [Math.min(...ys), Math.max(...ys)];
  }

  /** Every penetration, where the bobbin thread is pulled up or the top thread hangs. */
  function edges(line: number[]): [number, number][] {
    return line.flatMap((figure, index) =>
      index % 2 ? [] : [[figure / MM, (line[index + 1] ?? 0) / MM] as [number, number]],
    );
  }

  /** The slit opened to a loop round the button's section. */
  let middle = $derived([wide / 2, tall / 2] as [number, number]);
  let half = $derived((picture.slit ?? 0) / 2);
  let high = $derived(
    (picture.thick ?? 0) * 0.9 + Math.max(0, (picture.slit ?? 0) - (picture.button ?? 0)) * 0.55,
  );
</script>

{#if picture.button !== null && picture.thick !== null}
  <svg viewBox="0 0 {wide} {tall}" class={['block w-full', size]} aria-hidden="true">
    <rect width={wide} height={tall} fill="var(--cloth)" />
    <rect
      x={middle[0] - picture.button / 2}
      y={middle[1] - picture.thick / 2}
      width={picture.button}
      height={picture.thick}
      rx={picture.thick / 2.5}
      fill="var(--horn)"
    />
    <path
      d="M{middle[0] - half} {middle[1]}Q{middle[0]} {middle[1] - high} {middle[0] +
        half} {middle[1]}Q{middle[0]} {middle[1] + high} {middle[0] - half} {middle[1]}Z"
      fill="none"
      stroke="var(--thread-edge)"
      stroke-width={wide * 0.022}
    />
    {#each [-1, 1] as side (side)}
      <line
        x1={middle[0] + side * half}
        x2={middle[0] + side * half}
        y1={middle[1] - wide * 0.06}
        y2={middle[1] + wide * 0.06}
        stroke="var(--thread)"
        stroke-width={wide * 0.045}
      />
    {/each}
  </svg>
{:else}
  <svg
    viewBox="{x} {y} {wide} {tall}"
    preserveAspectRatio="xMidYMid slice"
    class={['block w-full', size]}
    aria-hidden="true"
  >
    <rect {x} {y} width={wide} height={tall} fill="var(--cloth)" />
    {#each picture.lines as line, index (index)}
      {@const [top, low] = extent(line)}
      <rect {x} y={top} width={wide} height={low - top} fill="var(--thread)" opacity={full} />
      <path
        d={path(line)}
        fill="none"
        stroke="var(--thread-edge)"
        stroke-width={thick * 1.15}
        opacity={0.55 + ridge}
      />
      <path d={path(line)} fill="none" stroke="var(--thread)" stroke-width={thick * 0.9} />
      <path
        d={path(line)}
        fill="none"
        stroke="var(--thread-light)"
        stroke-width={thick * 0.28}
        opacity="0.7"
      />
      {#each edges(line) as [at, down], stitch (stitch)}
        {#if picture.bobbin > 0}
          <circle
            cx={at}
            cy={down}
            r={picture.thread * (0.35 + picture.bobbin * 0.75)}
            fill="var(--color-base-100)"
          />
        {:else if picture.loops > 0 && stitch % 2 === 0}
          <path
            d="M{at} {down}c-0.25 {Math.sign(down) * picture.loops * 0.7} 0.35 {Math.sign(down) *
              picture.loops *
              0.7} 0.2 0"
            fill="none"
            stroke="var(--thread)"
            stroke-width={picture.thread * 0.8}
          />
        {/if}
      {/each}
    {/each}
  </svg>
{/if}
