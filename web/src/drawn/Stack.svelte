<script lang="ts">
  // The layers at the hole in section, in true proportion, with the needle and its thread beside them.
  type Layer = { name: string; thickness: { mm: number; text: string } };
  type Props = { layers: Layer[]; stack: { mm: number; text: string }; needle?: number };
  let { layers, stack, needle = 0.8 }: Props = $props();

  const WIDE = 120;
  const TALL = 62;
  let scale = $derived(Math.min(24 / Math.max(stack.mm, 0.4), 22));
  let high = $derived(stack.mm * scale);
  let base = $derived(TALL - 6);
  let tops = $derived(
    layers.map(
      (_, index) => base - layers.slice(0, index + 1).reduce((sum, one) => sum + one.thickness.mm, 0) * scale,
    ),
  );
  let across = $derived(Math.max(needle * scale, 3));
  let tip = $derived(base - high + 1.5);
  /** A slight bend, the same for each layer. */
  const wave = (y: number) => `M6 ${y}C26 ${y - 1.2} 50 ${y + 1.2} 76 ${y}`;
</script>

<svg
  viewBox="0 0 {WIDE} {TALL}"
  class="w-full"
  role="img"
  aria-label="{layers.length} layers, {stack.text} together"
>
  {#each layers as layer, index (index)}
    {@const top = tops[index] ?? 0}
    {@const thick = layer.thickness.mm * scale}
    <path
      d={wave(top + thick / 2)}
      fill="none"
      stroke="var(--cloth-edge)"
      stroke-width={Math.max(thick, 0.4)}
    />
    <path
      d={wave(top + thick / 2)}
      fill="none"
      stroke={layer.name === 'interfacing' ? 'var(--color-accent)' : 'var(--cloth)'}
      stroke-opacity={layer.name === 'interfacing' ? 0.65 : 1}
      stroke-width={Math.max(thick - 0.5, 0.25)}
    />
  {/each}
  <path
    d="M82 {base - high}h5M82 {base}h5M84.5 {base - high}V{base}"
    stroke="var(--color-accent)"
    stroke-width="0.7"
    fill="none"
  />
  <text x="90" y={base - high / 2 + 2} font-size="6.4" font-weight="600" fill="var(--color-accent)"
    >{stack.text}</text
  >
  <!-- The needle, as thick as it is beside them: its shaft, its point just into the top layer, its eye with the thread. -->
  <path
    d="M{44 - across / 2} 0V{tip - across * 2.2}Q{44 - across / 2} {tip - across} 44 {tip}Q{44 +
      across / 2} {tip - across} {44 + across / 2} {tip - across * 2.2}V0Z"
    fill="var(--color-base-100)"
    stroke="var(--color-secondary)"
    stroke-width="0.6"
  />
  <path
    d="M44 {tip - across * 1.9}v{-across * 0.7}"
    stroke="var(--color-secondary)"
    stroke-width={Math.max(across * 0.22, 0.8)}
    stroke-linecap="round"
  />
  <path
    d="M44 {tip - across * 2.2}C56 {tip - across * 2.4} 60 8 78 5"
    fill="none"
    stroke="var(--thread)"
    stroke-width="1.1"
  />
</svg>
