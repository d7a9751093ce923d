<script lang="ts">
  // What is in each column of somebody's table: guessed, and said otherwise where that is wrong.
  let {
    columns,
    fields,
    busy = false,
    mean,
  }: {
    columns: readonly { given: string; ours: string | null }[];
    /** What a column can be. */
    fields: readonly { key: string; name: string }[];
    busy?: boolean;
    /** An empty key leaves the column out. */
    mean: (given: string, ours: string) => void;
  } = $props();
</script>

<fieldset class="mt-3 flex flex-wrap gap-x-5 gap-y-2" data-columns>
  <legend class="text-sm text-secondary">What is in each column?</legend>
  {#each columns as { given, ours } (given)}
    <label class="flex flex-col text-sm"
      ><span class="max-w-44 truncate font-semibold">{given}</span>
      <select
        class="select mt-1 w-44 bg-base-100 select-sm"
        value={ours ?? ''}
        disabled={busy}
        onchange={(event) => mean(given, event.currentTarget.value)}
      >
        <option value="">leave it out</option>
        {#each fields as { key, name } (key)}<option value={key}>{name}</option>{/each}
      </select>
    </label>
  {/each}
</fieldset>
