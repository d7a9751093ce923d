<script lang="ts">
  // Measuring more than once: one button three times, or every button of a set.
  import { ask, refusal } from '../../api/ask';
  import { client, type Closure, type Readings } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import MeasuringPicture from './MeasuringPicture.svelte';

  let {
    work,
    closure,
    across,
    wide,
    thick,
  }: { work: ClosureWork; closure: Closure; across: string; wide: boolean; thick: boolean } = $props();

  const NAMES: Record<string, string> = {
    diameter: 'Across',
    width: 'Smallest width',
    thickness: 'Thickness',
    outline: 'Corners',
    wrapped: 'Strip round it',
    hole_spacing: 'Hole spacing',
    hole_diameter: 'Hole diameter',
  };
  const nameOf = (what: string) => (what === 'diameter' ? across : (NAMES[what] ?? what));

  let typed = $state(['', '', '']);
  let found = $state<Readings>();
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let asked = 0;

  /** Asks anew while typing; an answer that was overtaken is dropped. */
  async function look(): Promise<void> {
    const turn = ++asked;
    const readings = $state.snapshot(typed);
    if (readings.every((text) => !text.trim())) {
      found = undefined;
      faults = {};
      return;
    }
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/readings', { params, body: { readings } }));
    if (turn !== asked) return;
    found = answer.kind === 'data' ? answer.data : undefined;
    ({ faults, failed } = refusal(answer));
  }

  function use(path: string, text: string): void {
    work.type(path, text);
    work.saver.soon(0);
  }
</script>

<div>
  <div class="mt-2 grid gap-x-6 gap-y-2 xl:grid-cols-[minmax(0,22rem)_1fr]">
    <MeasuringPicture {closure} />
    <ol class="list-decimal space-y-1 pl-6 text-[0.95rem]">
      {#each closure.sheet.button.measuring as step (step.what)}
        <li><strong>{nameOf(step.what)}</strong>, with {step.tool}. {step.how}</li>
      {/each}
    </ol>
  </div>
  <div class="mt-2 flex flex-wrap items-start gap-2">
    {#each typed, index (index)}
      {@const fault = faults[`readings.${index + 1}`]}
      <div class="w-28">
        <input
          class={['input w-full bg-base-100 px-2 text-lg', fault && 'input-error']}
          aria-label="Reading {index + 1}"
          data-measures
          aria-invalid={fault ? 'true' : undefined}
          placeholder="reading {index + 1}"
          bind:value={typed[index]}
          oninput={look}
        />
        {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
      </div>
    {/each}
    {#if typed.length < 12}
      <button class="btn" onclick={() => typed.push('')}>Another</button>
    {/if}
  </div>
  {#if failed}<p role="alert" class="mt-1 text-error">{failed}</p>{/if}
  {#if found}
    <p class="mt-2" data-readings>
      Mean <strong>{found.mean.text}</strong>, spread {found.spread.text}, largest
      <strong>{found.largest.text}</strong>
    </p>
    <Cautions cautions={found.cautions} />
    <div class="mt-2 flex flex-wrap gap-2">
      {#if wide}
        <button class="btn btn-sm" onclick={() => found && use('button.diameter', found.mean.text)}
          >Use the mean as {across.toLowerCase()}</button
        >
        <button class="btn btn-sm" onclick={() => found && use('button.diameter', found.largest.text)}
          >A set: use the largest as {across.toLowerCase()}</button
        >
      {/if}
      {#if thick}
        <button class="btn btn-sm" onclick={() => found && use('button.thickness', found.mean.text)}
          >Use the mean as thickness</button
        >
      {/if}
    </div>
  {/if}
</div>
