<script lang="ts">
  import { workroom } from '../../api/workroom.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import Term from '../../ui/Term.svelte';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import Coverage from './Coverage.svelte';
  import OtherWays from './OtherWays.svelte';
  import Scores from './Scores.svelte';
  import SewnBefore from './SewnBefore.svelte';
  import Simulator from './Simulator.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let recipe = $derived(sheet.recipe);
  let setting = $derived(Object.fromEntries(recipe.settings.map((item) => [item.key, item])));
  let machine = $derived(workroom.data?.machines.find((item) => item.id === closure.plan['machine.id']));
  let feet = $derived(
    (machine?.feet ?? []).map((foot) => ({ ...foot, note: foot.note ? `you call it ${foot.note}` : '' })),
  );
  let open = $state('');

  function clear(path: string): void {
    work.type(path, '');
    work.saver.soon(0);
    open = '';
  }
</script>

{#if sheet.recipe.ways.instead}
  <OtherWays {work} {closure} {sheet} />
{:else}
  <div class="flex flex-wrap items-end gap-x-8 gap-y-2">
    {#if setting['stitch_width']}
      <div>
        <p class="answer" data-answer>{setting['stitch_width'].text}</p>
        <p class="text-secondary">{setting['stitch_width'].label.toLowerCase()}</p>
      </div>
    {/if}
    <div>
      <!-- Where the needle does not swing, its length is the answer. -->
      <p
        class={setting['stitch_width'] ? 'text-2xl font-semibold' : 'answer'}
        data-answer={setting['stitch_width'] ? undefined : ''}
      >
        {setting['stitch_length']?.text}
      </p>
      <p class="text-secondary"><Term of="stitch_length" /></p>
    </div>
    <div>
      <p class="text-2xl font-semibold">{setting['tension']?.text}</p>
      <p class="text-secondary"><Term of="tension" /></p>
    </div>
    <p class="max-w-xs pb-1">{setting['style']?.text}</p>
  </div>

  {#if recipe.second_pass}
    <p class="mt-2 max-w-prose font-semibold">
      {sheet.button.opens ? 'Both beads are' : 'The tack is'} sewn twice: {closure.plan[
        'recipe.second_pass'
      ] === 'yes'
        ? 'you chose it.'
        : 'one pass covers too little.'}
    </p>
  {/if}
  <Coverage {recipe} />

  {#if sheet.recipe.ways.wrong || sheet.recipe.ways.chosen}<OtherWays {work} {closure} {sheet} />{/if}
  <FrozenNote frozen={sheet.swatch.frozen} />
  <SewnBefore {work} before={recipe.before} />
  <div class="mt-3"><Cautions cautions={recipe.cautions} /></div>

  <h2 class="mt-6 text-lg font-semibold">What to set and fit, and why</h2>
  <dl class="mt-1 max-w-3xl divide-y divide-base-300">
    {#each recipe.settings as item (item.key)}
      <div class="grid gap-x-4 py-2 sm:grid-cols-[9rem_1fr_auto]">
        <dt class="text-secondary">{item.label}</dt>
        <dd>
          <span class="text-lg font-semibold" data-setting={item.key}>{item.text}</span>
          {#if item.yours}<span class="text-sm text-secondary">yours</span>{/if}
          <span class="block text-[0.95rem]">{item.because.map((reason) => reason.says).join(' ')}</span>
          {#if item.scores.length > 0}<Scores scores={item.scores} label={item.label.toLowerCase()} />{/if}
          {#if item.field && open === item.key}
            <div class="mt-2">
              {#if workroom.field(item.field)?.choices.length}
                <Pick
                  {work}
                  path={item.field}
                  label="Your own"
                  listed
                  empty="as the rules say"
                  choices={item.field === 'recipe.foot' ? feet : undefined}
                />
              {:else}
                <Field
                  {work}
                  path={item.field}
                  label="Your own"
                  placeholder={item.text}
                  wide={item.key === 'stabiliser'}
                />
              {/if}
            </div>
          {/if}
        </dd>
        <dd class="self-start">
          {#if item.field && item.yours}
            <button
              class="btn btn-ghost btn-xs"
              aria-label="As the rules say: {item.label.toLowerCase()}"
              onclick={() => clear(item.field ?? '')}>As the rules say</button
            >
          {/if}
          {#if item.field}
            <button
              class="btn btn-ghost btn-xs"
              aria-expanded={open === item.key}
              aria-label="Change {item.label.toLowerCase()}"
              onclick={() => (open = open === item.key ? '' : item.key)}>Change</button
            >
          {/if}
        </dd>
      </div>
    {/each}
  </dl>
  {#if recipe.cord}
    <p class="mt-3 max-w-prose">
      Cord of {recipe.cord.strands} strands of this thread, {recipe.cord.thickness.text} thick, {recipe.cord
        .length.text}
      a hole. Close the loop under the tack, take the tails to the back, knot, trim.
    </p>
  {/if}
  <p class="mt-2 max-w-prose">Sew with {recipe.pressure}; test on the same layers, grain and stabiliser.</p>
  <div class="mt-4 flex flex-wrap gap-x-8 gap-y-3">
    <Habits {work} section="recipe" elsewhere={['recipe.pace', 'recipe.first_hole']} />
    <Pick {work} path="recipe.second_pass" empty="as the rules say" />
  </div>
  {#if !sheet.recipe.ways.wrong && !sheet.recipe.ways.chosen}<OtherWays {work} {closure} {sheet} />{/if}
  <Simulator {closure} />
{/if}
