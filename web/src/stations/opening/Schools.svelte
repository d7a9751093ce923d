<script lang="ts">
  // How long by each school, side by side, and which one is followed.
  import type { StationProps } from '../../closure/station';
  import Term from '../../ui/Term.svelte';

  let { work, closure, sheet }: Pick<StationProps, 'work' | 'closure' | 'sheet'> = $props();

  let opening = $derived(sheet.opening);
  /** A cord never slips out. */
  let holds = $derived(opening.bands.slips_out.mm < 500);
  let longest = $derived(
    Math.max(
      ...opening.answers.map((answer) => answer.length.mm),
      sheet.button.half_perimeter.mm,
      holds ? opening.bands.slips_out.mm : opening.bands.easy.mm,
    ),
  );
  const percent = (mm: number) => `${(mm / (longest * 1.08)) * 100}%`;

  let house = $derived(work.closure?.house['opening.school']);
  let own = $derived(closure.plan['opening.school']);
  function choose(school: string): void {
    work.type('opening.school', school === house?.value ? '' : school);
    work.saver.soon(0);
  }
</script>

<h2 class="mt-5 text-lg font-semibold"><Term of="school" as="Methods" />, side by side</h2>
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
            >{answer.name}{answer.school === house?.value ? ', your usual' : ''}</span
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
          style:width={percent(Math.min(opening.bands.slips_out.mm, longest) - opening.bands.snug.mm)}
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
  The upright line is H, {sheet.button.half_perimeter.text}: what this button needs before any ease. It fits
  {holds
    ? `from ${opening.bands.snug.text} to ${opening.bands.slips_out.text}`
    : `from ${opening.bands.snug.text} on`}: that is the band.
</p>

{#if own}
  <p class="mt-2 text-sm">
    These differ from your usual. <button
      class="cursor-pointer underline decoration-dotted"
      onclick={() => work.typeAll({ 'opening.school': '' })}>Back to your usual: {house?.name}</button
    >
  </p>
{/if}

<details class="mt-3">
  <summary class="cursor-pointer underline decoration-dotted">The same as a table</summary>
  <div class="overflow-x-auto">
    <table class="table mt-1 max-w-3xl table-sm text-base">
      <thead>
        <tr>
          <th>Method</th><th>Length</th><th>Overall</th><th>On the {opening.foot}</th><th>Slack</th><th
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
