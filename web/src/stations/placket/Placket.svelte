<script lang="ts">
  import { workroom } from '../../api/workroom.svelte';
  import Because from '../../ui/Because.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import Fold from '../../ui/Fold.svelte';
  import EdgePicture from './EdgePicture.svelte';
  import Marks from './Marks.svelte';
  import Otherwise from './Otherwise.svelte';
  import PlacesToMind from './PlacesToMind.svelte';
  import { capital } from '../../ui/capital';

  let { work, closure, sheet, picked, pick }: StationProps = $props();

  let plan = $derived(closure.plan);

  /** What lay along another edge goes with it. */
  function takeUsual(): void {
    for (const list of ['placket.pins', 'placket.keep_outs'] as const)
      for (const { id } of work.rows(list)) work.typeRow(list, id, null);
    work.typeAll(closure.usual);
  }
  let layout = $derived(sheet.placket);
  let sewn = $derived(capital(sheet.button.sewn));
  let fastens = $derived(sheet.stages.some((stage) => stage.word === 'attach'));
  let upright = $derived(plan['placket.orientation'] === 'vertical');
  let gaps = $derived(
    !layout || !layout.smallest_gap || !layout.largest_gap
      ? ''
      : layout.smallest_gap.mm === layout.largest_gap.mm
        ? `${layout.smallest_gap.text} apart`
        : `${layout.smallest_gap.text} to ${layout.largest_gap.text} apart`,
  );
</script>

{#if layout}
  <EdgePicture {closure} {picked} {pick} />
  <div class="mt-3 flex flex-wrap items-end gap-x-8 gap-y-1">
    <p class="answer" data-answer>
      {layout.holes.length}
      {sheet.button.sewn}{layout.holes.length === 1 ? '' : 's'}
    </p>
    {#if gaps}<p class="text-2xl font-semibold">{gaps}</p>{/if}
  </div>
  <div class="mt-2"><Cautions cautions={layout.cautions} /></div>
{:else}
  <p class="answer" data-answer>They do not fit</p>
  <ul class="mt-3 max-w-prose space-y-1">
    {#each sheet.faults as fault, index (index)}
      <li class="border-l-4 border-warning pl-3 font-semibold text-warning">{fault.allowed}</li>
    {/each}
  </ul>
{/if}

<div class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3">
  <Field {work} path="placket.run_length" label="Length of the edge" />
  <Field {work} path="placket.count" label="How many" placeholder={String(layout?.holes.length ?? '')} />
  <Field
    {work}
    path="placket.first"
    label="First {sewn.toLowerCase()} at"
    placeholder={layout?.holes[0]?.at.text ?? ''}
  />
  <Field
    {work}
    path="placket.last"
    label="Last {sewn.toLowerCase()} at"
    placeholder={layout?.holes.at(-1)?.at.text ?? ''}
  />
  <Pick {work} path="placket.orientation" label="{sewn}s are" listed />
  {#if layout}<a
      class="btn self-center"
      href={workroom.file(`/closures/${closure.id}/strip.pdf`)}
      target="_blank"
      rel="noopener">Print the marking strip</a
    >{/if}
</div>

<div class="folds">
  <Fold name="placement-more" title="More choices">
    <div class="flex flex-wrap items-start gap-x-4 gap-y-3">
      <Pick {work} path="placket.use" listed />
      <div>
        <Pick
          {work}
          path="placket.place"
          choices={(workroom.catalogue?.places ?? []).filter(
            (item) => item.tacked !== sheet.button.opens || item.key === closure.plan['placket.place'],
          )}
          listed
        />
        {#if Object.keys(closure.usual).length > 0}
          <button class="btn mt-1 btn-ghost btn-sm" onclick={takeUsual}>Take what is usual there</button>
        {/if}
      </div>
      <Pick {work} path="placket.overlap" listed />
      <Field {work} path="placket.extension" hint="centre line to edge" />
      {#if plan['placket.count']}<Field {work} path="placket.count_most" hint="the best of the range" />{/if}
      <Field {work} path="placket.wished_gap" hint="empty: usual" />
      <Field {work} path="placket.least_gap" hint="empty: as close as they fit" />
      <Field {work} path="placket.most_gap" />
      {#if upright}
        <Pick {work} path="placket.first_lies" label="The first {sewn.toLowerCase()} lies" listed />
        {#if fastens && (plan['placket.use'] === 'shirt' || plan['placket.stand'])}
          <Field {work} path="placket.stand" label="Height of the collar stand" hint="empty: no stand here" />
          {#if plan['placket.stand']}<Field
              {work}
              path="placket.drop"
              label="From its button to the next"
              placeholder="65"
            />{/if}
        {/if}
      {/if}
      <Pick {work} path="placket.pattern" listed />
      {#if plan['placket.pattern'] === 'clusters'}
        <Field {work} path="placket.together" />
        <Field {work} path="placket.inner_gap" label="Gap within it" hint="empty: as close as they fit" />
      {/if}
      <Pick {work} path="placket.rows" listed />
      {#if plan['placket.rows'] === 'double'}
        <Field {work} path="placket.offset" label="Each from the centre" hint="centre line to row" />
      {/if}
      <Habits {work} section="placket" elsewhere={['placket.seat']} listed />
      {#if upright && fastens}<Pick {work} path="placket.seat" listed />{/if}
    </div>
  </Fold>
  <Fold name="placement-mind" title="Places to keep clear, places that need a {sheet.button.noun}">
    <PlacesToMind {work} {sewn} />
  </Fold>
  {#if layout}
    <Fold name="placement-marks" title="Every mark">
      <Marks {layout} {sheet} {upright} {fastens} {picked} {pick} />
      <p class="mt-1 max-w-prose text-sm text-secondary">
        {#if layout.mean_gap && layout.evenness.mm <= layout.unseen.mm}As a check, an expanding gauge opens to {layout
            .mean_gap.text}. Nobody sees a {sewn.toLowerCase()} within {layout.unseen.text} of it.{/if}
        Try the garment on before you mark. Mark with {layout.marking}.
      </p>
    </Fold>
    <Fold name="placement-other" title="Other spacings">
      <Otherwise {work} {closure} sewn={layout.holes.filter((hole) => hole.sewn).length} />
    </Fold>
    <Fold name="placement-why" title="Why there">
      <Because reasons={layout.because} />
      {#if layout.binding.length > 0}
        <p class="mt-2 max-w-prose text-[0.95rem]">What holds them there: {layout.binding.join('; ')}.</p>
      {/if}
      <dl class="mt-2 grid max-w-prose grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt class="text-secondary">The gaps differ by</dt>
        <dd class="font-semibold">{layout.evenness.text}</dd>
        <dt class="text-secondary">Extension needed</dt>
        <dd class="font-semibold">
          {layout.edge.extension_needed.text}, yours is {plan['placket.extension'].text}
        </dd>
        <dt class="text-secondary">Outer end to edge</dt>
        <dd class="font-semibold">{layout.edge.to_edge.text}, needed {layout.edge.to_edge_needed.text}</dd>
      </dl>
    </Fold>
  {/if}
</div>
