<script lang="ts">
  import Cautions from '../../ui/Cautions.svelte';
  import Habits from '../../closure/Habits.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import Dial from '../../drawn/Dial.svelte';
  import Fold from '../../ui/Fold.svelte';
  import Coverage from './Coverage.svelte';
  import HoleHero from './HoleHero.svelte';
  import OtherWays from './OtherWays.svelte';
  import OpenedSetting from './OpenedSetting.svelte';
  import SewnBefore from './SewnBefore.svelte';
  import Simulator from './Simulator.svelte';
  import { Sewn } from './stitches.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let recipe = $derived(sheet.recipe);
  let dials = $derived(recipe.settings.filter((item) => item.dial));
  /** What is fitted, in the order it is taken up; the rest of it is folded away. */
  const FITTED = ['style', 'foot', 'needle', 'stabiliser'];
  let fitted = $derived(recipe.settings.filter((item) => FITTED.includes(item.key)));
  let others = $derived(recipe.settings.filter((item) => !item.dial && !FITTED.includes(item.key)));
  let style = $derived(recipe.settings.find((item) => item.key === 'style'));
  let open = $state('');
  let opened = $derived(recipe.settings.find((item) => item.key === open));

  // Every answer is another object. The hole that is drawn and the dials that were turned stay with the buttonholes.
  let id = $derived(closure.id);
  let sewn = $state.raw(new Sewn(0));
  $effect(() => {
    const begun = new Sewn(id);
    sewn = begun;
    return () => begun.pause();
  });
  // A saved change of the plan, or a fact, is sewn again.
  $effect(() => {
    void closure;
    if (!sheet.recipe.ways.instead) void sewn.look();
  });
</script>

{#snippet fit(item: (typeof recipe.settings)[number])}
  <button
    class={[
      'flex min-h-11 cursor-pointer flex-col items-start justify-center rounded border-2 bg-base-200 px-3 py-1 text-left leading-tight hover:border-primary',
      open === item.key ? 'border-primary' : 'border-transparent',
    ]}
    aria-expanded={open === item.key}
    disabled={!item.field && item.scores.length === 0 && item.because.length === 0}
    onclick={() => (open = open === item.key ? '' : item.key)}
  >
    <span class="text-sm text-secondary">{item.label}{item.yours ? ', yours' : ''}</span>
    <span class="font-semibold" data-setting={item.key}>{item.text}</span><span class="sr-only"
      >: change it</span
    >
  </button>
{/snippet}

{#if sheet.recipe.ways.instead}
  <OtherWays {work} {closure} {sheet} />
{:else}
  <HoleHero {sewn} style={style?.text ?? ''} length={sheet.opening.length.text} />
  <Coverage {recipe} />
  <div class="mt-2 grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] gap-2">
    {#each dials as item, index (item.key)}
      <button
        class={[
          'flex cursor-pointer flex-col items-center rounded border-2 pt-1 pb-1 hover:border-primary',
          open === item.key ? 'border-primary' : 'border-transparent',
        ]}
        aria-expanded={open === item.key}
        onclick={() => (open = open === item.key ? '' : item.key)}
      >
        {#if item.dial}<Dial {...item.dial} />{/if}
        <span
          class="text-2xl leading-tight font-semibold"
          data-setting={item.key}
          data-answer={index === 0 ? '' : undefined}>{item.text}</span
        >
        <span class="text-secondary lowercase"
          >{item.label}{item.yours ? ', yours' : ''}<span class="sr-only">: change it</span></span
        >
      </button>
    {/each}
    <div class="col-span-full grid grid-cols-[repeat(auto-fit,minmax(11rem,1fr))] gap-2">
      {#each fitted as item (item.key)}{@render fit(item)}{/each}
    </div>
  </div>
  {#if opened}<OpenedSetting {work} {closure} item={opened} close={() => (open = '')} />{/if}

  {#if recipe.second_pass}
    <p class="mt-2 max-w-prose font-semibold">
      {sheet.button.opens ? 'Both sides are' : 'The tack is'} sewn twice: {closure.plan[
        'recipe.second_pass'
      ] === 'yes'
        ? 'you chose it.'
        : 'one pass covers too little.'}
    </p>
  {/if}
  {#if sheet.recipe.ways.wrong || sheet.recipe.ways.chosen}<OtherWays {work} {closure} {sheet} />{/if}
  <FrozenNote frozen={sheet.swatch.frozen} />
  <SewnBefore {work} before={recipe.before} />
  <div class="mt-3"><Cautions cautions={recipe.cautions} /></div>

  <div class="folds">
    <Fold name="settings-more" title="More choices">
      <div class="mb-3 grid grid-cols-[repeat(auto-fit,minmax(11rem,1fr))] gap-2">
        {#each others as item (item.key)}{@render fit(item)}{/each}
      </div>
      {#if recipe.cord}
        <p class="max-w-prose">
          Cord of {recipe.cord.strands} strands of this thread, {recipe.cord.thickness.text} thick, {recipe
            .cord.length.text}
          a hole. Close the loop under the end, take the tails to the back, knot, trim.
        </p>
      {/if}
      <p class="max-w-prose">Sew with {recipe.pressure}. Test on the same layers, grain and stabiliser.</p>
      <div class="mt-3 flex flex-wrap gap-x-8 gap-y-3">
        <Habits {work} section="recipe" elsewhere={['recipe.pace', 'recipe.first_hole']} />
        <Pick {work} path="recipe.second_pass" empty="as advised" />
      </div>
    </Fold>
    <Fold name="settings-why" title="Why these">
      <dl class="max-w-3xl divide-y divide-base-300">
        {#each recipe.settings as item (item.key)}
          <div class="grid gap-x-4 py-1.5 sm:grid-cols-[9rem_1fr]">
            <dt class="text-secondary">{item.label}</dt>
            <dd>{item.because.map((reason) => reason.says).join(' ')}</dd>
          </div>
        {/each}
      </dl>
    </Fold>
    <Fold name="settings-sewn" title="See it sewn, stitch by stitch"><Simulator {closure} {sewn} /></Fold>
    {#if !sheet.recipe.ways.wrong && !sheet.recipe.ways.chosen}
      <Fold name="settings-ways" title="Another way to close"><OtherWays {work} {closure} {sheet} /></Fold>
    {/if}
  </div>
{/if}
