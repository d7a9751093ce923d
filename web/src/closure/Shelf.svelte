<script lang="ts">
  // Takes something off a shelf: its figures are filled in and can be typed over. A shelf that is too
  // long to choose from at a glance is searched.
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { read } from '../api/ask';
  import { client, type Path } from '../api/client';
  import type { ClosureWork } from './work.svelte';

  type Props = { work: ClosureWork; section: 'button' | 'cloth' | 'thread'; label: string };
  let { work, section, label }: Props = $props();

  const id = $props.id();
  let name = $derived(work.text(`${section}.name`));
  let search = $state('');
  const found = createQuery(() => ({
    queryKey: ['picks', work.slug, section, search, name],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/picks/{section}', {
          params: { path: { slug: work.slug, section }, query: { search, name } },
        }),
      ),
    placeholderData: keepPreviousData,
  }));
  let items = $derived(found.data?.items ?? []);
  let total = $derived(found.data?.total ?? 0);
  /** The shelf does not fit the list, or did not before it was searched. */
  let long = $derived(search !== '' || total > items.length);
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

  function otherwise(): string {
    if (items.some((other) => other.name === name)) return `${name}, not as on the shelf`;
    if (name) return `${name}, not from the shelf`;
    if (items.length) return 'not from the shelf';
    return search ? 'nothing on the shelf is called that' : 'the shelf is empty';
  }
</script>

<div class="flex flex-col gap-0.5">
  <label for={id} class="text-sm text-secondary">{label}</label>
  {#if long}
    <input
      class="input w-64 max-w-full bg-base-100"
      type="search"
      aria-label="Search the shelf: {label}"
      placeholder="a word of {total}"
      bind:value={search}
    />
  {/if}
  <select
    {id}
    class="select w-64 max-w-full bg-base-100 pr-8 pl-2 text-ellipsis"
    value={item ? name : ''}
    onchange={(event) => take(event.currentTarget.value)}
  >
    {#if !item}<option value="">{found.data ? otherwise() : '…'}</option>{/if}
    {#each items as other (other.name)}<option value={other.name}>{other.name}, {other.note}</option>{/each}
  </select>
</div>
