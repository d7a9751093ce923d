<script lang="ts">
  // A stretch kept clear: hatched, taken hold of as a whole or by an end.
  import type { Plan } from '../api/client';
  import type { Drag } from './drag.svelte';
  import type { Grip } from './grip';
  import { NARROW, type RunGeometry } from './geometry.svelte';

  let {
    keepOut,
    geometry,
    drag,
    hatch,
    take,
  }: {
    keepOut: Plan['placket.keep_outs'][number];
    geometry: RunGeometry;
    drag: Drag;
    hatch: string;
    take: (event: PointerEvent, grip: Grip, at: number) => void;
  } = $props();

  let from = $derived(keepOut.upper.mm);
  let to = $derived(keepOut.lower.mm);
  let seam = $derived(keepOut.to === null);
  let says = $derived(
    keepOut.to ? `${keepOut.from.text} to ${keepOut.to.text}` : `a seam at ${keepOut.from.text}`,
  );
  let shape = $derived(geometry.area(from, to));
  let gripped = $derived(drag.grip?.kind === 'keep' && drag.grip.id === keepOut.id);
  let wide = $derived(!seam && (to - from) * geometry.scale >= NARROW);
  const grip = (end: 'both' | 'from' | 'to'): Grip => ({ kind: 'keep', id: keepOut.id, end });
</script>

<rect
  {...shape}
  fill="url(#{hatch})"
  stroke={gripped ? 'var(--color-primary)' : 'var(--color-secondary)'}
  stroke-width={gripped ? 2 : 0.75}
  fill-opacity={keepOut.kind === 'ridge' ? 0.4 : 1}
  stroke-dasharray={keepOut.kind === 'ridge' ? '3 3' : undefined}
/>
<!-- Never too narrow for a finger: taken hold of as a whole. -->
<rect
  {...geometry.area(from, to, NARROW)}
  fill="transparent"
  role="slider"
  tabindex="0"
  aria-label="Keep clear: {keepOut.label || 'a stretch'}"
  aria-valuenow={from}
  aria-valuetext={says}
  class="cursor-move outline-none focus-visible:stroke-primary focus-visible:stroke-3"
  onpointerdown={(event) => take(event, grip('both'), from)}
  onkeydown={(event) =>
    event.altKey ? drag.nudge(event, grip('to'), to) : drag.nudge(event, grip('both'), from)}
  ondblclick={(event) => event.stopPropagation()}
>
  <title>{keepOut.label || 'keep-out'}: {says}{keepOut.kind === 'ridge' ? ', only a ridge' : ''}</title>
</rect>
{#if wide}
  {#each [['from', from], ['to', to]] as const as [end, mm] (end)}
    <line
      {...geometry.line(mm, 0, mm, geometry.clothWidth / geometry.scale)}
      stroke="transparent"
      stroke-width="9"
      class={geometry.lying ? 'cursor-ew-resize' : 'cursor-ns-resize'}
      role="presentation"
      onpointerdown={(event) => take(event, grip(end), mm)}
    />
  {/each}
{/if}
{#if !geometry.lying}
  <text
    class="text-[11px]"
    x={geometry.turned ? shape.x + 6 : shape.x + shape.width - 6}
    y={shape.y - 3}
    text-anchor={geometry.turned ? 'start' : 'end'}
    fill="var(--color-secondary)">{keepOut.label}</text
  >
{/if}
