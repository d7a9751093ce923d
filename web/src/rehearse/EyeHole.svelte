<script lang="ts">
  // A whole test hole by its stitches, and below it the button going through: as it would lie on the table.
  import type { EyeSample } from '../api/client';
  import LookPicture from '../stations/swatch/LookPicture.svelte';

  let { sample }: { sample: EyeSample } = $props();

  const FLAT = 1.7;
  const MM = 1000;
  const BARE = 0.36;
  const COVERED = 0.5;
  let [x = 0, y = 0, wide = 1, tall = 1] = $derived(sample.box ?? []);
  let thread = $derived(sample.thread ?? 0);
  let thick = $derived(thread * FLAT);
  let bobbin = $derived(sample.bobbin ?? 0);
  let loops = $derived(sample.loops ?? 0);

  function places(line: number[]): [number, number][] {
    return line.flatMap((figure, index) =>
      index % 2 ? [] : [[figure / MM, (line[index + 1] ?? 0) / MM] as [number, number]],
    );
  }
  const path = (line: number[]) =>
    `M${places(line)
      .map(([left, top]) => `${left} ${top}`)
      .join('L')}`;
  const full = (cover: number) => Math.min(1, Math.max(0, (cover - BARE) / (COVERED - BARE)));
  function extent(line: number[]): { x: number; y: number; width: number; height: number } {
    const xs = places(line).map((one) => one[0]);
    const ys = places(line).map((one) => one[1]);
    const [left, top] = [Math.min(...xs), Math.min(...ys)];
    return { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
  }
  let through = $derived({
    button: null,
    thick: null,
    slit: null,
    box: [0, 0, 1, 1],
    ...sample.through,
    look: 'fit',
    grade: '',
    lines: [],
    thread,
    cover: 0,
    bobbin: 0,
    loops: 0,
  });
</script>

<figure>
  <svg
    viewBox="{x} {y} {wide} {tall}"
    class="block w-full"
    role="img"
    aria-label="A test hole: two sides, two ends, seen from above"
  >
    <rect {x} {y} width={wide} height={tall} fill="var(--cloth)" />
    {#each sample.lines ?? [] as line, index (index)}
      {@const cover = sample.covers?.[index] ?? 0}
      <rect {...extent(line)} fill="var(--thread)" opacity={full(cover) * 0.9} />
      <g fill="none" stroke-linejoin="round">
        <path
          d={path(line)}
          stroke="var(--thread-edge)"
          stroke-width={thick * 1.15}
          opacity={0.55 + Math.max(0, cover - 0.66)}
        />
        <path d={path(line)} stroke="var(--thread)" stroke-width={thick * 0.9} />
        <path d={path(line)} stroke="var(--thread-light)" stroke-width={thick * 0.26} opacity="0.7" />
      </g>
      {#each places(line) as [left, top], stitch (stitch)}
        {#if bobbin > 0.05}
          <circle cx={left} cy={top} r={thread * (0.3 + bobbin * 0.6)} fill="var(--color-base-100)" />
        {:else if loops > 0.05 && stitch % 2 === 0}
          <path
            d="M{left} {top}c-0.25 {Math.sign(top) * loops * 0.7} 0.35 {Math.sign(top) * loops * 0.7} 0.2 0"
            fill="none"
            stroke="var(--thread)"
            stroke-width={thread * 0.7}
          />
        {/if}
      {/each}
    {/each}
  </svg>
  <div class="mt-2"><LookPicture picture={through} tall="h-40" /></div>
  <figcaption class="text-sm text-secondary">
    The hole from above. Below: your button going through it.
  </figcaption>
</figure>
