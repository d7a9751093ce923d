<script lang="ts">
  // A hole at its place and length, with its button as a ghost. The first and the last can be moved.
  import type { Hole } from '../api/client';
  import type { Drag, Grip } from './drag.svelte';
  import type { RunGeometry } from './geometry.svelte';

  let {
    hole,
    geometry,
    drag,
    radius,
    end,
    picked,
    pick,
    take,
  }: {
    hole: Hole;
    geometry: RunGeometry;
    drag: Drag;
    /** Of the button, pixels. */
    radius: number;
    end: Grip | undefined;
    picked: boolean;
    pick: () => void;
    take: (event: PointerEvent, grip: Grip, at: number) => void;
  } = $props();

  let button = $derived(geometry.at(hole.button.mm, geometry.edge - geometry.far));
  let farButton = $derived(geometry.at(hole.button.mm, geometry.edge + geometry.far));
  let label = $derived(geometry.at(hole.at.mm, geometry.reach));
  let caution = $derived(hole.cautions.length > 0);

  function key(event: KeyboardEvent): void {
    if (end) drag.nudge(event, end, hole.at.mm);
    if (event.key === 'p') drag.addPin(hole.at.mm);
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    pick();
  }
</script>

<g
  role="button"
  tabindex="0"
  aria-pressed={picked}
  aria-label="Hole {hole.number} at {hole.at.text}{caution ? ', see the caution' : ''}"
  class={['group outline-none', end ? 'cursor-move' : 'cursor-pointer']}
  onpointerdown={(event) => end && take(event, end, hole.at.mm)}
  ondblclick={(event) => event.stopPropagation()}
  onclick={pick}
  onkeydown={key}
>
  <circle
    cx={button[0]}
    cy={button[1]}
    r={Math.max(radius, 12)}
    fill={picked ? 'var(--color-primary)' : 'transparent'}
    fill-opacity="0.16"
    class="group-focus-visible:stroke-3"
    stroke={caution ? 'var(--color-warning)' : 'var(--horn)'}
    stroke-width={picked ? 2 : 1.2}
    stroke-dasharray={picked ? undefined : '4 3'}
  />
  {#if geometry.far > 0}
    <circle
      cx={farButton[0]}
      cy={farButton[1]}
      r={radius}
      fill="none"
      stroke="var(--horn)"
      stroke-dasharray="2 4"
    />
  {/if}
  <line {...geometry.whole(hole)} stroke="var(--color-primary)" stroke-opacity="0.4" stroke-width="5" />
  <line
    {...geometry.slit(hole)}
    stroke={caution ? 'var(--color-warning)' : 'var(--color-primary)'}
    stroke-width="2.5"
  />
  {#if !geometry.lying}
    <text
      x={label[0] + 7}
      y={label[1] + 4}
      class={['text-[13px]', picked && 'font-bold']}
      fill="var(--color-base-content)">{hole.at.text}</text
    >
  {/if}
</g>
