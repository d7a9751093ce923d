<script lang="ts">
  import { queries } from '../../api/queries';
  import { ask, faultsOf, words } from '../../api/ask';
  import { client, type PhotoReading } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Caliper from '../../closure/Caliper.svelte';
  import Field from '../../closure/Field.svelte';
  import FromPhoto from '../../closure/FromPhoto.svelte';
  import Pick from '../../closure/Pick.svelte';
  import Shelf from '../../closure/Shelf.svelte';
  import type { StationProps } from '../../closure/station';
  import { announce } from '../../ui/announce.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Fold from '../../ui/Fold.svelte';
  import ButtonPicture from './ButtonPicture.svelte';
  import Measuring from './Measuring.svelte';
  import Shapes from './Shapes.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let fastens = $derived(sheet.stages.some((stage) => stage.word === 'attach'));
  let kept = $state('');
  let name = $derived(work.text('button.name').trim());

  /** A photo is read better by whoever knows what it shows. */
  function known() {
    return {
      shape: work.text('button.shape'),
      thickness: work.text('button.thickness'),
      across: work.text('button.diameter'),
    };
  }

  let measured = $derived([
    'button.diameter',
    ...sheet.button.measured.map((what) => `button.${what}`),
    ...(sheet.button.holes.length ? ['button.hole_spacing', 'button.hole_diameter'] : []),
  ]);

  function take(figures: PhotoReading['figures']): void {
    for (const { path, text } of figures) if (path) work.type(path, text);
    work.saver.soon(0);
  }

  async function keepOnShelf(): Promise<void> {
    if (!name) {
      work.draft.faults['button.name'] = 'Give it a name first: it lies on the shelf under that.';
      document.querySelector<HTMLInputElement>('[data-path="button.name"]')?.focus();
      return;
    }
    await work.saver.save();
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/buttons', {
        params: { path: { slug: workroom.slug } },
        body: { closure_id: closure.id, name },
      }),
    );
    if (answer.kind === 'data') {
      workroom.take(answer.data);
      void queries.invalidateQueries({ queryKey: ['picks', workroom.slug] });
      kept = `“${name}” is on the shelf.`;
      announce(kept);
    } else work.draft.faults['button.name'] = Object.values(faultsOf(answer))[0] ?? words(answer);
  }
</script>

<div class="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_24rem]">
  <div class="min-w-0">
    <Shapes {work} />
    <div class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3">
      {#if !sheet.button.measured.includes('outline')}
        <Field
          {work}
          path="button.diameter"
          measures
          label={sheet.button.across}
          hint={sheet.button.opens ? `= ${sheet.button.lignes} L` : ''}
          large
        />
      {/if}
      {#if sheet.button.measured.includes('width')}
        <Field
          {work}
          path="button.width"
          measures
          label={closure.plan['button.shape'] === 'square' ? 'Shorter side' : 'Smallest width'}
          hint="empty: as wide all round"
          placeholder={sheet.button.smallest.text}
          large
        />
      {/if}
      {#if sheet.button.measured.includes('thickness')}
        <Field
          {work}
          path="button.thickness"
          measures
          placeholder={sheet.button.height.text}
          hint={fastens ? 'without the shank' : 'lying flat'}
          large
        />
      {/if}
      {#if fastens}
        <Pick {work} path="button.attachment" listed />
        {#if sheet.button.holes.length > 0}
          <Field {work} path="button.hole_spacing" measures hint="middle to middle" />
        {:else}
          <Field {work} path="button.shank" measures hint="empty: not measured" />
          <Field {work} path="button.shank_width" measures hint="empty: not measured" />
        {/if}
      {:else if sheet.button.opens}
        <Field
          {work}
          path="button.tip"
          label="Knot or tip"
          hint="half the way round it; empty: nothing thicker"
          measures
        />
      {/if}
    </div>
    {#if sheet.button.measured.includes('outline')}
      <Field
        {work}
        path="button.outline"
        label="Corner points, once round, in {closure.unit}"
        hint="x y pairs with commas between, such as 0 0, 20 0, 20 12, 0 12; empty: square"
        placeholder="0 0, 20 0, 20 12, 0 12"
        wide
      />
    {/if}
    {#if sheet.button.photographed.length}
      <div class="mt-3">
        <FromPhoto
          whats={sheet.button.photographed}
          paths={measured}
          closure={closure.id}
          {known}
          use={take}
        />
      </div>
    {/if}
    <Caliper />
    <div class="mt-2"><Cautions cautions={sheet.button.cautions} /></div>
  </div>
  <div class="min-w-0">
    {#if sheet.button.opens}<ButtonPicture {closure} />{/if}
    <p class="answer mt-2" data-answer>{sheet.button.half_perimeter.text}</p>
    <p class="mt-1 text-secondary">
      {sheet.button.opens ? 'has to pass through the buttonhole' : 'is how long each tack should be'}
    </p>
  </div>
</div>

{#if sheet.button.opens}
  <div class="folds">
    <Fold name="button-measure" title="How to measure it">
      <Measuring
        {work}
        {closure}
        across={sheet.button.across}
        wide={!sheet.button.measured.includes('outline')}
        thick={sheet.button.measured.includes('thickness')}
      />
    </Fold>
    <Fold name="button-more" title="From your shelf · hole diameter · name">
      <div class="flex flex-wrap items-end gap-x-4 gap-y-3">
        <Shelf {work} section="button" label="Take from the shelf" />
        {#if fastens && sheet.button.holes.length > 0}<Field
            {work}
            path="button.hole_diameter"
            measures
          />{/if}
        <Field {work} path="button.name" label="Name on the shelf" wide />
        <button class="btn" onclick={keepOnShelf}>Keep on the shelf</button>
        <span class="text-sm text-secondary">{kept}</span>
      </div>
    </Fold>
    <Fold name="button-formula" title="Why this figure?">
      <p class="max-w-prose">
        It passes {sheet.button.passes}. Half the way round that is what the slit has to open to ({sheet
          .button.formula}).
      </p>
    </Fold>
  </div>
{/if}
