<script lang="ts">
  import Because from '../../ui/Because.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import type { StationProps } from '../../closure/station';
  import Term from '../../ui/Term.svelte';
  import FootPicture from './FootPicture.svelte';
  import SlitPicture from './SlitPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let opening = $derived(sheet.opening);
  let longest = $derived(
    Math.max(
      ...opening.answers.map((answer) => answer.length.mm),
      sheet.button.half_perimeter.mm,
      opening.bands.easy.mm,
    ),
  );
  const percent = (mm: number) => `${(mm / (longest * 1.08)) * 100}%`;

  let step = $state(0);
  let given = $derived(opening.if_it_gives[step]);

  let house = $derived(work.closure?.house['opening.school']);
  let own = $derived(closure.plan['opening.school']);
  function choose(school: string): void {
    work.type('opening.school', school === house?.value ? '' : school);
    work.saver.soon(0);
  }
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
      in {opening.verdict.in_twenty} of 20 such holes; {opening.verdict.passes_in_twenty} of 20 let it through
    </p>
  </div>
</div>
{#if opening.setting.differs}
  <p role="status" class="mt-2 border-l-4 border-warning pl-3 text-warning">
    {opening.wanted.text} is wanted; the setting below makes {opening.length.text}, and everything after goes
    by that.
  </p>
{/if}

<div class="mt-3"><Cautions cautions={opening.cautions} /></div>
<div class="mt-3"><SlitPicture {closure} /></div>

<h2 class="mt-5 text-lg font-semibold">What the {opening.foot} makes of it</h2>
<p class="max-w-prose" data-setting>{opening.setting.says}</p>
<div class="mt-2"><Cautions cautions={opening.setting.cautions} /></div>
{#if opening.ends.near_name !== 'ring'}<FootPicture {closure} />{/if}

<h2 class="mt-5 text-lg font-semibold"><Term of="school" as="Schools" />, side by side</h2>
<ul class="mt-2 space-y-2">
  {#each opening.answers as answer (answer.school)}
    <li class={['border-l-4 py-1 pl-3', answer.chosen ? 'border-primary' : 'border-base-300']}>
      <div class="flex flex-wrap items-baseline gap-x-4">
        <label class="flex cursor-pointer items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="school"
            checked={answer.chosen}
            onchange={() => choose(answer.school)}
          />
          <span class={answer.chosen ? 'font-semibold' : ''}
            >{answer.name}{answer.school === house?.value ? ', the house habit' : ''}</span
          >
        </label>
        <span class="text-xl font-semibold">{answer.length.text}</span>
        <span class="text-secondary">overall {answer.overall.text}</span>
        <span class={!answer.verdict.usable ? 'font-semibold text-warning' : ''}>{answer.verdict.words}</span>
      </div>
      <div class="relative mt-1 h-3 max-w-xl bg-base-200" aria-hidden="true">
        <div
          class="absolute -inset-y-0.5 border-x border-primary/60 bg-primary/15"
          style:left={percent(opening.bands.snug.mm)}
          style:width={percent(opening.bands.easy.mm - opening.bands.snug.mm)}
        ></div>
        <div
          class={[
            'absolute inset-y-0 left-0',
            answer.verdict.key === 'will_not_pass' ? 'bg-warning/50' : 'bg-primary/50',
          ]}
          style:width={percent(answer.length.mm)}
        ></div>
        <div
          class="absolute -inset-y-1 border-l-2 border-base-content"
          style:left={percent(sheet.button.half_perimeter.mm)}
        ></div>
      </div>
      <p class="mt-1 max-w-prose text-sm text-secondary">{answer.assumes} {answer.fails}</p>
    </li>
  {/each}
</ul>
<p class="mt-1 text-sm text-secondary">
  The upright line is H, {sheet.button.half_perimeter.text}: what this button needs before any ease. The band
  is where it sits snug in this cloth, from {opening.bands.snug.text} to {opening.bands.easy.text}.
</p>

{#if own}
  <p class="mt-2 text-sm">
    This closure goes its own way. <button
      class="cursor-pointer underline decoration-dotted"
      onclick={() => work.typeAll({ 'opening.school': '' })}>Back to the house habit: {house?.name}</button
    >
  </p>
{/if}

<details class="mt-3">
  <summary class="cursor-pointer underline decoration-dotted">The same as a table</summary>
  <div class="overflow-x-auto">
    <table class="table mt-1 max-w-3xl table-sm text-base">
      <thead>
        <tr>
          <th>School</th><th>Opening</th><th>Overall</th><th>On the {opening.foot}</th><th>Slack</th><th
            >Verdict</th
          >
        </tr>
      </thead>
      <tbody>
        {#each opening.answers as answer (answer.school)}
          <tr class={answer.chosen ? 'bg-primary/15' : ''}>
            <th>{answer.name}</th>
            <td>{answer.length.text}</td>
            <td>{answer.overall.text}</td>
            <td>{answer.setting}</td>
            <td>{answer.verdict.slack.text}</td>
            <td class={!answer.verdict.usable ? 'font-semibold text-warning' : ''}>{answer.verdict.words}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</details>

<div class="mt-5 flex flex-wrap gap-x-5 gap-y-3">
  <Habits {work} section="opening" elsewhere={['opening.school', 'opening.ease']} listed />
  <Field
    {work}
    path="opening.ease"
    placeholder={work.closure?.house['opening.ease']?.value ?? 'by the cloth'}
    hint="empty: as the house does"
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
