<script lang="ts">
  import type { Step } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { StationProps } from '../../closure/station';
  import { announce } from '../../ui/announce.svelte';
  import { grouped, progress } from './progress';
  import StepRow from './StepRow.svelte';

  let { work, closure, sheet, go }: StationProps = $props();

  let state = $derived(sheet.sewing && progress(sheet.sewing, work.outbox));
  let now = $derived(state?.now);

  function tick(step: Step, done: boolean): void {
    if (done) work.enter({ ...step.enter, machine: closure.machine.id }, step.does);
    else if (step.entry) work.withdraw(step.entry);
  }

  let announced = '';
  $effect(() => {
    if (now && announced && now.key !== announced) announce(`Now: ${now.does}`);
    announced = now?.key ?? '';
  });
</script>

{#if state}
  {#if now}
    <p class="text-secondary">Now: {now.part} · {state.done} of {state.steps.length} done</p>
    <p class="mt-1 max-w-3xl font-serif text-3xl leading-tight font-semibold" data-answer>{now.does}</p>
    {#if now.how}<p class="mt-1 max-w-prose text-lg">{now.how}</p>{/if}
    {#if now.symptom}<p class="mt-1 max-w-prose text-secondary">{now.symptom}</p>{/if}
    {#if now.caution}<p class="mt-1 border-l-4 border-warning pl-3 text-warning">{now.caution}</p>{/if}
    <div class="mt-3 flex gap-2">
      <button class="btn btn-lg btn-primary" onclick={() => now && tick(now, true)}>Done</button>
      {#if state.newest}
        <button class="btn btn-lg" onclick={() => state?.newest && tick(state.newest, false)}
          >Back one step</button
        >
      {/if}
    </div>
  {:else}
    <p class="font-serif text-3xl font-semibold" data-answer>All done, and the machine is as it was.</p>
  {/if}
  {#if state.skipped.length > 0}
    <p role="status" class="mt-3 max-w-prose border-l-4 border-warning pl-3 text-warning">
      Passed over: {state.skipped.map((step) => step.does).join(' ')}
    </p>
  {/if}
  {#each grouped(state.steps) as group (group.part)}
    <h2 class="mt-5 text-lg font-semibold">{group.part}</h2>
    <ol class="mt-1 max-w-3xl">
      {#each group.steps as step (step.key)}
        <StepRow {step} current={step.key === now?.key} {tick} />
      {/each}
    </ol>
  {/each}
  <p class="mt-4 text-sm">
    <a class="link" href={workroom.at(`/closures/${closure.id}/log`)}>The log</a> of everything done and sewn here.
  </p>
{:else}
  <p class="font-serif text-3xl font-semibold" data-answer>The steps wait.</p>
  <p class="mt-1">
    The holes do not fit the run yet.
    <button class="cursor-pointer link" onclick={() => go('placket')}>Put that right first.</button>
  </p>
{/if}
