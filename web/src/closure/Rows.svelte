<script lang="ts">
  // A short list of places on the run: each row typed over where it stands, removed, or added. What is
  // half typed stays in the browser.
  import { X } from '@lucide/svelte';
  import { tick } from 'svelte';
  import type { ListPath } from '../api/client';
  import Entry from '../ui/Entry.svelte';
  import Clash from './Clash.svelte';
  import RowAdd, { type Column } from './RowAdd.svelte';
  import type { Row } from './typed';
  import type { ClosureWork } from './work.svelte';

  let {
    work,
    list,
    title,
    columns,
    add,
  }: {
    work: ClosureWork;
    list: ListPath;
    title: string;
    columns: Column[];
    add: string;
  } = $props();

  const id = $props.id();
  let rows = $derived(work.rows(list));
  let fault = $derived(work.draft.faults[list]);
  let refused = $derived(Object.keys(work.draft.faults).some((field) => field.startsWith(list)));
  let box = $state<HTMLElement>();
  let adding = $state<RowAdd>();

  function change(row: { id: string; row: Row }, name: string, text: string): void {
    work.typeRow(list, row.id, { ...row.row, [name]: text });
  }

  /** The focus goes on to the row that takes its place, else to the new row. */
  async function remove(index: number): Promise<void> {
    const row = rows[index];
    if (row) work.typeRow(list, row.id, null);
    work.saver.soon(0);
    await tick();
    const next = box?.querySelectorAll<HTMLElement>('[data-row] input')[index * columns.length];
    if (next) next.focus();
    else adding?.focus();
  }
</script>

<section aria-labelledby="{id}-title" bind:this={box}>
  <h2 id="{id}-title" class="text-base font-semibold">{title}</h2>
  <ul class="mt-1 space-y-1">
    {#each rows as row, index (row.id)}
      {@const conflict = work.conflicts.find((other) => other.path === `${list}.${row.id}`)}
      <li class="flex flex-wrap items-start gap-2" data-row>
        {#each columns as column (column.key)}
          {@const wrong = work.draft.faults[`${list}.${row.id}.${column.key}`]}
          {#if column.choices}
            <select
              class="select w-36 bg-base-100 pr-7 pl-2"
              aria-label="{column.label}, row {index + 1}"
              value={row.row[column.key] || column.choices[0]?.key}
              onchange={(event) => {
                change(row, column.key, event.currentTarget.value);
                work.saver.soon(0);
              }}
            >
              {#each column.choices as choice (choice.key)}<option value={choice.key}>{choice.name}</option
                >{/each}
            </select>
          {:else}
            <span class={column.text ? 'w-40' : 'w-32'}>
              <Entry
                class={['input w-full bg-base-100 px-2 text-base', wrong && 'input-error']}
                aria-label="{column.label}, row {index + 1}"
                aria-invalid={wrong ? 'true' : undefined}
                aria-describedby={wrong ? `${id}-${row.id}-${column.key}` : undefined}
                value={row.row[column.key] ?? ''}
                type={(text) => change(row, column.key, text)}
                done={() => work.saver.soon(0)}
                forget={() => work.forget(`${list}.${row.id}`)}
              />
              {#if wrong}<span
                  id="{id}-{row.id}-{column.key}"
                  role="alert"
                  class="block text-sm font-semibold text-error">{wrong}</span
                >{/if}
            </span>
          {/if}
        {/each}
        <button
          class="btn btn-square btn-ghost"
          aria-label="Remove row {index + 1}"
          onclick={() => remove(index)}><X size={16} /></button
        >
        {#if conflict}<Clash {work} {conflict} />{/if}
      </li>
    {/each}
  </ul>
  {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
  {#if refused}
    <button class="btn btn-sm" onclick={() => work.forgetRefused(list)}>Give up what was refused</button>
  {/if}
  <RowAdd bind:this={adding} {work} {list} {columns} {add} />
</section>
