<script lang="ts">
  // A swatch book out of another workroom: all of it or nothing.
  import { ask, faultsOf, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';

  let { done }: { done: () => void } = $props();

  const id = $props.id();
  let fault = $state('');
  let said = $state('');

  async function take(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    fault = said = '';
    if (!file) return;
    let body: Record<string, never>;
    try {
      body = JSON.parse(await file.text()) as Record<string, never>;
    } catch {
      fault = 'This file is not a swatch book. Choose one saved as JSON here.';
      return;
    }
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/swatches/import', { params, body }));
    if (answer.kind !== 'data') {
      fault = (answer.kind === 'refused' && faultsOf(answer)['file']) || words(answer);
      return;
    }
    const { taken, known } = answer.data;
    said = `${taken} added${known ? `, ${known} were here already` : ''}.`;
    announce(said);
    done();
  }
</script>

<div class="flex flex-col">
  <label class="btn btn-sm" for={id}>Open a saved book</label>
  <input {id} type="file" accept=".json,application/json" class="sr-only" onchange={take} />
  {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
  {#if said}<p class="text-sm">{said}</p>{/if}
</div>
