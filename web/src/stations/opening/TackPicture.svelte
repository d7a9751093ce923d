<script lang="ts">
  // A bar tack to scale: the straight stitches under it, the zigzag over them, and where the key is pressed.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let setting = $derived(opening.setting);
  let long = $derived(opening.length.mm);
  let wide = $derived(opening.across.mm);
  let text = $derived(long * 0.055);
  /** Stitches as thick as the thread, as far apart as the dial is set. */
  let thread = $derived(closure.sheet.recipe.thread_thickness.mm);
  let count = $derived(Math.max(2, Math.round(long / closure.sheet.recipe.feed.mm)));
  let zigzag = $derived(
    Array.from(
      { length: count + 1 },
      (_, index) => `${(long * index) / count},${index % 2 ? wide / 2 : -wide / 2}`,
    ).join(' '),
  );
  let pressed = $derived(setting.way === 'press' ? setting.figure.mm : 0);
</script>

<svg
  viewBox="{-long * 0.08} {-wide / 2 - text * 2.6} {long * 1.16} {wide + text * 5.4}"
  class="max-h-48 w-full max-w-lg"
  role="img"
  aria-label="A bar tack {opening.length.text} long and {opening.across.text} wide{pressed
    ? `; the key is pressed at ${setting.figure.text}`
    : ''}"
>
  <path d="M0 0H{long}" stroke="var(--color-secondary)" stroke-width={thread} />
  <polyline
    points={zigzag}
    fill="none"
    stroke="var(--thread)"
    stroke-width={thread}
    stroke-linejoin="round"
    stroke-linecap="round"
  />
  {#if setting.way === 'lines'}
    <path
      d="M0 {-wide}V{wide}M{long} {-wide}V{wide}"
      stroke="var(--color-accent)"
      stroke-width={text * 0.15}
      stroke-dasharray="{text * 0.4} {text * 0.25}"
    />
  {/if}
  {#if pressed}
    <path
      d="M{pressed} {-wide / 2 - text * 0.9}V{wide / 2}"
      stroke="var(--color-accent)"
      stroke-width={text * 0.18}
    />
    <text
      x={pressed}
      y={-wide / 2 - text * 1.3}
      text-anchor="end"
      font-size={text}
      fill="var(--color-base-content)">press at {setting.figure.text}</text
    >
  {/if}
  <g stroke="var(--color-secondary)" stroke-width={text * 0.08} fill="none">
    <path
      d="M0 {wide / 2 + text * 0.4}v{text}M{long} {wide / 2 + text * 0.4}v{text}M0 {wide / 2 +
        text * 0.9}H{long}"
    />
  </g>
  <text
    x={long / 2}
    y={wide / 2 + text * 2.2}
    font-size={text}
    text-anchor="middle"
    fill="var(--color-base-content)">{opening.length.text} long, {opening.across.text} wide</text
  >
</svg>
