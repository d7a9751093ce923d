<script lang="ts">
  // One step in the list: ticked, withdrawn, and told when the plan says otherwise by now.
  import type { Step } from '../../api/client';
  import Through from '../../closure/Through.svelte';
  import MeasuredHole from './MeasuredHole.svelte';

  let {
    step,
    current,
    tick,
    keep,
    measure,
    through,
    noun = '',
  }: {
    step: Step;
    current: boolean;
    tick: (step: Step, done: boolean) => void;
    /** What was done stands: the step is entered again with the figures of now. */
    keep: (step: Step) => void;
    /** A hole of the row that was measured teaches as a test hole does. */
    measure?: (measured: string) => void;
    /** How the button went through a hole that is open. */
    through?: (verdict: NonNullable<Step['through']>) => void;
    noun?: string;
  } = $props();
</script>

<li id="step-{step.key}">
  <label
    class={[
      'flex min-h-11 cursor-pointer items-start gap-3 rounded px-1 py-1.5 hover:bg-base-200',
      current && 'bg-base-200',
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
      {#if step.how && !step.done}<span class="block">{step.how}</span>{/if}
      {#if step.symptom && !step.done}<span class="block text-sm text-secondary">{step.symptom}</span>{/if}
      {#each step.outdated as difference (difference)}
        <span class="block text-sm font-semibold text-warning" data-outdated>{difference}</span>
      {/each}
    </span>
  </label>
  {#if step.done && step.enter.kind === 'hole_sewn' && measure}
    <MeasuredHole {measure} />
  {/if}
  {#if step.done && step.opens && through}
    <div class="pb-2 pl-10">
      <Through {noun} hole={step.part.split(': ').at(-1) ?? step.part} said={step.through} say={through} />
    </div>
  {/if}
  {#if step.done && step.outdated.length > 0}
    <p class="flex flex-wrap gap-2 pb-2 pl-10">
      <button class="btn btn-sm" onclick={() => keep(step)}
        >{step.enter.kind === 'hole_sewn' ? 'Keep it as sewn' : 'It stands as it is'}</button
      >
      <button class="btn btn-sm" onclick={() => tick(step, false)}>Do it again</button>
    </p>
  {/if}
</li>
