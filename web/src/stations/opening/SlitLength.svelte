<script lang="ts">
  import { workroom } from '../../api/workroom.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import type { StationProps } from '../../closure/station';
  import TwentyButtons from '../../drawn/TwentyButtons.svelte';
  import Fold from '../../ui/Fold.svelte';
  import Why from '../../ui/Why.svelte';
  import Term from '../../ui/Term.svelte';
  import FootPicture from './FootPicture.svelte';
  import MethodTable from './MethodTable.svelte';
  import Schools from './Schools.svelte';
  import SlitPicture from './SlitPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let opening = $derived(sheet.opening);
  let step = $state(0);
  let given = $derived(opening.if_it_gives[step]);
</script>

<div class="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_21rem]">
  <div class="min-w-0">
    <SlitPicture {closure} />
    <div class="mt-3 grid items-center gap-x-8 gap-y-2 sm:grid-cols-[auto_1fr]">
      <p class="answer" data-answer>{opening.length.text}</p>
      <div>
        <div data-verdict>
          {#if opening.chance}
            <p
              class={[
                'text-lg font-semibold',
                !opening.chance.tested && !opening.verdict.usable && 'text-warning',
              ]}
            >
              {opening.chance.words}
            </p>
            <TwentyButtons filled={opening.chance.in_twenty} />
            <p class="text-sm text-secondary">
              {opening.chance.tested
                ? `${opening.chance.in_twenty} in 20, by your test holes; by the rule: ${opening.verdict.words}`
                : `${opening.chance.in_twenty} in 20 such holes; ${opening.verdict.passes_in_twenty} let it through`}
            </p>
          {:else if opening.range}
            <p class="text-lg font-semibold text-warning">
              {opening.range.from.text} to {opening.range.to.text}, until the thickness is measured.
            </p>
            <a class="btn mt-1" href={workroom.at(`/closures/${closure.id}/button`)}>Measure the button</a>
          {/if}
        </div>
      </div>
    </div>
    {#if !sheet.recipe.ways.instead}
      <p class="mt-3 rounded bg-base-200 px-4 py-2.5">
        <strong>{closure.machine.name}:</strong> <span data-setting>{opening.setting.says}</span>
      </p>
    {/if}
    {#if opening.setting.differs && !sheet.recipe.ways.instead}
      <p role="status" class="mt-2 border-l-4 border-warning pl-3 text-warning">
        You need {opening.wanted.text}. This setting makes {opening.length.text}.
      </p>
    {/if}
    <div class="mt-2"><Cautions cautions={opening.cautions} /></div>
    {#if !sheet.recipe.ways.instead}<div class="mt-2">
        <Cautions cautions={opening.setting.cautions} />
      </div>{/if}
  </div>
  <div class="min-w-0">
    <Schools {work} {closure} {sheet} />
    <Fold name="length-methods" title="The methods as a table"><MethodTable {opening} /></Fold>
  </div>
</div>

<div class="folds">
  <Fold name="length-more" title="More choices">
    <div class="flex flex-wrap gap-x-5 gap-y-3">
      <Habits {work} section="opening" elsewhere={['opening.school', 'opening.ease']} listed />
      <Field
        {work}
        path="opening.ease"
        placeholder={work.closure?.house['opening.ease']?.value ?? 'by the fabric'}
        hint="empty: your usual"
      />
      {#if opening.asks === 'allowance'}
        <Field {work} path="opening.allowance" />
      {:else if opening.asks === 'clicks'}
        <Field {work} path="opening.clicks" label="Clicks beyond the button" />
      {:else if opening.asks === 'wrapped'}
        <Field {work} path="opening.wrapped" hint="empty: worked out" />
      {/if}
      <Field {work} path="opening.correction" hint="what test holes taught; 0 until then" />
    </div>
    {#if !sheet.recipe.ways.instead && opening.ends.near_finish !== 'ring'}
      <h2 class="mt-5 text-lg font-semibold">On the {opening.foot}</h2>
      <FootPicture {closure} />
    {/if}
    <div class="mt-5 max-w-xl">
      <label class="flex flex-col text-sm text-secondary"
        >What if the fabric stretches more?
        <input
          type="range"
          class="range range-sm mt-1 w-full"
          min="0"
          max={opening.if_it_gives.length - 1}
          aria-valuetext={given ? `${given.stretch} percent: ${given.verdict.words}` : undefined}
          bind:value={step}
        />
      </label>
      {#if given}
        <p data-if-it-gives>
          At {given.stretch} % stretch: <strong>{given.verdict.words}</strong>, slack {given.verdict.slack
            .text}.
        </p>
      {/if}
    </div>
  </Fold>
  <Fold name="length-why" title="Why so long?">
    <p class="max-w-prose" data-says>{opening.says}</p>
    <p class="mt-1 text-sm text-secondary">
      <Term of="slack" />
      {opening.verdict.slack.text}, <Term of="overall" as="overall" />
      {opening.overall.text}. {sheet.button.formula}.
    </p>
  </Fold>
  <Why name="length-because" title="Every reason" reasons={opening.because} />
</div>
