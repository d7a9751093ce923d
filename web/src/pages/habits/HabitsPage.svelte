<script lang="ts">
  // What somebody does where people are taught differently, one question at a time, with what speaks for and against.
  import { tick } from 'svelte';
  import { refusal } from '../../api/ask';
  import type { Workroom } from '../../api/client';
  import { workroom, type WorkroomChange } from '../../api/workroom.svelte';
  import { everything } from '../../ui/everything.svelte';
  import ShowEverything from '../../ui/ShowEverything.svelte';
  import Page from '../Page.svelte';
  import HabitQuestion from './HabitQuestion.svelte';
  import SettingChoice from './SettingChoice.svelte';

  let faults = $state<Record<string, string>>({});
  let failed = $state('');

  let all = $derived(everything.on);
  let at = $state(0);
  let body = $state<HTMLElement>();
  let questions = $derived.by(() => {
    const room = workroom.data;
    if (!room) return [];
    const setting = (name: 'csv' | 'caliper'): string =>
      workroom.field(`workroom.${name}`)?.choices.find((choice) => choice.key === room[name])?.name ?? '';
    return [
      ...room.habits.map((habit) => ({
        key: habit.path,
        name: habit.question,
        answer:
          habit.options.find((option) => option.key === habit.value)?.name ?? habit.value ?? 'by the rules',
      })),
      { key: 'csv', name: 'How does your spreadsheet take numbers?', answer: setting('csv') },
      ...(room.sample
        ? []
        : [{ key: 'caliper', name: 'What do you measure with?', answer: setting('caliper') }]),
      {
        key: 'drawer',
        name: 'Which stabilisers do you have?',
        answer: `${room.stabilisers.filter((item) => item.owned).length} of ${room.stabilisers.length}`,
      },
    ];
  });
  let shown = $derived(questions[at]?.key);

  async function open(index: number): Promise<void> {
    at = index;
    await tick();
    body?.focus({ preventScroll: true });
  }

  type Stabiliser = Workroom['stabilisers'][number]['key'];

  const set = (path: string, text: string | null) => change({ habits: { [path]: text } });

  /** All that are owned, with one more or one fewer. */
  function own(key: Stabiliser, owned: boolean): Promise<void> {
    const now = (workroom.data?.stabilisers ?? []).filter((item) => item.owned).map((item) => item.key);
    return change({ stabilisers: owned ? [...now, key] : now.filter((other) => other !== key) });
  }

  async function change(body: WorkroomChange): Promise<void> {
    ({ faults, failed } = refusal(await workroom.change(body)));
  }
</script>

<Page
  title="Preferences"
  wide
  failed={workroom.failed ? 'The server does not answer. Trying again…' : failed}
>
  <h1 class="text-4xl font-semibold">Preferences</h1>
  <p class="mt-1 max-w-prose text-secondary">
    Sewists learn this in different ways. Choose yours once. You can still change it for each row of
    buttonholes.
  </p>
  {#if workroom.data}
    <div
      class={['mt-6 gap-x-12', !all && 'grid grid-cols-[minmax(0,1fr)] md:grid-cols-[20rem_minmax(0,1fr)]']}
    >
      {#if !all}
        <nav aria-label="Questions" class="max-md:order-2 max-md:mt-8">
          <ol>
            {#each questions as question, index (question.key)}
              <li>
                <button
                  class={[
                    'min-h-11 w-full cursor-pointer border-l-4 py-1.5 pl-3 text-left leading-tight',
                    index === at ? 'border-primary font-semibold' : 'border-base-300',
                  ]}
                  aria-current={index === at ? 'step' : undefined}
                  onclick={() => void open(index)}
                  >{question.name}
                  <span class="block text-sm font-normal text-secondary">{question.answer}</span></button
                >
              </li>
            {/each}
          </ol>
        </nav>
      {/if}
      <div bind:this={body} tabindex="-1" class="min-w-0 self-start outline-none md:sticky md:top-4">
        <fieldset class="contents" disabled={!workroom.may('plan')}>
          {#each workroom.data.habits as habit (habit.path)}
            {#if all || shown === habit.path}
              <div class={all ? 'mt-8' : ''}>
                <HabitQuestion {habit} fault={faults[habit.path] ?? ''} {set} />
              </div>
            {/if}
          {/each}
          {#if all || shown === 'csv'}
            <SettingChoice name="csv" question="How does your spreadsheet take numbers?" {change} />
          {/if}
          {#if !workroom.data.sample && (all || shown === 'caliper')}
            <SettingChoice name="caliper" question="What do you measure with?" {change} />
          {/if}
          {#if all || shown === 'drawer'}
            <fieldset class={all ? 'mt-8' : ''} data-drawer>
              <legend class="font-serif text-2xl font-semibold">Which stabilisers do you have?</legend>
              <p class="text-secondary">
                You are offered the best of these, and told when another would do better.
              </p>
              {#each workroom.data.stabilisers as item (item.key)}
                <label class="mt-1 flex min-h-11 w-fit cursor-pointer items-center gap-3">
                  <input
                    type="checkbox"
                    class="checkbox checkbox-sm"
                    checked={item.owned}
                    disabled={item.yours.length > 0}
                    onchange={(event) => own(item.key, event.currentTarget.checked)}
                  />
                  <span
                    >{item.name}{#if item.yours.length > 0}<span class="text-secondary"
                        >, on the shelf: {item.yours.join(', ')}</span
                      >{/if}</span
                  >
                </label>
              {/each}
            </fieldset>
          {/if}
        </fieldset>
        {#if !all}
          <p class="mt-6 flex flex-wrap gap-3">
            <button class="btn" disabled={at === 0} onclick={() => void open(at - 1)}>Back</button>
            <button
              class="btn btn-primary"
              disabled={at === questions.length - 1}
              onclick={() => void open(at + 1)}>Next question</button
            >
          </p>
        {/if}
      </div>
    </div>
    <div class="mt-6"><ShowEverything /></div>
  {/if}
</Page>
