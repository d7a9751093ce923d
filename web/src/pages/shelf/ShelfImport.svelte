<script lang="ts">
  // A shelf from a table of comma separated values: first looked at, then taken in.
  import { ask, words } from '../../api/ask';
  import { keep as remember, recall } from '../../api/browser_store';
  import { client, type ShelfName, type ShelfTaken } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import ColumnsSaid from '../../ui/ColumnsSaid.svelte';

  let { kind, changed }: { kind: ShelfName; changed: () => Promise<void> } = $props();

  let text = $state.raw<ArrayBuffer>();
  let looked = $state.raw<ShelfTaken>();
  let failed = $state('');
  let busy = $state(false);
  /** What somebody said of columns, where it is not what was guessed, is known the next time. */
  let stored = $derived(`${kind}-columns`);
  let said = $derived(recall<Record<string, string>>(stored) ?? {});

  async function send(keep: 'yes' | 'no'): Promise<void> {
    const columns = JSON.stringify(said);
    busy = true;
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/shelves/{shelf}/import', {
        params: { path: { slug: workroom.slug, shelf: kind }, query: { keep, columns } },
        body: {} as never,
        bodySerializer: () => text,
        headers: { 'Content-Type': 'text/csv' },
      }),
    );
    busy = false;
    failed = words(answer);
    if (answer.kind !== 'data') return;
    looked = answer.data;
    if (keep === 'yes') await changed();
  }

  async function mean(given: string, ours: string): Promise<void> {
    said = { ...said, [given]: ours };
    remember(stored, said);
    await send('no');
  }

  async function take(file: File): Promise<void> {
    text = await file.arrayBuffer();
    await send('no');
  }
</script>

<div class="mt-3 border-l-4 border-primary pl-4">
  <label class="flex flex-col text-sm text-secondary"
    >A table with a row of names first, lengths in millimetres
    <input
      type="file"
      accept=".csv,text/csv"
      class="file-input mt-1 w-full max-w-md bg-base-100"
      onchange={(event) => {
        const file = event.currentTarget.files?.[0];
        if (file) void take(file);
        event.currentTarget.value = '';
      }}
    />
  </label>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  {#if looked}
    {#if !looked.kept}
      <ColumnsSaid
        columns={looked.columns}
        fields={looked.fields}
        {busy}
        mean={(given, ours) => void mean(given, ours)}
      />
    {/if}
    {#if looked.asks}
      <p class="mt-2 font-semibold" role="status">{looked.asks}</p>
    {:else}
      <p class="mt-2" role="status" data-import>
        {looked.new} new, {looked.changed} changed, {looked.same} as they are, {looked.bad.length} that cannot be
        read.
      </p>
    {/if}
    {#each looked.bad as row (row.row)}
      <p class="text-sm text-warning">Row {row.row}, {row.name || 'no name'}: {row.why}</p>
    {/each}
    {#if !looked.kept && looked.new + looked.changed > 0}
      <button class="btn mt-2 btn-primary" disabled={busy} onclick={() => send('yes')}>Take them in</button>
    {/if}
  {/if}
</div>
