<script lang="ts">
  // What the house does where people were taught differently, with what speaks for and against.
  import { refusal } from '../../api/ask';
  import type { Workroom } from '../../api/client';
  import { workroom, type WorkroomChange } from '../../api/workroom.svelte';
  import Page from '../Page.svelte';
  import SettingChoice from './SettingChoice.svelte';

  let faults = $state<Record<string, string>>({});
  let failed = $state('');

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

<Page title="Preferences" failed={workroom.failed ? 'The server does not answer. Trying again…' : failed}>
  <h1 class="text-4xl font-semibold">Preferences</h1>
  <p class="mt-1 max-w-prose text-secondary">
    Sewists learn this in different ways. Choose yours once. You can still change it for each row of
    buttonholes.
  </p>
  {#if workroom.data}
    {#each workroom.data.habits as habit (habit.path)}
      <fieldset class="mt-7" data-habit={habit.path}>
        <legend class="font-serif text-xl font-semibold">{habit.question}</legend>
        {#if habit.options.length > 0}
          {#each habit.options as option (option.key)}
            <label
              class={[
                'mt-1 flex cursor-pointer gap-3 border-l-4 py-1 pl-3',
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
              <span class="grid grow gap-x-5 sm:grid-cols-[13rem_1fr]">
                <span class={option.key === habit.value ? 'font-semibold' : ''}>{option.name}</span>
                <span class="text-[0.95rem]"
                  >{option.speaks_for} <span class="text-secondary">But: {option.against}</span></span
                >
              </span>
            </label>
          {/each}
        {:else}
          <div class="mt-1 flex flex-wrap items-baseline gap-x-4">
            <input
              class={['input w-36 bg-base-100 px-2 text-lg', faults[habit.path] && 'input-error']}
              aria-label={habit.question}
              aria-invalid={faults[habit.path] ? 'true' : undefined}
              placeholder="by the rules"
              value={habit.value ?? ''}
              onchange={(event) => set(habit.path, event.currentTarget.value)}
            />
            <span class="max-w-prose text-[0.95rem]"
              >{habit.speaks_for} <span class="text-secondary">But: {habit.against}</span></span
            >
          </div>
          {#if faults[habit.path]}<p role="alert" class="text-sm font-semibold text-error">
              {faults[habit.path]}
            </p>{/if}
        {/if}
      </fieldset>
    {/each}
    <SettingChoice name="csv" question="How does your spreadsheet take numbers?" {change} />
    {#if !workroom.data.sample}
      <SettingChoice name="caliper" question="What do you measure with?" {change} />
    {/if}
    <fieldset class="mt-7" data-drawer>
      <legend class="font-serif text-xl font-semibold">Which stabilisers lie in the drawer?</legend>
      <p class="text-sm text-secondary">
        The recipe takes the best there is, and says when there is a better one.
      </p>
      {#each workroom.data?.stabilisers ?? [] as item (item.key)}
        <label class="mt-1 flex w-fit cursor-pointer gap-3">
          <input
            type="checkbox"
            class="checkbox mt-0.5 checkbox-sm"
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
</Page>
