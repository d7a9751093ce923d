<script module lang="ts">
  /** What is typed of a row. open: may be left empty; text: it is no place. */
  export type Column = {
    key: string;
    label: string;
    text?: boolean;
    open?: boolean;
    choices?: { key: string; name: string }[];
  };
</script>

<script lang="ts">
  // A row that is added: half typed it stays in the browser.
  import { Plus } from '@lucide/svelte';
  import { keep, recall } from '../api/browser_store';
  import type { ListPath } from '../api/client';
  import type { Row } from './typed';
  import type { ClosureWork } from './work.svelte';

  let { work, list, columns, add }: { work: ClosureWork; list: ListPath; columns: Column[]; add: string } =
    $props();

  const id = $props.id();
  let key = $derived(`half:${work.slug}:${work.id}:${list}`);
  // svelte-ignore state_referenced_locally
  let draft = $state<Row>(recall<Row>(key) ?? {});
  let wanting = $derived(
    columns.find((column) => !column.text && !column.open && !column.choices && !draft[column.key]?.trim()),
  );
  let asked = $state(false);
  let first: HTMLInputElement | undefined;

  export const focus = (): void => first?.focus();

  function half(name: string, text: string): void {
    draft[name] = text;
    keep(key, Object.values(draft).some((part) => part.trim()) ? $state.snapshot(draft) : undefined);
  }

  function append(event: SubmitEvent): void {
    event.preventDefault();
    asked = Boolean(wanting);
    if (wanting) {
      document.getElementById(`${id}-${wanting.key}`)?.focus();
      return;
    }
    work.typeRow(list, undefined, $state.snapshot(draft));
    work.saver.soon(0);
    draft = {};
    keep(key, undefined);
    first?.focus();
  }
</script>

<form class="mt-1 flex flex-wrap items-start gap-2" onsubmit={append}>
  {#each columns.filter((column) => !column.choices) as column, index (column.key)}
    <span class={column.text ? 'w-40' : 'w-32'}>
      <input
        {@attach (field) => {
          if (index === 0) first = field;
        }}
        id="{id}-{column.key}"
        class="input w-full bg-base-100 px-2 text-base"
        aria-label="{column.label}, new"
        placeholder={column.label}
        value={draft[column.key] ?? ''}
        oninput={(event) => half(column.key, event.currentTarget.value)}
      />
      {#if asked && wanting?.key === column.key}
        <span role="alert" class="block text-sm font-semibold text-error"
          >Say where, such as 212 or 8 1/2 in.</span
        >
      {/if}
    </span>
  {/each}
  <button class="btn"><Plus size={16} aria-hidden="true" />{add}</button>
</form>
