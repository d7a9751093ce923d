<script lang="ts">
  // The button in its own holes, sewn stitch by stitch; laid off its place; and how far off every needle and width forgives.
  import { Pause, Play } from '@lucide/svelte';
  import type { Closure } from '../../api/client';
  import Figure from '../../ui/Figure.svelte';
  import ButtonDrawn from './ButtonDrawn.svelte';
  import { ButtonSewn } from './button_sewn.svelte';
  import ForgivenMap from './ForgivenMap.svelte';

  let { closure }: { closure: Closure } = $props();

  // Every answer is another object. What is drawn, and how it was laid, stay with the buttonholes.
  let id = $derived(closure.id);
  let sewn = $state.raw(new ButtonSewn(0));
  $effect(() => {
    const opened = new ButtonSewn(id);
    sewn = opened;
    return () => opened.pause();
  });
  $effect(() => {
    void closure;
    void sewn.look();
  });

  let data = $derived(sewn.data);
  /** Every penetration with its number, part by part. */
  let lines = $derived.by(() => {
    let number = 0;
    return (data?.parts ?? []).map((part) => ({
      name: part.name,
      points: Array.from({ length: part.points.length / 2 }, (_, index) => ({
        x: part.points[index * 2] ?? 0,
        y: part.points[index * 2 + 1] ?? 0,
        number: number++,
      })),
    }));
  });
  function lay(off: number, across: number): void {
    sewn.off = off;
    sewn.across = across;
    void sewn.look();
  }
</script>

<section aria-label="See the button sewn" class="mt-7">
  <h2 class="text-lg font-semibold">See it sewn on</h2>
  {#if sewn.failed}<p role="alert" class="text-error">{sewn.failed}</p>{/if}
  {#if data}
    <div class="mt-2 grid grid-cols-[minmax(0,1fr)] gap-6 md:grid-cols-2">
      <div>
        <ButtonDrawn {data} {lines} shown={sewn.shown} />
        <p
          class={['mt-1 text-lg', data.strikes.length && 'font-semibold text-warning']}
          role="status"
          data-strikes
        >
          {data.strikes.length
            ? `The needle strikes: ${data.strikes.length} of ${data.stitches} penetrations.`
            : `It clears: ${data.room.toFixed(2)} mm at the nearest.`}
        </p>
      </div>
      <div class="space-y-3">
        <p class="flex flex-wrap items-center gap-3">
          <button class="btn btn-sm" onclick={() => sewn.toggle()}>
            {#if sewn.playing}<Pause size={16} /> Stop{:else}<Play size={16} /> Sew it{/if}
          </button>
          <span class="text-secondary">{lines.map((line) => line.name).join(', then ')}</span>
        </p>
        <label class="flex flex-col text-sm text-secondary"
          >The button lies off, along the swing: {sewn.off.toFixed(2)} mm
          <input
            type="range"
            class="range w-full range-sm"
            min="-1"
            max="1"
            step="0.05"
            value={sewn.off}
            oninput={(event) => lay(event.currentTarget.valueAsNumber, sewn.across)}
          />
        </label>
        <label class="flex flex-col text-sm text-secondary"
          >and across it: {sewn.across.toFixed(2)} mm
          <input
            type="range"
            class="range w-full range-sm"
            min="-1"
            max="1"
            step="0.05"
            value={sewn.across}
            oninput={(event) => lay(sewn.off, event.currentTarget.valueAsNumber)}
          />
        </label>
        <label class="flex flex-col text-sm text-secondary"
          >At width
          <select
            class="select bg-base-100 text-base-content"
            value={sewn.width || `${data.width.mm}mm`}
            onchange={(event) => {
              sewn.width = event.currentTarget.value;
              void sewn.look();
            }}
          >
            {#each [...new Set(data.map.cells.map((cell) => cell.width.mm))] as mm (mm)}
              <option value="{mm}mm">{mm}</option>
            {/each}
          </select>
        </label>
        <dl class="flex flex-wrap gap-x-8 gap-y-2">
          <Figure label="Thread on top" text={data.top.text} />
          <Figure label="From the bobbin" text={data.bobbin.text} />
          <Figure label="Penetrations" text={String(data.stitches)} />
          <Figure label="Seconds a button" text={String(data.seconds)} />
        </dl>
      </div>
    </div>
    <ForgivenMap map={data.map} needle={Math.round(data.needle * 100)} width={data.width.mm} />
  {/if}
</section>
