<script lang="ts">
  // One preference: its question with a drawing, and the answers people were taught, each with what speaks against it.
  import type { Workroom } from '../../api/client';
  import LineDrawing from '../../drawn/LineDrawing.svelte';
  import { habitDrawing } from './drawn';

  type Props = {
    habit: Workroom['habits'][number];
    fault: string;
    set: (path: string, text: string | null) => Promise<void>;
  };
  let { habit, fault, set }: Props = $props();

  let drawing = $derived(habitDrawing(habit.path));
</script>

<fieldset data-habit={habit.path}>
  <legend class="flex items-center gap-4 font-serif text-2xl font-semibold">
    {#if drawing}<LineDrawing {drawing} size="h-20 w-28 shrink-0" />{/if}
    {habit.question}
  </legend>
  {#if habit.options.length > 0}
    <div class="mt-3 grid gap-3">
      {#each habit.options as option (option.key)}
        <label
          class={[
            'flex cursor-pointer gap-3 rounded border-2 px-4 py-3',
            option.key === habit.value ? 'border-primary' : 'border-base-300',
          ]}
        >
          <input
            type="radio"
            class="radio mt-1 radio-sm"
            name={habit.path}
            checked={option.key === habit.value}
            onchange={() => set(habit.path, option.key)}
          />
          <span>
            <span class={['text-lg', option.key === habit.value && 'font-semibold']}>{option.name}</span>
            <span class="block text-[0.95rem]"
              >{option.speaks_for} <span class="text-secondary">But: {option.against}</span></span
            >
          </span>
        </label>
      {/each}
    </div>
  {:else}
    <div class="mt-3 flex flex-wrap items-baseline gap-x-4">
      <input
        class={['input w-36 bg-base-100 px-2 text-lg', fault && 'input-error']}
        aria-label={habit.question}
        aria-invalid={fault ? 'true' : undefined}
        placeholder="by the rules"
        value={habit.value ?? ''}
        onchange={(event) => set(habit.path, event.currentTarget.value)}
      />
      <span class="max-w-prose text-[0.95rem]"
        >{habit.speaks_for} <span class="text-secondary">But: {habit.against}</span></span
      >
    </div>
    {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
  {/if}
</fieldset>
