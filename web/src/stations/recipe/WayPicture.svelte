<script lang="ts">
  // Another way to close as it will look, to scale: a worked hole, a window with lips, loops round a button, a stud.
  import type { Sheet } from '../../api/client';

  type Way = Sheet['recipe']['ways']['offered'][number];
  let { way, large = false }: { way: Way; large?: boolean } = $props();

  let mm = $derived(Object.fromEntries(way.figures.map((figure) => [figure.key, figure.value.mm])));
  let slit = $derived(mm['slit'] ?? 0);
  let box = $derived(mm['window'] ?? mm['box'] ?? 0);
  let loop = $derived(mm['arc'] !== undefined);
  let base = $derived(mm['base'] ?? 0);
  let out = $derived(mm['reach'] ?? mm['button_in'] ?? 0);
  let square = $derived(mm['square'] ?? 0);
  let worked = $derived(way.key === 'hand_worked');
  let wide = $derived(Math.max(slit, base * 2.4, square * 2.4, 12) * 1.5 + 8);
  let high = $derived(Math.max(box * 3, out * 2 + base / 2, square * 1.4, 14) + 8);
  /** Stitches of the hand along both edges of the cut. */
  let purls = $derived(
    Array.from({ length: Math.min(70, Math.round(slit / 0.8)) }, (_, i) => -slit / 2 + i * 0.8),
  );
  let depth = $derived(mm['depth'] ?? 0);
</script>

<svg
  viewBox="{-wide / 2} {-high / 2} {wide} {high}"
  class={['w-full rounded-lg bg-base-200', large ? 'h-64 max-w-[27rem]' : 'h-32 max-w-xs']}
  role="img"
  aria-label="{way.name}: {way.figures.map((figure) => `${figure.name} ${figure.value.text}`).join(', ')}"
  data-way-picture={way.key}
>
  {#if loop}
    <line
      x1={-wide / 2}
      x2={wide / 2}
      y1={-high / 4}
      y2={-high / 4}
      stroke="var(--chalk)"
      stroke-width="0.6"
      stroke-dasharray="2 1"
    />
    {#each [-1, 1] as side (side)}
      <g transform="translate({side * base * 0.62} {-high / 4})">
        <circle
          cy={out - base / 2}
          r={base / 2}
          fill="var(--horn)"
          fill-opacity="0.3"
          stroke="var(--horn)"
          stroke-width="0.5"
        />
        <path
          d="M{-base / 2} 0C{-base / 2} {(out * 4) / 3} {base / 2} {(out * 4) / 3} {base / 2} 0"
          fill="none"
          stroke="var(--color-primary)"
          stroke-width={way.key === 'thread_loop' ? 1 : 3}
          stroke-linecap="round"
        />
      </g>
    {/each}
  {:else if square}
    {#each [-1, 1] as side (side)}
      <g transform="translate({side * square * 0.62})">
        <rect
          x={-square / 2}
          y={-square / 2}
          width={square}
          height={square}
          fill="none"
          stroke="var(--chalk)"
          stroke-width="0.6"
          stroke-dasharray="2 1"
        />
        <circle r="5.5" fill="none" stroke="var(--color-primary)" stroke-width="1.2" />
        <circle r="2" fill={side < 0 ? 'var(--color-primary)' : 'none'} stroke="var(--color-primary)" />
      </g>
    {/each}
  {:else if slit}
    {#if worked}
      {#each purls as x (x)}
        <path
          d="M{x} {-0.3}V{-depth}M{x} 0.3V{depth}"
          stroke="var(--color-primary)"
          stroke-width="0.5"
          stroke-linecap="round"
        />
      {/each}
      {#each [-60, -30, 0, 30, 60] as turn (turn)}
        <line
          x1="0"
          x2={depth}
          y1="0"
          y2="0"
          transform="translate({slit / 2} 0) rotate({turn})"
          stroke="var(--color-primary)"
          stroke-width="0.5"
        />
      {/each}
      <line
        x1={-slit / 2 - 0.6}
        x2={-slit / 2 - 0.6}
        y1={-depth}
        y2={depth}
        stroke="var(--color-primary)"
        stroke-width="1.6"
      />
    {:else if box}
      <rect
        x={-slit / 2}
        y={-box / 2}
        width={slit}
        height={box}
        fill="var(--color-primary)"
        fill-opacity="0.2"
        stroke="var(--color-primary)"
        stroke-width="0.6"
      />
    {/if}
    <line x1={-slit / 2} x2={slit / 2} y1="0" y2="0" stroke="var(--color-base-content)" stroke-width="0.5" />
  {:else}
    <path
      d="M{-wide / 4} 4h{wide / 6}a4 4 0 0 0 0 -8h{-wide / 8}M{wide / 6} -5v10"
      fill="none"
      stroke="var(--color-primary)"
      stroke-width="1.4"
    />
  {/if}
</svg>
