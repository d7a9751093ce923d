<script lang="ts">
  // A shelf from a table of comma separated values: first looked at, then taken in.
  import { ask, words } from '../../api/ask';
  import { client, type ShelfName, type ShelfTaken } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';

  let { kind, changed }: { kind: ShelfName; changed: () => Promise<void> } = $props();

  let text = $state.raw<ArrayBuffer>();
  let looked = $state.raw<ShelfTaken>();
  let failed = $state('');

  async function send(keep: 'yes' | 'no'): Promise<void> {
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/shelves/{shelf}/import', {
        params: { path: { slug: workroom.slug, shelf: kind }, query: { keep } },
        body: {} as never,
        bodySerializer: () => text,
        headers: { 'Content-Type': 'text/csv' },
      }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    looked = answer.data;
    if (keep === 'yes') await changed();
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
    <p class="mt-2" role="status">
      {looked.new} new, {looked.changed} changed, {looked.same} as they are, {looked.bad.length} that cannot be
      read.
    </p>
    {#each looked.bad as row (row.row)}
      <p class="text-sm text-warning">Row {row.row}, {row.name || 'no name'}: {row.why}</p>
    {/each}
    {#if looked.new + looked.changed > 0}
      <button class="btn mt-2 btn-primary" onclick={() => send('yes')}>Take them in</button>
    {/if}
  {/if}
</div>
