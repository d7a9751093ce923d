<script lang="ts">
  import type { Step } from '../../api/client';
  import type { StationProps } from '../stations';

  let { work, sheet, go }: StationProps = $props();

  let sewing = $derived(sheet.sewing);
  let steps = $derived(
    (sewing?.steps ?? []).map((step) => ({ ...step, done: work.stepDone(step.key, step.done) })),
  );
  let furthest = $derived(steps.findLastIndex((step) => step.done));
  let now = $derived(steps[furthest + 1]);
  let done = $derived(steps.filter((step) => step.done).length);
  let skipped = $derived(steps.slice(0, furthest + 1).filter((step) => !step.done));
  let parts = $derived(grouped(steps));

  function grouped(all: Step[]): { part: string; steps: Step[] }[] {
    const groups: { part: string; steps: Step[] }[] = [];
    for (const step of all) {
      if (groups.at(-1)?.part !== step.part) groups.push({ part: step.part, steps: [] });
      groups.at(-1)?.steps.push(step);
    }
    return groups;
  }

  function tick(step: Step, to: boolean): void {
    work.do({ kind: 'step', key: step.key, done: to });
  }
</script>

{#if sewing}
  {#if now}
    <p class="text-secondary">Now: {now.part} · {done} of {steps.length} done</p>
    <p class="mt-1 max-w-3xl font-serif text-3xl leading-tight font-semibold" data-answer>{now.does}</p>
    {#if now.how}<p class="mt-1 max-w-prose text-lg">{now.how}</p>{/if}
    {#if now.symptom}<p class="mt-1 max-w-prose text-secondary">{now.symptom}</p>{/if}
    {#if now.caution}<p class="mt-1 border-l-4 border-warning pl-3 text-warning">{now.caution}</p>{/if}
    <div class="mt-3 flex gap-2">
      <button class="btn btn-lg btn-primary" onclick={() => tick(now, true)}>Done</button>
      {#if furthest >= 0}
        <button class="btn btn-lg" onclick={() => tick(steps[furthest]!, false)}>Back one step</button>
      {/if}
    </div>
  {:else}
    <p class="font-serif text-3xl font-semibold" data-answer>All done, and the machine is as it was.</p>
  {/if}
  {#if skipped.length > 0}
    <p role="status" class="mt-3 max-w-prose border-l-4 border-warning pl-3 text-warning">
      Passed over: {skipped.map((step) => step.does).join(' ')}
    </p>
  {/if}
  {#each parts as group (group.part)}
    <h2 class="mt-5 text-lg font-semibold">{group.part}</h2>
    <ol class="mt-1 max-w-3xl">
      {#each group.steps as step (step.key)}
        <li>
          <label
            class={[
              'flex cursor-pointer items-start gap-3 rounded px-1 py-1.5 hover:bg-base-200',
              step.key === now?.key && 'bg-base-200',
            ]}
          >
            <input
              type="checkbox"
              class="checkbox mt-0.5"
              data-step={step.key}
              checked={step.done}
              onchange={(event) => tick(step, event.currentTarget.checked)}
            />
            <span>
              <span class={step.done ? 'text-secondary line-through' : ''}>{step.does}</span>
              {#if step.symptom && !step.done}<span class="block text-sm text-secondary">{step.symptom}</span
                >{/if}
            </span>
          </label>
        </li>
      {/each}
    </ol>
  {/each}
{:else}
  <p class="font-serif text-3xl font-semibold" data-answer>The steps wait.</p>
  <p class="mt-1">
    The holes do not fit the run yet.
    <button class="cursor-pointer link" onclick={() => go('placket')}>Put that right first.</button>
  </p>
{/if}
