<script lang="ts">
  // A button in its own holes, as far as it is sewn: the thread, where the needle is, and what it strikes.
  import type { ButtonStitches } from '../../api/client';

  type Point = { x: number; y: number; number: number };
  type Props = { data: ButtonStitches; lines: { name: string; points: Point[] }[]; shown: number };
  let { data, lines, shown }: Props = $props();

  let reach = $derived(data.across / 2 + 1);
  let now = $derived(lines.flatMap((line) => line.points)[Math.min(shown, data.stitches - 1)]);
  const drawn = (points: Point[]): string =>
    points
      .filter((point) => point.number <= shown)
      .map((point, index) => `${index ? 'L' : 'M'}${point.x} ${-point.y}`)
      .join('');
</script>

<svg
  viewBox="{-reach} {-reach} {reach * 2} {reach * 2}"
  class="max-h-80 w-full"
  role="img"
  aria-label="{data.stitches} penetrations, {data.strikes.length
    ? `the needle strikes ${data.strikes.length} times`
    : 'none strikes'}"
>
  <circle r={data.across / 2} fill="var(--color-base-200)" stroke="currentColor" stroke-width="0.2" />
  {#each data.holes as hole, index (index)}
    <circle
      cx={hole[0]}
      cy={-(hole[1] ?? 0)}
      r={data.hole / 2}
      fill="var(--color-base-100)"
      stroke="currentColor"
      stroke-width="0.12"
    />
  {/each}
  {#each lines as line (line.name)}
    <path
      d={drawn(line.points)}
      fill="none"
      stroke="var(--color-primary)"
      stroke-width={data.thread}
      stroke-linejoin="round"
    />
  {/each}
  {#each lines.flatMap((line) => line.points) as point (point.number)}
    {#if data.strikes.includes(point.number) && point.number <= shown}
      <circle cx={point.x} cy={-point.y} r={data.needle / 2} class="fill-warning" fill-opacity="0.5" />
    {/if}
  {/each}
  {#if now}<circle cx={now.x} cy={-now.y} r={data.needle / 2} class="fill-accent" />{/if}
</svg>
