<script lang="ts">
  // The button from the front and its passing section, both to one scale, with what was measured on them.
  import type { Closure } from '../../api/client';
  import ButtonFace from '../../drawn/ButtonFace.svelte';
  import Measure from '../../drawn/Measure.svelte';

  let { closure }: { closure: Closure } = $props();

  let sheet = $derived(closure.sheet.button);
  let wide = $derived(sheet.largest.mm);
  let tall = $derived(Math.max(wide, sheet.height.mm));
  let text = $derived(wide * 0.085);
  let points = $derived(sheet.section.map(([x, y]) => `${x},${y}`).join(' '));
  let xs = $derived(sheet.section.map(([x]) => x ?? 0));
  let ys = $derived(sheet.section.map(([, y]) => y ?? 0));
  let long = $derived(Math.max(...xs) - Math.min(...xs));
  let thick = $derived(Math.max(...ys) - Math.min(...ys));
  /** The section stands on its end beside the button. */
  let aside = $derived(wide * 0.72 + thick / 2);
  let left = $derived(-wide * 0.62);
  let right = $derived(aside + thick / 2 + text * 4.4);
</script>

<svg
  viewBox="{left} {-tall * 0.58} {right - left} {tall * 1.16 + text * 2.4}"
  class="max-h-80 w-full"
  role="img"
  aria-label="The button from the front, {sheet.largest.text} wide, and its section, {sheet.height
    .text} thick"
>
  <ButtonFace button={sheet} />
  {#if sheet.holes.length === 0}
    <circle
      r={(sheet.shank ?? wide * 0.18) / 2}
      fill="none"
      stroke="var(--color-base-content)"
      stroke-dasharray={text / 3}
      stroke-width={wide * 0.012}
    />
  {/if}
  <polygon
    {points}
    transform="translate({aside} {-(Math.max(...xs) + Math.min(...xs)) / 2}) rotate(90)"
    fill="var(--shell)"
    stroke="var(--horn)"
    stroke-width={wide * 0.022}
    stroke-linejoin="round"
  />
  <Measure from={-wide / 2} to={wide / 2} y={tall / 2 + text * 0.9} size={text} text={sheet.largest.text} />
  <Measure
    from={aside - thick / 2}
    to={aside + thick / 2}
    y={long / 2 + text * 0.9}
    size={text}
    text={sheet.height.text}
  />
</svg>
