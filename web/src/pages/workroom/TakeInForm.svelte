<script lang="ts">
  // A garment from its file, whole or not at all.
  import { ask, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';

  let failed = $state('');

  async function takeIn(file: File): Promise<void> {
    const params = { path: { slug: workroom.slug } };
    const text = await file.text();
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/garments/import', { params, body: {}, bodySerializer: () => text }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    void workroom.refresh();
    await go(workroom.at(`/garments/${answer.data.id}`));
  }
</script>

<label class="flex flex-col text-sm text-secondary"
  >A garment saved here
  <input
    type="file"
    accept=".json,application/json"
    class="file-input mt-1 w-full bg-base-100"
    onchange={(event) => {
      const file = event.currentTarget.files?.[0];
      if (file) void takeIn(file);
      event.currentTarget.value = '';
    }}
  />
</label>
{#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
