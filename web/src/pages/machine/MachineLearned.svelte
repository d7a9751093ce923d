<script lang="ts">
  // What test holes taught about this machine, foot by foot, and from which of them.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';

  let { id }: { id: number } = $props();

  const AT = '/api/workrooms/{slug}/machines/{id}/learned';
  let path = $derived({ slug: workroom.slug, id });
  let failed = $state('');
  const learned = createQuery(() => ({
    queryKey: ['learned', path.slug, path.id],
    queryFn: () => read(client.GET(AT, { params: { path } })),
    enabled: path.slug !== '',
  }));

  async function forget(all: boolean): Promise<void> {
    const answer = await ask(client.PUT(AT, { params: { path }, body: { forget: all } }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    await learned.refetch();
    announce(all ? 'Forgotten.' : 'All test holes count again.');
  }
</script>

<section class="mt-8" data-learned>
  <h2 class="text-2xl font-semibold">What test holes taught about it</h2>
  {#if learned.data}
    {#each learned.data.feet as foot, index (index)}
      <div class="mt-3 border-l-4 border-base-300 pl-3">
        <h3 class="text-lg font-semibold">
          {foot.foot}
        </h3>
        <p class="max-w-prose">{foot.says}</p>
        {#if foot.left_out}
          <p class="text-sm text-secondary">
            {foot.left_out === 1 ? 'One reading was' : `${foot.left_out} readings were`} left out: more likely misread
            than not.
          </p>
        {/if}
        <ul class="mt-1 text-sm">
          {#each foot.swatches as swatch (swatch.id)}
            <li>
              {#if swatch.closure}<a
                  class="link wrap-anywhere"
                  href={workroom.at(`/closures/${swatch.closure.id}/swatch`)}>{swatch.closure.name}</a
                >{:else}From another book{/if}: {swatch.set_word}
              {swatch.set.text}, measured {swatch.measured.text}
            </li>
          {/each}
        </ul>
      </div>
    {:else}
      <p class="text-secondary">
        {learned.data.forgotten_at
          ? 'Nothing since it was forgotten.'
          : 'Nothing yet: measure a test hole, and what machine and foot add is known from then on.'}
      </p>
    {/each}
    <div class="mt-3 flex flex-wrap gap-3">
      {#if learned.data.feet.length > 0}
        <button class="btn btn-sm" onclick={() => forget(true)}>Forget what was learned</button>
      {/if}
      {#if learned.data.forgotten_at}
        <button class="btn btn-sm" onclick={() => forget(false)}>Use it all again</button>
      {/if}
    </div>
    {#if failed}<p role="alert" class="mt-1 text-sm font-semibold text-error">{failed}</p>{/if}
  {:else}
    <p role="status">Fetching what was learned…</p>
  {/if}
</section>
