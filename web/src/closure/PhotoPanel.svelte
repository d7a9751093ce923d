<script lang="ts">
  // The photo of a test hole, and beside it what was predicted, on one scale once two points of known
  // distance are marked.
  import { onMount, untrack } from 'svelte';
  import type { SwatchLeaf, SwatchPhoto } from '../api/client';
  import DrawnHole from '../ui/DrawnHole.svelte';
  import { Photo } from './photo.svelte';

  type Props = { entry: string; drawn: SwatchLeaf['drawn']; number?: number; photo?: SwatchPhoto };
  let { entry, drawn, number, photo: known }: Props = $props();

  const id = $props.id();
  const photo = untrack(() => new Photo(entry, known));
  onMount(() => {
    if (!photo.looked) void photo.look();
  });
  let wide = $state(0);
  let frame = $state<HTMLElement>();
  let name = $derived(number ? `Test ${number}` : 'The test hole');
  let mm = $derived(photo.shown?.points?.width_mm ?? undefined);
  let scale = $derived(mm && wide ? wide / mm : undefined);
  const STEP = 0.01;
  const FINE = 0.002;

  function chosen(event: Event & { currentTarget: HTMLInputElement }): void {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) void photo.put(file);
  }

  function drag(event: PointerEvent & { currentTarget: HTMLElement }, point: 1 | 2): void {
    if (!frame || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = frame.getBoundingClientRect();
    photo.move(point, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  }

  function nudge(event: KeyboardEvent, point: 1 | 2): void {
    const by = event.shiftKey ? FINE : STEP;
    const way = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
      event.key
    ];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const [x, y] = point === 1 ? [photo.points.x1, photo.points.y1] : [photo.points.x2, photo.points.y2];
    photo.move(point, x + (way[0] ?? 0), y + (way[1] ?? 0));
  }
</script>

<div class="mt-2 w-full" data-photo={entry}>
  {#if photo.shown}
    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <div class="w-full max-w-xl">
        <div bind:this={frame} bind:clientWidth={wide} class="relative touch-none">
          <img
            src={photo.address('large')}
            alt="{name} as it was sewn"
            width={photo.shown.width}
            height={photo.shown.height}
            class="block h-auto w-full"
          />
          {#each [1, 2] as const as point (point)}
            {@const x = point === 1 ? photo.points.x1 : photo.points.x2}
            {@const y = point === 1 ? photo.points.y1 : photo.points.y2}
            <button
              class="absolute size-11 -translate-x-1/2 -translate-y-1/2 cursor-grab"
              style:left="{x * 100}%"
              style:top="{y * 100}%"
              aria-label="Point {point} of 2: move it with the arrow keys, finer with Shift"
              onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
              onpointermove={(event) => drag(event, point)}
              onkeydown={(event) => nudge(event, point)}
            >
              <svg viewBox="-22 -22 44 44" class="size-11" aria-hidden="true">
                <circle r="9" fill="none" stroke="#fff" stroke-width="5" />
                <circle r="9" fill="none" stroke="#2a3c80" stroke-width="2.5" />
                <path d="M-14 0H14M0 -14V14" stroke="#2a3c80" stroke-width="1.2" />
              </svg>
            </button>
          {/each}
        </div>
        <form
          class="mt-2 flex flex-wrap items-end gap-3"
          onsubmit={(event) => {
            event.preventDefault();
            void photo.mark();
          }}
        >
          <label class="flex flex-col text-sm text-secondary" for="{id}-apart"
            >From point to point
            <input
              id="{id}-apart"
              class={['input w-32 bg-base-100 px-2 text-base-content', photo.fault && 'input-error']}
              placeholder="25 mm"
              aria-invalid={photo.fault ? 'true' : undefined}
              bind:value={photo.distance}
            />
          </label>
          <button class="btn btn-sm">Mark them</button>
          <button type="button" class="btn btn-ghost btn-sm" onclick={() => photo.remove()}
            >Remove the photo</button
          >
        </form>
        <p class="mt-1 text-sm text-secondary">
          Put the two points on something you measured, such as both ends of the slit.
        </p>
      </div>
      {#if scale}
        <figure>
          <DrawnHole {drawn} {scale} />
          <figcaption class="text-sm text-secondary">
            As it was predicted, on the scale of the photo
          </figcaption>
        </figure>
      {/if}
    </div>
  {:else if photo.looked}
    <label class="btn btn-sm" for="{id}-file">{photo.busy ? 'Taking it in…' : 'Take or choose a photo'}</label
    >
    <input
      id="{id}-file"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      class="sr-only"
      disabled={photo.busy}
      onchange={chosen}
    />
    <span class="text-sm text-secondary">We do not keep its place, date or camera.</span>
  {:else if !photo.fault}<p role="status" class="text-sm">Looking for the photo…</p>{/if}
  {#if photo.fault}<p role="alert" class="text-sm font-semibold text-error">{photo.fault}</p>{/if}
</div>
