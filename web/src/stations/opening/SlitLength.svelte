<script lang="ts">
  import Because from '../../ui/Because.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import type { StationProps } from '../../closure/station';
  import Term from '../../ui/Term.svelte';
  import FootPicture from './FootPicture.svelte';
  import Schools from './Schools.svelte';
  import SlitPicture from './SlitPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let opening = $derived(sheet.opening);

  let step = $state(0);
  let given = $derived(opening.if_it_gives[step]);
</script>

<p class="answer" data-answer>{opening.length.text}</p>
<p class="mt-1 max-w-prose text-xl" data-says>{opening.says}</p>
<div class="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
  <div>
    <p class="text-2xl font-semibold">{opening.overall.text}</p>
    <p class="text-secondary"><Term of="overall" as="overall" />, with both ends</p>
  </div>
  <div>
    <p class={['text-2xl font-semibold', !opening.verdict.usable && 'text-warning']} data-verdict>
      {opening.verdict.words}
    </p>
    <p class="text-secondary">
      {opening.seen_in_twenty === null
        ? `in ${opening.verdict.in_twenty} of 20 such holes; ${opening.verdict.passes_in_twenty} of 20 let it through`
        : `by the rule. By your test holes the next one fits in ${opening.seen_in_twenty} of 20`}
    </p>
  </div>
</div>
{#if opening.setting.differs && !sheet.recipe.ways.instead}
  <p role="status" class="mt-2 border-l-4 border-warning pl-3 text-warning">
    {opening.wanted.text} is wanted; the setting below makes {opening.length.text}, and everything after goes
    by that.
  </p>
{/if}

<div class="mt-3"><Cautions cautions={opening.cautions} /></div>
<div class="mt-3"><SlitPicture {closure} /></div>

{#if !sheet.recipe.ways.instead}
  <h2 class="mt-5 text-lg font-semibold">What the {opening.foot} makes of it</h2>
  <p class="max-w-prose" data-setting>{opening.setting.says}</p>
  <div class="mt-2"><Cautions cautions={opening.setting.cautions} /></div>
  {#if opening.ends.near_name !== 'ring'}<FootPicture {closure} />{/if}
{/if}

<Schools {work} {closure} {sheet} />

<div class="mt-5 flex flex-wrap gap-x-5 gap-y-3">
  <Habits {work} section="opening" elsewhere={['opening.school', 'opening.ease']} listed />
  <Field
    {work}
    path="opening.ease"
    placeholder={work.closure?.house['opening.ease']?.value ?? 'by the cloth'}
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

<div class="mt-5 max-w-xl">
  <label class="flex flex-col text-sm text-secondary"
    >What if the cloth gives more?
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
      This slit at {given.stretch} % stretch: <strong>{given.verdict.words}</strong>, slack {given.verdict
        .slack.text}.
    </p>
  {/if}
</div>

<div class="mt-5"><Because reasons={opening.because} /></div>
<p class="mt-1 text-sm text-secondary">
  <Term of="slack" />
  {opening.verdict.slack.text}. H: {sheet.button.formula}.
</p>
