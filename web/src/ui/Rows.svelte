<script lang="ts">
  // A short list of places on the run: each row typed over where it stands, removed, or added.
  import { Plus, X } from '@lucide/svelte';
  import Clash from './Clash.svelte';
  import Entry from './Entry.svelte';
  import type { ClosureState, Row } from '../api/closure.svelte';

  let {
    work,
    name,
    title,
    columns,
    saved,
    add,
  }: {
    work: ClosureState;
    name: 'pins' | 'keep_outs';
    title: string;
    columns: { key: string; label: string; text?: boolean; choices?: { key: string; name: string }[] }[];
    saved: Row[];
    add: string;
  } = $props();

  const id = $props.id();
  let rows = $derived(work.lists[name]?.rows ?? saved);
  let conflict = $derived(work.conflicts.find((other) => other.path === `placket.${name}`));
  let fault = $derived(work.faults[`placket.${name}`]);
  let draft = $state<Row>({});
  let ready = $derived(columns.every((column) => column.text || column.choices || draft[column.key]?.trim()));

  function change(index: number, key: string, text: string): void {
    work.typeList(
      name,
      rows.map((row, other) => (other === index ? { ...row, [key]: text } : row)),
    );
  }

  function remove(index: number): void {
    work.typeList(name, rows.toSpliced(index, 1));
    work.saveSoon(0);
  }

  function append(event: SubmitEvent): void {
    event.preventDefault();
    if (!ready) return;
    work.typeList(name, [...rows, { ...$state.snapshot(draft) }]);
    work.saveSoon(0);
    draft = {};
  }
</script>

<section aria-labelledby="{id}-title">
  <h3 id="{id}-title" class="text-base font-semibold">{title}</h3>
  <ul class="mt-1 space-y-1">
    {#each rows as row, index (index)}
      <li class="flex flex-wrap items-center gap-2">
        {#each columns as column (column.key)}
          {#if column.choices}
            <select
              class="select w-32 bg-base-100 pr-7 pl-2 select-sm"
              aria-label="{column.label}, row {index + 1}"
              value={row[column.key] ?? '0'}
              onchange={(event) => {
                change(index, column.key, event.currentTarget.value);
                work.saveSoon(0);
              }}
            >
              {#each column.choices as choice (choice.key)}<option value={choice.key}>{choice.name}</option
                >{/each}
            </select>
          {:else}
            <Entry
              class={['input input-sm bg-base-100 px-2 text-base', column.text ? 'w-40' : 'w-32']}
              aria-label="{column.label}, row {index + 1}"
              aria-invalid={fault ? 'true' : undefined}
              value={row[column.key] ?? ''}
              type={(text) => change(index, column.key, text)}
              done={() => work.saveSoon(0)}
            />
          {/if}
        {/each}
        <button
          class="btn btn-square btn-ghost btn-sm"
          aria-label="Remove row {index + 1}"
          onclick={() => remove(index)}><X size={16} /></button
        >
      </li>
    {/each}
  </ul>
  {#if fault}
    <p role="alert" class="text-sm font-semibold text-error">{fault}</p>
    <button class="btn btn-xs" onclick={() => work.forgetRefused()}>Back to what is saved</button>
  {/if}
  {#if conflict}<Clash {work} {conflict} />{/if}
  <form class="mt-1 flex flex-wrap items-center gap-2" onsubmit={append}>
    {#each columns.filter((column) => !column.choices) as column (column.key)}
      <input
        class={['input input-sm bg-base-100 px-2 text-base', column.text ? 'w-40' : 'w-32']}
        aria-label="{column.label}, new"
        placeholder={column.label}
        value={draft[column.key] ?? ''}
        oninput={(event) => (draft[column.key] = event.currentTarget.value)}
      />
    {/each}
    <button class="btn btn-sm" disabled={!ready}><Plus size={16} aria-hidden="true" />{add}</button>
  </form>
</section>
