<script lang="ts">
  // A button from the front, its middle at 0, in millimetres: rim, holes or shank, one light.
  type Button = { largest: { mm: number }; face: number[][] | null; hole: number; holes: number[][] };
  let { button, shadow = true }: { button: Button; shadow?: boolean } = $props();

  let wide = $derived(button.largest.mm);
  let face = $derived(button.face?.map(([x, y]) => `${x},${y}`).join(' '));
  let edge = $derived(wide * 0.03);
</script>

{#if shadow}
  {#if face}<polygon
      points={face}
      transform="translate({wide * 0.04} {wide * 0.05})"
      fill="var(--color-base-content)"
      opacity="0.16"
    />{:else}<circle
      r={wide / 2}
      cx={wide * 0.035}
      cy={wide * 0.045}
      fill="var(--color-base-content)"
      opacity="0.16"
    />{/if}
{/if}
{#if face}
  <polygon
    points={face}
    fill="var(--shell)"
    stroke="var(--horn)"
    stroke-width={edge}
    stroke-linejoin="round"
  />
{:else}
  <circle r={wide / 2 - edge / 2} fill="var(--shell)" stroke="var(--horn)" stroke-width={edge} />
  <circle r={wide * 0.38} fill="none" stroke="var(--horn)" stroke-opacity="0.55" stroke-width={edge * 0.6} />
  <path
    d="M{-wide * 0.34} {-wide * 0.26}A{wide * 0.43} {wide * 0.43} 0 0 1 {wide * 0.1} {-wide * 0.415}"
    fill="none"
    stroke="var(--color-base-100)"
    stroke-opacity="0.75"
    stroke-width={edge * 1.1}
    stroke-linecap="round"
  />
{/if}
{#each button.holes as [x, y], index (index)}
  <circle
    cx={x}
    cy={y}
    r={button.hole / 2}
    fill="var(--slit)"
    stroke="var(--horn)"
    stroke-width={edge * 0.4}
  />
{/each}
