<script lang="ts">
  // The edge of the garment, to scale: every hole at its place and length, keep-outs hatched, pins as
  // pins. It is the way to pick a hole, and things on it are moved where they lie.
  import type { Closure } from '../api/client';
  import type { ClosureWork } from '../closure/work.svelte';
  import { Drag } from './drag.svelte';
  import type { Grip } from './grip';
  import { RunGeometry } from './geometry.svelte';
  import RunCloth from './RunCloth.svelte';
  import RunHole from './RunHole.svelte';
  import RunKeepOut from './RunKeepOut.svelte';
  import RunPin from './RunPin.svelte';
  import Garment from '../drawn/Garment.svelte';
  import { capital } from '../ui/capital';

  let {
    work,
    closure,
    picked,
    pick,
  }: { work: ClosureWork; closure: Closure; picked: number; pick: (hole: number) => void } = $props();

  const id = $props.id();
  const drag = new Drag(() => work);
  // Where nothing fits, the holes stay where they are saved until something does.
  let holes = $derived((closure.sheet.placket ?? work.closure?.sheet.placket)?.holes ?? []);
  const geometry = new RunGeometry(
    () => closure,
    () => holes,
  );
  let canvas = $state<SVGSVGElement>();
  let plan = $derived(closure.plan);
  let preview = $derived(work.preview.closure);
  let trouble = $derived(preview && !preview.sheet.placket ? preview.sheet.faults[0]?.allowed : '');
  let note = $state('');
  $effect(() => {
    if (preview?.moved) note = preview.moved;
  });

  function take(event: PointerEvent, grip: Grip, at: number): void {
    drag.take(event, grip, at, geometry.under(event, canvas), canvas);
  }

  /** The grip of a hole: only the first and the last can be taken hold of. */
  function gripOf(number: number): Grip | undefined {
    if (number === 1) return { kind: 'first' };
    return number === holes.length ? { kind: 'last' } : undefined;
  }
</script>

<section
  aria-label="The edge"
  class="no-print flex flex-col border-base-300 bg-base-200/60 max-lg:sticky max-lg:top-0 max-lg:z-10 max-lg:border-b max-lg:bg-base-200 lg:border-r"
>
  <div class="flex justify-center pt-2 max-lg:hidden">
    <Garment
      name={closure.garment.name}
      part={{
        use: plan['placket.use'],
        place: plan['placket.place'],
        orientation: plan['placket.orientation'],
        rows: plan['placket.rows'],
        places: holes.map((hole) => hole.at.mm),
        length: plan['placket.run_length'].mm,
        sewn: holes.map((hole) => hole.sewn),
      }}
      {picked}
      {pick}
    />
  </div>
  <p
    aria-live="polite"
    class={[
      'h-10 overflow-hidden px-3 text-sm leading-5 max-lg:absolute max-lg:top-full max-lg:h-auto max-lg:bg-base-200',
      trouble && 'font-semibold text-warning',
    ]}
  >
    {trouble || note}
  </p>
  <div
    class="h-24 min-h-0 grow lg:h-auto"
    bind:clientWidth={geometry.width}
    bind:clientHeight={geometry.height}
  >
    {#if geometry.ready}
      <svg
        bind:this={canvas}
        width={geometry.width}
        height={geometry.height}
        role="group"
        aria-label="{capital(closure.sheet.button.sewn)}s on the edge"
        class="touch-none select-none"
        onpointermove={(event) => drag.grip && event.buttons && drag.follow(geometry.under(event, canvas))}
        onpointerup={() => drag.drop()}
        onpointercancel={() => drag.cancel()}
        ondblclick={(event) =>
          event.shiftKey
            ? drag.addSeam(geometry.under(event, canvas))
            : drag.addPin(geometry.under(event, canvas))}
      >
        <RunCloth {geometry} hatch="{id}-hatch" />
        {#each plan['placket.keep_outs'] as keepOut (keepOut.id)}
          <RunKeepOut {keepOut} {geometry} {drag} {take} hatch="{id}-hatch" />
        {/each}
        {#each holes as hole (hole.number)}
          <RunHole
            {hole}
            {geometry}
            {drag}
            {take}
            fastens={closure.sheet.stages.some((stage) => stage.word === 'attach')}
            sewn={closure.sheet.button.sewn}
            button={closure.sheet.button}
            ring={closure.sheet.opening.ends.near_finish === 'ring'
              ? closure.sheet.opening.across.mm
              : undefined}
            radius={(closure.sheet.button.largest.mm / 2) * geometry.scale}
            end={gripOf(hole.number)}
            picked={picked === hole.number}
            pick={() => pick(hole.number)}
          />
        {/each}
        {#each plan['placket.pins'] as pin (pin.id)}
          <RunPin {pin} {geometry} {drag} {take} />
        {/each}
      </svg>
    {/if}
  </div>
</section>
