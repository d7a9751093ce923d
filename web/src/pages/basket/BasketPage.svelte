<script lang="ts">
  // What was removed, until it is emptied out.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, words } from '../../api/ask';
  import { client, type WasteItem } from '../../api/client';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';
  import Page from '../Page.svelte';

  const basket = createQuery(() => ({
    queryKey: ['basket', workroom.slug],
    queryFn: () =>
      read(client.GET('/api/workrooms/{slug}/waste-basket', { params: { path: { slug: workroom.slug } } })),
    enabled: workroom.slug !== '',
  }));
  let failed = $state('');
  const day = (text: string) => new Date(text).toLocaleDateString();

  async function takeOut(item: WasteItem): Promise<void> {
    const params = { path: { slug: workroom.slug, kind: item.kind, id: item.id } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/waste-basket/{kind}/{id}', { params }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    queries.setQueryData(['basket', workroom.slug], answer.data);
    announce(`${item.name} is back where it was.`);
    document.getElementById('main')?.focus();
    await workroom.refresh();
  }
</script>

<Page
  title="Deleted"
  failed={failed || (basket.failureCount ? 'The server does not answer. Trying again…' : '')}
>
  <h1 class="text-4xl font-semibold">Deleted</h1>
  <p class="mt-1 text-secondary">You can put back what you deleted for thirty days.</p>
  <ul class="mt-4">
    {#each basket.data ?? [] as item (`${item.kind} ${item.id}`)}
      <li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-dashed border-base-300 py-2">
        <span class="grow wrap-anywhere"
          >{item.name}
          <span class="text-secondary"
            >{item.kind}, deleted {day(item.removed_at)}, gone {day(item.until)}</span
          ></span
        >
        {#if workroom.may('plan')}<button
            class="btn btn-sm"
            aria-label="Put back {item.name}"
            onclick={() => takeOut(item)}>Put back</button
          >{/if}
      </li>
    {:else}
      {#if basket.data}<li class="text-secondary">It is empty.</li>{/if}
    {/each}
  </ul>
</Page>
