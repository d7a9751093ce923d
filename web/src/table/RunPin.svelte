<script lang="ts">
  // A pin stuck through the edge: solid where a hole must be, open where one is only wished for.
  import type { Plan } from '../api/client';
  import type { Drag } from './drag.svelte';
  import type { Grip } from './grip';
  import type { RunGeometry } from './geometry.svelte';

  let {
    pin,
    geometry,
    drag,
    take,
  }: {
    pin: Plan['placket.pins'][number];
    geometry: RunGeometry;
    drag: Drag;
    take: (event: PointerEvent, grip: Grip, at: number) => void;
  } = $props();

  let must = $derived(pin.weight === '0');
  let grip = $derived<Grip>({ kind: 'pin', id: pin.id });
</script>

<g
  transform={geometry.inward(pin.at.mm)}
  role="slider"
  tabindex="0"
  aria-label="Pin: {pin.label || 'pinned'}{must ? '' : ', a wish'}"
  aria-valuenow={pin.at.mm}
  aria-valuetext={pin.at.text}
  class="group cursor-move outline-none"
  onpointerdown={(event) => take(event, grip, pin.at.mm)}
  onkeydown={(event) => drag.nudge(event, grip, pin.at.mm)}
  ondblclick={(event) => event.stopPropagation()}
>
  <title>Pin: {pin.label || 'pinned'} at {pin.at.text}</title>
  <path
    d="M-6 0H{geometry.edge * geometry.scale * 0.7}"
    stroke="var(--color-base-content)"
    stroke-width="1.5"
  />
  <circle
    cx="-6"
    cy="0"
    r="12"
    fill="transparent"
    class="group-focus-visible:stroke-primary group-focus-visible:stroke-2"
  />
  <circle
    cx="-6"
    cy="0"
    r="5"
    fill={must ? 'var(--color-accent)' : 'var(--color-base-100)'}
    stroke="var(--color-accent)"
  />
</g>
