<script lang="ts">
  // A link by which anybody reads this plan, until it is ended.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, words } from '../api/ask';
  import { client } from '../api/client';
  import { queries } from '../api/queries';
  import { workroom } from '../api/workroom.svelte';
  import { day } from '../ui/when';
  import Handed from '../ui/Handed.svelte';

  let { closure }: { closure: number } = $props();
  let path = $derived({ slug: workroom.slug, id: closure });
  const asked = createQuery(() => ({
    queryKey: ['links', workroom.slug, closure],
    queryFn: () => read(client.GET('/api/workrooms/{slug}/closures/{id}/links', { params: { path } })),
    enabled: workroom.slug !== '',
  }));
  let failed = $state('');
  let address = $state('');

  async function share(): Promise<void> {
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures/{id}/links', { params: { path } }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    address = answer.data.address;
    await asked.refetch();
  }

  async function end(link: number): Promise<void> {
    const params = { path: { ...path, link } };
    const answer = await ask(client.DELETE('/api/workrooms/{slug}/closures/{id}/links/{link}', { params }));
    failed = words(answer);
    address = '';
    if (answer.kind === 'data') queries.setQueryData(['links', workroom.slug, closure], answer.data);
  }
</script>

<p class="max-w-prose">
  Anyone with the link can read and print this plan. They change nothing and see nothing else.
</p>
{#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
<ul class="mt-2" data-links>
  {#each asked.data ?? [] as link, index (link.id)}
    <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
      <span class="grow">Link {index + 1}, made {day(link.since)}</span>
      <button class="btn btn-sm" onclick={() => end(link.id)}>End link {index + 1}</button>
    </li>
  {/each}
</ul>
{#if address}<Handed title="Copy it now: you see it only once" {address} />{/if}
<p class="mt-3"><button class="btn" onclick={share}>Make a link</button></p>
