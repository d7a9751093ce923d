<script lang="ts">
  // Takes something off a shelf: its figures are filled in and can be typed over.
  import type { ShelfItem } from '../api/client';
  import type { ClosureState } from '../api/closure.svelte';

  let {
    work,
    room,
    label,
    items,
  }: { work: ClosureState; room: 'button' | 'cloth' | 'thread'; label: string; items: ShelfItem[] } =
    $props();

  const id = $props.id();
  let name = $derived(work.text(`${room}.name`));
  let item = $derived(items.find((other) => other.name === name));

  function take(chosen: string): void {
    const found = items.find((other) => other.name === chosen);
    if (!found) return;
    work.typeAll(
      Object.fromEntries(Object.entries(found.fields).map(([field, text]) => [`${room}.${field}`, text])),
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
    {#if !item}<option value="">{name || (items.length ? 'not from the shelf' : 'the shelf is empty')}</option
      >{/if}
    {#each items as other (other.name)}<option value={other.name}>{other.name}, {other.note}</option>{/each}
  </select>
</div>
