<script lang="ts">
  // The dialog in which a photo of the printed card is taken, read and corrected. What was read is handed on when
  // somebody says so.
  import { untrack } from 'svelte';
  import type { PhotoReading } from '../api/client';
  import { workroom } from '../api/workroom.svelte';
  import { announce } from '../ui/announce.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import CameraView from './CameraView.svelte';
  import CardDrawn from './CardDrawn.svelte';
  import { PhotoReader, type What } from './from_photo.svelte';
  import PhotoMeasured from './PhotoMeasured.svelte';

  type Props = {
    whats: What[];
    closure: number;
    /** Fields that take a figure. */ paths: string[];
    known?: () => { shape?: string; thickness?: string; across?: string };
    use: (figures: PhotoReading['figures'], file: File | undefined) => void;
    open: boolean;
  };
  let { whats, closure, paths, known = () => ({}), use, open = $bindable() }: Props = $props();

  const id = $props.id();
  const reader = new PhotoReader(() => known());
  let live = $state(false);
  const HOW: Record<What, string> = {
    button:
      'Lay the button on the card, on the field where it stands out. Get all four corners into the photo.',
    edge: 'Push the button half way through the slot. Hold the phone straight above it.',
    hole: 'Lay the card on your test scrap, with the buttonhole in the window. Fill the photo with the card.',
  };
  const NAMES: Record<What, string> = { button: 'Lying flat', edge: 'On its edge', hole: 'In the window' };
  let used = $derived(reader.figures.filter(({ path }) => path && paths.includes(path)));
  let told = $derived(reader.figures.filter(({ path }) => !path));

  // It opens empty, and closing it ends the camera.
  $effect(() => {
    if (!open) live = false;
    else untrack(() => reader.clear(whats[0]));
  });

  async function take(reading: Promise<void>): Promise<void> {
    live = false;
    await reading;
    const figure = reader.figures[0];
    if (figure) announce(`${figure.name} ${figure.text}`);
  }

  function chosen(event: Event & { currentTarget: HTMLInputElement }): void {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) void take(reader.take(file));
  }

  async function done(): Promise<void> {
    await reader.whole();
    use(used, reader.file);
    open = false;
  }
</script>

<Dialog bind:open title="Measure from a photo">
  {#if reader.reading}
    <PhotoMeasured {reader} />
    <dl
      class="mt-3 grid grid-cols-[1fr_auto_auto] gap-x-3 gap-y-1"
      aria-busy={reader.measuring > 0 || undefined}
      data-figures
    >
      {#each used as one (one.key)}
        <dt>{one.name}</dt>
        <dd class="text-right text-lg font-semibold" data-figure={one.key}>{one.text}</dd>
        <dd class="self-center text-sm text-secondary">± {one.within}</dd>
      {/each}
    </dl>
    {#if told.length}
      <details class="mt-2 text-sm">
        <summary class="cursor-pointer">What else it shows</summary>
        <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3">
          {#each told as one (one.key)}
            <dt class="text-secondary">{one.name}</dt>
            <dd class="text-right">{one.text}</dd>
          {/each}
        </dl>
      </details>
    {/if}
    <p class="mt-2 text-sm text-secondary">Is a line off? Move its ends.</p>
  {:else if live}
    <CameraView taken={(file) => take(reader.take(file))} gone={() => (live = false)} />
  {:else}
    <CardDrawn what={reader.what} />
    {#if whats.length > 1}
      <div class="mt-3 flex justify-center gap-2" role="group" aria-label="How the button lies">
        {#each whats as what (what)}
          <button
            type="button"
            class={['btn btn-sm', reader.what === what && 'btn-primary']}
            aria-pressed={reader.what === what}
            onclick={() => reader.clear(what)}>{NAMES[what]}</button
          >
        {/each}
      </div>
    {/if}
    <p class="mt-3">{HOW[reader.what]}</p>
    {#if reader.busy}
      <p role="status" class="mt-3 flex items-center gap-2">
        <span class="loading loading-sm loading-spinner" aria-hidden="true"></span>Reading the photo…
      </p>
    {:else}
      <div class="mt-3 flex flex-wrap gap-2">
        <label class="btn btn-primary" for="{id}-file">Take or choose a photo</label>
        <input
          id="{id}-file"
          type="file"
          accept="image/jpeg,image/png,image/webp"
          class="sr-only"
          onchange={chosen}
        />
        {#if 'mediaDevices' in navigator}
          <button type="button" class="btn" onclick={() => (live = true)}>Open the camera</button>
        {/if}
        {#if workroom.data?.sample}<button
            type="button"
            class="btn"
            onclick={() => take(reader.practise(closure))}>Use a practice photo</button
          >{/if}
      </div>
    {/if}
    {#if reader.fault}<p role="alert" class="mt-3 font-semibold text-error">{reader.fault}</p>{/if}
    <div class="mt-4 border-t border-base-300 pt-3 text-sm">
      <p>
        No card yet? Print it at 100 %:
        <a class="link" href="/api/measuring-card.pdf?paper=a4" target="_blank">A4</a> ·
        <a class="link" href="/api/measuring-card.pdf?paper=letter" target="_blank">Letter</a>. Fold the page
        twice, edge to edge, and cut along the folds.
      </p>
      <label class="mt-2 flex items-center gap-2" for="{id}-ruler"
        >The 100 mm line on my card measures
        <input
          id="{id}-ruler"
          class={['input input-sm w-24 bg-base-100 px-2', reader.rulerFault && 'input-error']}
          placeholder="100 mm"
          aria-invalid={reader.rulerFault ? 'true' : undefined}
          bind:value={reader.ruler}
          onchange={() => void reader.read()}
        /></label
      >
      {#if reader.rulerFault}<p role="alert" class="font-semibold text-error">{reader.rulerFault}</p>{/if}
    </div>
  {/if}
  {#snippet actions()}
    {#if reader.reading}
      <button type="button" class="btn" onclick={() => reader.clear()}>Another photo</button>
      <button type="button" class="btn btn-primary" onclick={() => void done()} data-use-figures
        >{used.length === 1 ? 'Use this figure' : 'Use these figures'}</button
      >
    {/if}
  {/snippet}
</Dialog>
