<script module lang="ts">
  const BY = [
    ['cloth', 'Kind of fabric'],
    ['foot', 'Foot'],
    ['style', 'Style'],
    ['verdict', 'Verdict'],
  ] as const;
  export type By = Partial<Record<(typeof BY)[number][0] | 'machine' | 'from' | 'to', string>>;
</script>

<script lang="ts">
  // What test holes are looked for by: words, what they were sewn on and with, and when.
  import type { SwatchPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Fold from '../../ui/Fold.svelte';

  type Props = { words: string; by: By; there: SwatchPage['there'] | undefined };
  let { words = $bindable(), by = $bindable(), there }: Props = $props();

  let asked = $derived(Boolean(words) || Object.values(by).some(Boolean));
</script>

<form class="mt-4 flex flex-wrap items-end gap-3" role="search" onsubmit={(event) => event.preventDefault()}>
  <label class="flex flex-col text-sm text-secondary"
    >Search
    <input
      type="search"
      class="input w-64 bg-base-100 px-2 text-base text-base-content"
      placeholder="flannel tight, a garment, a note…"
      maxlength="200"
      bind:value={words}
    />
  </label>
  {#if asked}
    <button
      type="button"
      class="btn btn-ghost"
      onclick={() => {
        words = '';
        by = {};
      }}>Show all</button
    >
  {/if}
  <Fold name="swatch-filters" title="Filters">
    <div class="flex flex-wrap items-end gap-3">
      {#each BY as [name, label] (name)}
        <label class="flex flex-col text-sm text-secondary"
          >{label}
          <select class="select w-40 bg-base-100 px-2 text-base text-base-content" bind:value={by[name]}>
            <option value={undefined}>any</option>
            {#each there?.[name] ?? [] as item (item.key)}<option value={item.key}>{item.name}</option>{/each}
          </select>
        </label>
      {/each}
      <label class="flex flex-col text-sm text-secondary"
        >Machine
        <select class="select w-36 bg-base-100 px-2 text-base text-base-content" bind:value={by.machine}>
          <option value={undefined}>any</option>
          {#each workroom.data?.machines ?? [] as machine (machine.id)}
            <option value={String(machine.id)}>{machine.name}</option>
          {/each}
        </select>
      </label>
      <label class="flex flex-col text-sm text-secondary"
        >From
        <input type="date" class="input w-38 bg-base-100 px-2 text-base-content" bind:value={by.from} />
      </label>
      <label class="flex flex-col text-sm text-secondary"
        >To
        <input type="date" class="input w-38 bg-base-100 px-2 text-base-content" bind:value={by.to} />
      </label>
    </div>
  </Fold>
</form>
