<script lang="ts">
  // A belief as a drawing: what was tried, what that showed, and where what is right is thought to lie.
  import type { BeliefStrip } from '../../api/client';

  let { strip }: { strip: BeliefStrip } = $props();

  let across = $derived(strip.to - strip.from || 1);
  const place = (at: number) => Math.min(100, Math.max(0, ((at - strip.from) / across) * 100));
  let right = $derived(strip.right.map((mark) => place(mark.at)) as [number, number]);
  let unsure = $derived((strip.unsure / across) * 100);
  let now = $derived(strip.now.map((mark) => place(mark.at)) as [number, number]);
  const SEEN = { low: 'too little', right: 'right', high: 'too much' } as const;
  /** Dots of one figure stand above each other. */
  let dots = $derived(
    strip.dots.map((dot, index) => ({
      ...dot,
      x: place(dot.at),
      y:
        15 -
        Math.min(4, 12 / strip.dots.length) *
          strip.dots.slice(0, index).filter((other) => Math.abs(place(other.at) - place(dot.at)) < 2).length,
    })),
  );
</script>

<figure class="max-w-xl">
  <figcaption class="flex flex-wrap items-baseline justify-between gap-x-4 text-sm">
    <span class="font-semibold">{strip.name}</span>
    <span class="text-secondary">{strip.word}</span>
  </figcaption>
  <svg
    viewBox="0 0 100 30"
    preserveAspectRatio="none"
    class="block h-12 w-full overflow-visible"
    aria-hidden="true"
  >
    <rect
      x={right[0] - unsure}
      y="4"
      width={right[1] - right[0] + 2 * unsure}
      height="14"
      fill="var(--color-primary)"
      opacity="0.14"
    />
    <rect
      x={Math.min(right[0] + unsure, (right[0] + right[1]) / 2)}
      y="4"
      width={Math.max(right[1] - right[0] - 2 * unsure, 0.5)}
      height="14"
      fill="var(--color-primary)"
      opacity="0.3"
    />
    <line
      x1="0"
      x2="100"
      y1="18"
      y2="18"
      stroke="var(--chalk)"
      stroke-width="0.6"
      vector-effect="non-scaling-stroke"
    />
    <line
      x1={now[0]}
      x2={Math.max(now[1], now[0] + 0.4)}
      y1="24"
      y2="24"
      stroke="var(--color-base-content)"
      stroke-width="4"
      vector-effect="non-scaling-stroke"
    />
    {#each dots as dot, index (index)}
      <line
        x1={dot.x}
        x2={dot.x}
        y1={dot.y - 1.5}
        y2={dot.y + 1.5}
        stroke={dot.seen === 'right' ? 'var(--color-primary)' : 'var(--color-warning)'}
        stroke-width="5"
        stroke-dasharray={dot.seen === 'right' ? undefined : '3 2'}
        vector-effect="non-scaling-stroke"
      />
    {/each}
  </svg>
  <p class="flex justify-between text-xs text-secondary">
    {#each strip.right as mark, side (side)}<span>{side ? 'to' : 'right from'} {mark.text}</span>{/each}
    <span
      >set now: {strip.now[0]?.text}{strip.now[1]?.text === strip.now[0]?.text
        ? ''
        : ` to ${strip.now[1]?.text}`}</span
    >
  </p>
  <p class="sr-only">
    {strip.says}
    {strip.dots
      .map((dot) => `Test ${dot.number}${dot.bead ? `, side sewn ${dot.bead}` : ''}: ${SEEN[dot.seen]}.`)
      .join(' ')}
  </p>
</figure>
