<script lang="ts">
  // A hole at its place and length, with its button as a ghost. The first and the last can be moved.
  import type { Hole, Sheet } from '../api/client';
  import type { Drag } from './drag.svelte';
  import type { Grip } from './grip';
  import { TAPE, type RunGeometry } from './geometry.svelte';
  import { isSpot } from '../drawn/spot';
  import { capital } from '../ui/capital';

  /** Pixels that a sign of the figures is wide, about. */
  const SIGN = 7.2;

  let {
    hole,
    geometry,
    drag,
    radius,
    fastens,
    sewn,
    button: looks,
    ring,
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
    /** Whether a button sits in it. */
    fastens: boolean;
    /** What is made at this place. */
    sewn: Sheet['button']['sewn'];
    button: Sheet['button'];
    /** How wide a round hole is with its ring, mm. */
    ring: number | undefined;
    end: Grip | undefined;
    picked: boolean;
    pick: () => void;
    take: (event: PointerEvent, grip: Grip, at: number) => void;
  } = $props();

  let loop = $derived(geometry.loop);
  /** Whether it is cut: a bar tack is not. */
  let opens = $derived(sewn === 'hole');
  /** What is neither a slit nor a loop lies where the button would. */
  let spot = $derived(isSpot(sewn));
  let button = $derived(
    loop
      ? geometry.at(hole.at.mm, loop.base / 2 - loop.reach)
      : geometry.at(hole.button.mm, geometry.edge - geometry.far),
  );
  let farButton = $derived(geometry.at(hole.button.mm, geometry.edge + geometry.far));
  let label = $derived(geometry.at(hole.at.mm, geometry.reach));
  /** Where its figure has no room between the hole and the tape, it stands above the hole. */
  let above = $derived(geometry.turned && label[0] - hole.at.text.length * SIGN < TAPE + 10);
  let caution = $derived(hole.cautions.length > 0);

  function key(event: KeyboardEvent): void {
    if (end) drag.nudge(event, end, hole.at.mm);
    if (event.key === 'p') drag.addPin(hole.button.mm);
    if (event.key === 'k') drag.addSeam(hole.at.mm);
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    pick();
  }
</script>

<g
  role="button"
  tabindex="0"
  aria-pressed={picked}
  aria-label="{capital(sewn)} {hole.number} at {hole.at.text}{hole.sewn ? ', sewn' : ''}{caution
    ? ', see the caution'
    : ''}"
  class={['group outline-none', end ? 'cursor-move' : 'cursor-pointer']}
  onpointerdown={(event) => end && take(event, end, hole.at.mm)}
  ondblclick={(event) => event.stopPropagation()}
  onclick={pick}
  onkeydown={key}
>
  <circle
    cx={button[0]}
    cy={button[1]}
    r={fastens ? Math.max(radius, 12) : 12}
    fill={picked ? 'var(--color-primary)' : 'transparent'}
    fill-opacity="0.16"
    class="group-focus-visible:stroke-3"
    stroke={caution ? 'var(--color-warning)' : fastens ? 'var(--horn)' : 'none'}
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
  {#if fastens}
    <!-- The button as it looks: its own outline and its holes. -->
    <g
      transform="translate({button[0]} {button[1]}) scale({geometry.scale})"
      fill="var(--horn)"
      fill-opacity="0.14"
      pointer-events="none"
    >
      {#if looks.face}<polygon points={looks.face.map(([x, y]) => `${x},${y}`).join(' ')} />{/if}
      {#each looks.holes as [x, y], index (index)}
        <circle cx={x} cy={y} r={looks.hole / 2} fill="var(--horn)" fill-opacity="0.55" />
      {/each}
    </g>
  {/if}
  {#if loop}
    <path
      d={geometry.looped(hole.at.mm, loop)}
      fill="none"
      stroke={hole.sewn ? 'var(--thread)' : 'var(--color-primary)'}
      stroke-width="4"
      data-loop
    />
  {:else if spot}
    <circle
      cx={button[0]}
      cy={button[1]}
      r="5"
      fill={hole.sewn ? 'var(--thread)' : 'var(--color-primary)'}
      data-spot
    />
  {:else if ring}
    <circle
      cx={button[0]}
      cy={button[1]}
      r={(ring * geometry.scale) / 2}
      fill="none"
      stroke={hole.sewn ? 'var(--thread)' : 'var(--chalk)'}
      stroke-width="3"
      stroke-dasharray={hole.sewn ? undefined : '3 2'}
    />
  {:else if hole.sewn}
    <!-- In thread: two beads, and the slit between them. -->
    <line {...geometry.whole(hole)} stroke="var(--thread)" stroke-width="6" data-sewn />
    {#if opens}<line {...geometry.slit(hole)} stroke="var(--color-base-200)" stroke-width="1.6" />{/if}
  {:else}
    <!-- In chalk. -->
    <line {...geometry.whole(hole)} stroke="var(--chalk)" stroke-width="5" stroke-dasharray="3 2" />
    {#if opens}<line
        {...geometry.slit(hole)}
        stroke={caution ? 'var(--color-warning)' : 'var(--color-primary)'}
        stroke-width="2.5"
      />{/if}
  {/if}
  {#if !geometry.lying}
    <text
      x={above ? TAPE + 4 : label[0] + (geometry.turned ? -7 : 7)}
      y={label[1] + (above ? -6 : 4)}
      text-anchor={geometry.turned && !above ? 'end' : 'start'}
      class={['text-[13px]', picked && 'font-bold']}
      fill="var(--color-base-content)">{hole.at.text}</text
    >
  {/if}
</g>
