<script lang="ts">
  // Takes something off a shelf: its figures are filled in and can be typed over.
  import type { Path, ShelfItem } from '../api/client';
  import type { ClosureWork } from './work.svelte';

  let {
    work,
    section,
    label,
    items,
  }: { work: ClosureWork; section: 'button' | 'cloth' | 'thread'; label: string; items: ShelfItem[] } =
    $props();

  const id = $props.id();
  let name = $derived(work.text(`${section}.name`));
  // Of the same name and the same figures: something else is not from the shelf.
  let item = $derived(
    items.find(
      (other) =>
        other.name === name &&
        Object.entries(other.fields).every(([field, text]) => lies(`${section}.${field}`, text)),
    ),
  );

  /** Whether a figure of the shelf is what the plan has. */
  function lies(path: string, text: string): boolean {
    const value = work.shown?.plan[path as Path];
    return typeof value === 'object' && value
      ? Math.abs(value.mm - parseFloat(text)) < 0.001
      : (value ?? '') === text;
  }

  function take(chosen: string): void {
    const found = items.find((other) => other.name === chosen);
    if (!found) return;
    work.typeAll(
      Object.fromEntries(Object.entries(found.fields).map(([field, text]) => [`${section}.${field}`, text])),
    );
  }
</script>

<div class="flex flex-col gap-0.5">
  <label for={id} class="text-sm text-secondary">{label}</label>
  <select
    {id}
    class="select w-full max-w-sm bg-base-100 pr-8 pl-2 text-ellipsis"
    value={item ? name : ''}
    onchange={(event) => take(event.currentTarget.value)}
  >
    {#if !item}<option value=""
        >{name
          ? `${name}, not as on the shelf`
          : items.length
            ? 'not from the shelf'
            : 'the shelf is empty'}</option
      >{/if}
    {#each items as other (other.name)}<option value={other.name}>{other.name}, {other.note}</option>{/each}
  </select>
</div>
