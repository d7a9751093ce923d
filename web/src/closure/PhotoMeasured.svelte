<script lang="ts">
  // A photo with what was measured drawn over it. The ends of each line can be moved, by hand or by arrow keys.
  import type { Place, PhotoReader } from './from_photo.svelte';

  let { reader }: { reader: PhotoReader } = $props();

  let frame = $state<HTMLElement>();
  let wide = $derived(reader.reading?.eye.width ?? 4);
  let tall = $derived(reader.reading?.eye.height ?? 3);
  const STEP = 0.004;
  const FINE = 0.0008;
  const KEYS: Record<string, Place> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  let lines = $derived(reader.drawn.filter((one) => one.kind === 'line'));
  const nameOf = (key: string) => reader.figures.find((one) => one.key === key)?.name ?? key;

  /** Only around what was measured is looked at. */
  let box = $derived.by(() => {
    const places = reader.drawn.flatMap((one) => one.places);
    const xs = places.map(([x]) => x ?? 0);
    const ys = places.map(([, y]) => y ?? 0);
    const far = Math.max(
      Math.max(...xs) - Math.min(...xs),
      ((Math.max(...ys) - Math.min(...ys)) * tall) / wide,
    );
    const half = Math.min(0.5, far * 0.8);
    const [x, y] = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
    return { left: x - half, top: y - (half * wide) / tall, wide: half * 2, tall: (half * 2 * wide) / tall };
  });
  // It stays where it is while an end is moved.
  let seen = $state.raw<typeof box>();
  let shownOf: unknown;
  $effect(() => {
    if (shownOf === reader.reading) return;
    shownOf = reader.reading;
    seen = box;
  });
  let view = $derived(seen ?? box);
  const across = (x: number) => ((x - view.left) / view.wide) * 100;
  const down = (y: number) => ((y - view.top) / view.tall) * 100;
  const points = (places: number[][]) =>
    places.map(([x, y]) => `${across(x ?? 0)},${down(y ?? 0)}`).join(' ');

  function drag(event: PointerEvent & { currentTarget: HTMLElement }, key: string, end: number): void {
    if (!frame || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const edge = frame.getBoundingClientRect();
    reader.move(
      key,
      end,
      view.left + ((event.clientX - edge.left) / edge.width) * view.wide,
      view.top + ((event.clientY - edge.top) / edge.height) * view.tall,
    );
  }

  function nudge(event: KeyboardEvent, key: string, end: number, place: number[]): void {
    const way = KEYS[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const by = (event.shiftKey ? FINE : STEP) * view.wide;
    reader.move(key, end, (place[0] ?? 0) + way[0] * by, (place[1] ?? 0) + way[1] * by);
    void reader.measure(key);
  }
</script>

<div
  bind:this={frame}
  class="relative mx-auto aspect-square w-full max-w-[min(24rem,40vh)] touch-none overflow-hidden bg-base-200"
>
  <img
    src={reader.url}
    alt={reader.what === 'hole' ? 'The buttonhole, up close' : 'The button, up close'}
    class="absolute max-w-none"
    style:width="{100 / view.wide}%"
    style:left="{(-view.left / view.wide) * 100}%"
    style:top="{(-view.top / view.tall) * 100}%"
  />
  <svg viewBox="0 0 100 100" class="absolute inset-0 h-full w-full" aria-hidden="true">
    {#each reader.drawn as one (`${one.key} ${one.kind}`)}
      {#if one.kind === 'outline'}
        <polygon points={points(one.places)} fill="none" stroke="#fff" stroke-width="1.1" />
        <polygon points={points(one.places)} fill="none" stroke="#2a3c80" stroke-width="0.5" />
      {:else if one.kind === 'line'}
        <polyline points={points(one.places)} fill="none" stroke="#fff" stroke-width="1.2" />
        <polyline points={points(one.places)} fill="none" stroke="#a03414" stroke-width="0.6" />
      {:else}
        {#each one.places as [x = 0, y = 0] (`${x} ${y}`)}
          <circle cx={across(x)} cy={down(y)} r="1.6" fill="none" stroke="#fff" stroke-width="1.1" />
          <circle cx={across(x)} cy={down(y)} r="1.6" fill="none" stroke="#a03414" stroke-width="0.6" />
        {/each}
      {/if}
    {/each}
  </svg>
  {#each lines as line (line.key)}
    {#each line.places as place, end (end)}
      <button
        type="button"
        class="absolute size-9 -translate-x-1/2 -translate-y-1/2 cursor-grab rounded-full"
        style:left="{across(place[0] ?? 0)}%"
        style:top="{down(place[1] ?? 0)}%"
        aria-label="{nameOf(line.key)}, end {end + 1} of 2: move it with the arrow keys, finer with Shift"
        data-end="{line.key} {end}"
        onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onpointermove={(event) => drag(event, line.key, end)}
        onpointerup={() => reader.measure(line.key)}
        onkeydown={(event) => nudge(event, line.key, end, place)}
      >
        <svg viewBox="-18 -18 36 36" class="size-9" aria-hidden="true">
          <circle r="6" fill="none" stroke="#fff" stroke-width="4" />
          <circle r="6" fill="none" stroke="#a03414" stroke-width="2" />
        </svg>
      </button>
    {/each}
  {/each}
</div>
