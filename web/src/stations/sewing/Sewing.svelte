<script lang="ts">
  import type { Step } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { StationProps } from '../../closure/station';
  import Through from '../../closure/Through.svelte';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import { announce } from '../../ui/announce.svelte';
  import { display } from '../../ui/display.svelte';
  import Fold from '../../ui/Fold.svelte';
  import AtTheMachine from './AtTheMachine.svelte';
  import JobLine from './JobLine.svelte';
  import Opened from './Opened.svelte';
  import { grouped, progress } from './progress';
  import StepRow from './StepRow.svelte';
  import WorkCards from './WorkCards.svelte';

  let { work, closure, sheet, go }: StationProps = $props();

  let state = $derived(sheet.sewing && progress(sheet.sewing, work.facts));
  let now = $derived(state?.now);

  function tick(step: Step, done: boolean): void {
    if (done) work.enter({ ...step.enter, machine: closure.machine.id }, step.does);
    else if (step.entry) work.withdraw(step.entry);
  }

  /** A hole that was sewn stays as it was sewn; the step is entered anew, with what the plan says now. */
  function keep(step: Step): void {
    work.enter({ ...step.enter, machine: closure.machine.id }, step.does);
  }

  function measure(step: Step, measured: string): void {
    const at = step.enter.at ?? '';
    const sewn = { ...sheet.swatch.with, 'hole.at': { mm: at } };
    work.enter(
      { kind: 'swatch', with: sewn, measured, symptoms: [], machine: closure.machine.id },
      'a measured hole',
    );
  }

  function through(step: Step, passes: NonNullable<Step['through']>): void {
    const at = String(
      step.enter.with?.['hole.at'] instanceof Object ? (step.enter.with['hole.at'] as { mm: string }).mm : '',
    );
    if (!at) return;
    const sewn = { ...sheet.swatch.with, 'hole.at': { mm: at } };
    work.enter(
      { kind: 'swatch', with: sewn, passes, symptoms: [], machine: closure.machine.id },
      'how it went through',
    );
  }

  /** The hole that was opened last, until somebody said how the button goes through it. */
  let opened = $derived(state?.newest?.opens && !state.newest.through ? state.newest : undefined);
  let outdated = $derived(state?.steps.filter((step) => step.done && step.outdated.length > 0) ?? []);
  let holes = $derived(outdated.filter((step) => step.enter.kind === 'hole_sewn'));

  let announced = '';
  $effect(() => {
    if (now && announced && now.key !== announced) announce(`Now: ${now.does}`);
    announced = now?.key ?? '';
  });
</script>

<FrozenNote frozen={sheet.swatch.frozen} />
{#if state}
  <AtTheMachine closure={closure.id} machine={closure.machine} />
  {#if now}
    <WorkCards {closure} {state} {now} {tick} />
    <JobLine steps={state.steps} {now} />
    {#if opened}
      {@const step = opened}
      {#key step.key}
        <div class="mt-4 max-w-3xl border-l-4 border-primary pl-4">
          <Through
            noun={sheet.button.noun}
            hole={step.part.split(': ').at(-1) ?? step.part}
            say={(verdict) => through(step, verdict)}
          />
        </div>
      {/key}
    {/if}
  {:else}
    <p class="font-serif text-3xl font-semibold" data-answer>All done. Your machine is back to normal.</p>
  {/if}
  {#if state.skipped.length > 0}
    <p role="status" class="mt-3 max-w-prose border-l-4 border-warning pl-3 text-warning">
      Not done yet:
      {#each state.skipped as step, index (step.key)}
        {index ? ' · ' : ''}<a class="underline" href="#step-{step.key}">{step.does}</a>
      {/each}
    </p>
  {/if}
  {#if outdated.length > 0}
    <div
      role="status"
      class="mt-3 max-w-prose border-l-4 border-warning pl-3 text-warning"
      data-outdated-steps
    >
      <p class="font-semibold">You changed the plan after these were done:</p>
      <ul class="text-sm">
        {#each outdated.slice(0, 5) as step (step.key)}
          <li><a class="underline" href="#step-{step.key}">{step.part}: {step.outdated[0]}</a></li>
        {/each}
        {#if outdated.length > 5}<li>and {outdated.length - 5} more</li>{/if}
      </ul>
      {#if holes.length > 0}
        <p class="text-sm">
          Sewn already: {holes.map((step) => step.part.replace(/ of .*/, '').toLowerCase()).join(', ')}. They
          stay where they are. The others are spaced around them. To move one, unpick it and sew it again.
        </p>
      {/if}
    </div>
  {/if}
  <div class="folds">
    <Fold name="sew-steps" title="Show every step">
      {#each grouped(state.steps) as group (group.steps[0]?.key)}
        <h2 class="mt-5 text-lg font-semibold">{group.part}</h2>
        <ol class="mt-1 max-w-3xl">
          {#each group.steps as step (step.key)}
            <StepRow
              {step}
              current={step.key === now?.key}
              {tick}
              {keep}
              measure={(measured) => measure(step, measured)}
              through={(verdict) => through(step, verdict)}
              noun={sheet.button.noun}
            />
          {/each}
        </ol>
      {/each}
    </Fold>
    {#if sheet.sewing && sheet.button.opens && !sheet.recipe.ways.instead}<Opened
        {work}
        cutting={sheet.sewing.cutting}
      />{/if}

    {#if display.rehearse && sheet.button.opens}<a
        class="min-h-11 py-2.5 text-secondary underline"
        href={workroom.at(`/closures/${closure.id}/rehearse`)}>Practise on a practice machine</a
      >{/if}
    <a class="min-h-11 py-2.5 text-secondary underline" href={workroom.at(`/closures/${closure.id}/log`)}
      >History of what you sewed</a
    >
  </div>
{:else}
  <p class="font-serif text-3xl font-semibold" data-answer>The steps are not ready.</p>
  <p class="mt-1">
    The {sheet.button.sewn}s do not fit the edge yet.
    <button class="cursor-pointer link" onclick={() => go('placket')}>Put that right first.</button>
  </p>
{/if}
