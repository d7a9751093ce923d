<script lang="ts">
  // The hole sewn before it is sewn: play it, turn the dials, set it beside another.
  import { Pause, Play, SkipBack, StepBack, StepForward } from '@lucide/svelte';
  import type { Closure, Stitches } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Figure from '../../ui/Figure.svelte';
  import HolePicture from './HolePicture.svelte';
  import type { Sewn } from './stitches.svelte';

  let { closure, sewn }: { closure: Closure; sewn: Sewn } = $props();

  let beside = $state.raw<Stitches>();
  let box = $state({ width: 0 });
  let zoom = $state(1);

  let hole = $derived(sewn.hole);
  let machine = $derived(workroom.data?.machines.find((item) => item.id === closure.plan['machine.id']));
  let widest = $derived(machine?.max_width.mm ?? 7);
  /** One below the other, to one scale. */
  let longest = $derived(Math.max(hole?.overall ?? 1, beside?.overall ?? 1) + 5);
  /** The box has a border and some room within. */
  const ROOM = 20;
  let scale = $derived((Math.max(box.width - ROOM, 200) / longest) * zoom);

  const mm = (value: number) => `${value}mm`;
  const words = (seen: Stitches) => seen.cover.map((bead) => `${bead.name} ${bead.words}`).join(', ');
</script>

{#snippet dial(
  label: string,
  value: number,
  min: number,
  max: number,
  step: number,
  shown: string,
  turn: (to: number) => void,
)}
  <label class="flex flex-col text-sm text-secondary"
    >{label}: {shown}
    <input
      type="range"
      class="range w-full range-sm"
      {min}
      {max}
      {step}
      {value}
      oninput={(event) => turn(event.currentTarget.valueAsNumber)}
    />
  </label>
{/snippet}

<section aria-label="See it sewn">
  {#if sewn.failed}<p role="alert" class="text-error">{sewn.failed}</p>{/if}
  {#each Object.entries(sewn.faults) as [field, fault] (field)}<p
      role="alert"
      class="font-semibold text-error"
    >
      {fault}
    </p>{/each}
  {#if hole}
    <div class="mt-2 grid gap-x-8 gap-y-4">
      <div class="min-w-0" bind:clientWidth={box.width}>
        <!-- A zoomed hole is wider than the page: the box scrolls, by keyboard too. -->
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div
          class="flex max-h-[36rem] flex-col gap-4 overflow-auto border border-base-300 bg-base-200 p-2"
          role="region"
          tabindex="0"
          aria-label="The hole, to scroll when zoomed"
        >
          <HolePicture
            {hole}
            at={sewn.at}
            {scale}
            label="The hole after {Math.floor(sewn.at)} of {sewn.total} stitches: {words(hole)}"
          />
          {#if beside}<HolePicture
              hole={beside}
              at={beside.points.length / 2}
              {scale}
              label="The other one: {words(beside)}"
            />{/if}
        </div>
        <div class="mt-2 flex flex-wrap items-center gap-1">
          <button
            class="btn btn-square btn-sm"
            aria-label="To the start"
            onclick={() => sewn.step(-sewn.total)}><SkipBack size={16} /></button
          >
          <button class="btn btn-square btn-sm" aria-label="One stitch back" onclick={() => sewn.step(-1)}
            ><StepBack size={16} /></button
          >
          <button
            class="btn btn-square btn-primary btn-sm"
            aria-label={sewn.playing ? 'Pause' : 'Play'}
            onclick={() => (sewn.playing ? sewn.pause() : sewn.play())}
            >{#if sewn.playing}<Pause size={16} />{:else}<Play size={16} />{/if}</button
          >
          <button class="btn btn-square btn-sm" aria-label="One stitch on" onclick={() => sewn.step(1)}
            ><StepForward size={16} /></button
          >
          <select
            class="select w-auto bg-base-100 pr-7 pl-2 select-sm"
            aria-label="Part"
            value={sewn.part}
            onchange={(event) => sewn.goTo(event.currentTarget.value)}
          >
            {#each hole.parts as part, index (index)}<option value={part.name}>{part.name}</option>{/each}
          </select>
          <select
            class="select w-auto bg-base-100 pr-7 pl-2 select-sm"
            aria-label="Speed"
            bind:value={sewn.speed}
          >
            <option value={1}>as sewn</option>
            <option value={4}>4 times</option>
            <option value={16}>16 times</option>
          </select>
        </div>
        <input
          type="range"
          class="range mt-2 w-full range-xs"
          aria-label="Stitch"
          min="0"
          max={sewn.total}
          value={Math.floor(sewn.at)}
          oninput={(event) => {
            sewn.pause();
            sewn.at = event.currentTarget.valueAsNumber;
          }}
        />
        <p class="text-sm text-secondary" data-stitch>
          Stitch {Math.floor(sewn.at)} of {sewn.total}, {sewn.part}
        </p>
      </div>
      <div class="grid gap-x-8 gap-y-2 sm:grid-cols-2">
        {@render dial('Width', hole.width.mm, 1, widest, 0.1, hole.width.text, (to) =>
          sewn.turn('stitch_width', mm(to)),
        )}
        {@render dial('Stitch length', hole.stitch_length.mm, 0.15, 3, 0.05, hole.stitch_length.text, (to) =>
          sewn.turn('stitch_length', mm(to)),
        )}
        {@render dial('Top tension', Number(hole.tension), 0, 9, 0.5, hole.tension, (to) =>
          sewn.turn('tension', String(to)),
        )}
        {@render dial('Feed off balance', sewn.dials.balance, -30, 30, 1, `${sewn.dials.balance} %`, (to) =>
          sewn.turn('balance', to),
        )}
        {@render dial('Zoom', zoom, 1, 5, 0.25, `${zoom} times`, (to) => (zoom = to))}
        <div class="flex flex-wrap gap-2">
          <button class="btn btn-sm" onclick={() => sewn.asRecipe()}>As the recipe</button>
          <button class="btn btn-sm" onclick={() => (beside = beside ? undefined : hole)}
            >{beside ? 'Take the other away' : 'Set this one beside'}</button
          >
        </div>
        <p class="text-[0.95rem]" data-cover>
          {#each hole.cover as bead (bead.name)}
            <span class={['mr-3', bead.words !== 'full' && 'font-semibold text-warning']}
              >{bead.name}: {bead.words}, {bead.index.toFixed(2)}</span
            >
          {/each}
        </p>
      </div>
    </div>
    <dl class="mt-3 flex flex-wrap gap-x-8 gap-y-2">
      <Figure label="Stitches" text={String(sewn.total)} />
      <Figure label="Top thread, a hole" text={hole.top.text} />
      <Figure label="Bobbin thread, a hole" text={hole.bobbin.text} />
      <Figure label="Sewing, a hole" text="{Math.round(hole.seconds)} s" />
      <Figure label="Under the foot" text={hole.bulk.text} />
    </dl>
    {#if hole.row}<p class="mt-2 font-semibold" data-bobbin>{hole.row.says}</p>{/if}
    <div class="mt-2"><Cautions cautions={hole.cautions} /></div>
    <p class="mt-2 flex flex-wrap gap-x-4">
      <a class="link" href={workroom.file(`/closures/${closure.id}/stitches.svg`)}>Stitches as SVG</a>
      <a class="link" href={workroom.file(`/closures/${closure.id}/stitches.csv`)}>Stitches as a table</a>
      <a class="link" href={workroom.file(`/closures/${closure.id}/card.pdf`)} target="_blank" rel="noopener"
        >Card for the machine</a
      >
    </p>
  {:else if !sewn.failed}
    <p role="status">Laying down the stitches…</p>
  {/if}
</section>
