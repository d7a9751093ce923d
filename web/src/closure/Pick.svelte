<script lang="ts">
  // One of several, which the table of fields knows: as words side by side when they are few, else as a list.
  import type { Choice } from '../api/client';
  import { workroom } from '../api/workroom.svelte';
  import type { ClosureWork } from './work.svelte';

  let {
    work,
    path,
    label: own,
    choices: offered,
    listed = false,
    empty = '',
    picked,
  }: {
    work: ClosureWork;
    path: string;
    /** Where it is called otherwise than in the table of fields. */
    label?: string;
    /** Instead of what the table of fields offers. */
    choices?: Choice[] | undefined;
    listed?: boolean;
    /** What it is called to leave it open. */
    empty?: string;
    /** Instead of saving the choice alone. */
    picked?: (key: string) => void;
  } = $props();

  const id = $props.id();
  let label = $derived(own ?? workroom.heading(path));
  let choices = $derived(offered ?? workroom.field(path)?.choices ?? []);
  // Left open, the habit of the house holds.
  let house = $derived(work.closure?.house[path]);
  let open = $derived(house ? `your usual: ${house.name ?? ''}` : empty);
  let asHouse = $derived(house ? `your usual: ${house.name ?? ''}` : empty);
  let chosen = $derived(work.text(path));
  let fault = $derived(work.draft.fault(path));
  let note = $derived(choices.find((choice) => choice.key === chosen)?.note ?? '');

  function pick(key: string): void {
    if (picked) return picked(key);
    work.type(path, key);
    work.saver.soon(0);
  }
</script>

{#if listed}
  <div class="flex max-w-full min-w-0 flex-col gap-0.5">
    <label for={id} class="min-h-5 text-sm text-secondary">{label}</label>
    <select
      {id}
      data-path={path}
      class="select w-full max-w-sm bg-base-100 pr-8 pl-2 text-ellipsis"
      value={chosen}
      disabled={!workroom.may('plan')}
      aria-describedby={note ? `${id}-note` : undefined}
      onchange={(event) => pick(event.currentTarget.value)}
    >
      {#if open}<option value="">{open}</option>{/if}
      {#each choices as choice (choice.key)}<option value={choice.key}>{choice.name}</option>{/each}
    </select>
    {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
    {#if note}<p id="{id}-note" class="max-w-xs text-sm text-secondary">{note}</p>{/if}
  </div>
{:else}
  <fieldset data-path={path} disabled={!workroom.may('plan')}>
    <legend class={['text-sm text-secondary', own === undefined && 'min-h-5']}>{label}</legend>
    <div class="mt-0.5 flex flex-wrap gap-x-1 gap-y-1">
      {#each asHouse ? [{ key: '', name: asHouse, note: '' }, ...choices] : choices as choice (choice.key)}
        <label
          class={[
            'cursor-pointer rounded border px-2.5 py-1.5 has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-primary',
            choice.key === chosen
              ? 'border-primary bg-primary text-primary-content'
              : 'border-base-300 hover:border-primary',
          ]}
        >
          <input
            type="radio"
            class="sr-only"
            name="{id}-choice"
            value={choice.key}
            checked={choice.key === chosen}
            onchange={() => pick(choice.key)}
          />
          {choice.name}
        </label>
      {/each}
    </div>
    {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
  </fieldset>
{/if}
