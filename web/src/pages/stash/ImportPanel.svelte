<script lang="ts">
  // Buttons from a file: first what would become of each row, then the doing.
  import ColumnsSaid from '../../ui/ColumnsSaid.svelte';
  import { StashImport } from './import.svelte';

  let { landed }: { landed: () => void } = $props();

  const work = new StashImport();
  const FATES = {
    new: 'would be new',
    changed: 'would change',
    same: 'are as they are',
    bad: 'cannot be taken',
  };
  const DONE = {
    new: 'are new',
    changed: 'were changed',
    same: 'were as they are',
    bad: 'could not be taken',
  };
  const COLUMNS = Object.entries({
    name: 'name',
    shape: 'shape',
    attachment: 'holes or shank',
    diameter_mm: 'diameter',
    width_mm: 'width',
    thickness_mm: 'thickness',
    hole_spacing_mm: 'holes apart',
    hole_diameter_mm: 'size of a hole',
    shank_mm: 'height of its shank',
    shank_width_mm: 'width of its shank',
    outline_mm: 'corner points',
    owned: 'how many',
    colour: 'colour',
    note: 'note',
  }).map(([key, name]) => ({ key, name }));
  let words = $derived(work.done ? DONE : FATES);
  let takes = $derived((work.counts?.new ?? 0) + (work.counts?.changed ?? 0));

  async function bringIn(): Promise<void> {
    await work.bringIn();
    landed();
  }
</script>

<section class="border-l-4 border-base-300 pl-4" aria-label="Bring buttons in from a file">
  <label class="flex flex-col text-sm text-secondary"
    >A CSV file with its columns named in the first row
    <input
      type="file"
      accept=".csv,text/csv"
      class="file-input mt-1 w-full max-w-md bg-base-100"
      onchange={(event) => {
        const file = event.currentTarget.files?.[0];
        if (file) void work.look(file);
        event.currentTarget.value = '';
      }}
    />
  </label>
  {#if work.file}<p class="mt-2 font-semibold wrap-anywhere">{work.file.name}</p>{/if}
  {#if work.busy}
    <progress
      class="progress mt-2 w-full max-w-md progress-primary"
      value={work.share}
      max="1"
      aria-label="Rows read"
    ></progress>
  {/if}
  {#if work.failed}<p role="alert" class="mt-2 font-semibold text-error">{work.failed}</p>{/if}
  {#if work.columns.length > 0 && !work.done}
    <ColumnsSaid
      columns={work.columns}
      fields={COLUMNS}
      busy={work.busy}
      mean={(given, ours) => void work.mean(given, ours)}
    />
  {/if}
  {#if work.counts}
    <p class="mt-2" role="status" data-import>
      {#each Object.entries(words) as [fate, says] (fate)}
        {@const count = work.counts[fate as keyof typeof FATES]}
        {#if count > 0}<span class={['mr-4', fate === 'bad' && 'font-semibold text-warning']}
            >{count} {says}</span
          >{/if}
      {/each}
    </p>
    {#if !work.done && takes > 0}
      <button class="btn mt-2 btn-primary" disabled={work.busy} onclick={bringIn}>
        Bring in {takes}
        {takes === 1 ? 'button' : 'buttons'}
      </button>
    {/if}
  {/if}
  {#if work.rows.length > 0}
    <div class="mt-3 max-h-72 overflow-y-auto">
      <table class="table table-sm">
        <thead><tr><th>Row</th><th>Name</th><th>Fate</th></tr></thead>
        <tbody>
          {#each work.rows as row (row.row)}
            <tr>
              <td>{row.row}</td>
              <td class="wrap-anywhere">{row.name}</td>
              <td class={row.fate === 'bad' ? 'text-warning' : ''}
                >{row.fate}{row.why ? `: ${row.why}` : ''}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</section>
