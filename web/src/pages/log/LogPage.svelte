<script lang="ts">
  // What happened at the table with one closure: nothing here is ever changed, only withdrawn.
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { ask, gone, read, words } from '../../api/ask';
  import { uuid } from '../../api/browser_store';
  import { client, type JournalLine } from '../../api/client';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';
  import { route } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import Page from '../Page.svelte';

  let id = $derived(Number((route.params as { id: string }).id));
  const log = createInfiniteQuery(() => ({
    queryKey: ['log', workroom.slug, id],
    queryFn: ({ pageParam }: { pageParam: string }) => {
      const params = { path: { slug: workroom.slug, id }, query: pageParam ? { before: pageParam } : {} };
      return read(client.GET('/api/workrooms/{slug}/closures/{id}/journal', { params }));
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.following ?? undefined,
    enabled: workroom.slug !== '',
  }));
  let lines = $derived(log.data?.pages.flatMap((page) => page.lines) ?? []);
  let name = $derived(
    workroom.data?.garments.flatMap((garment) => garment.closures).find((closure) => closure.id === id)
      ?.name ?? '',
  );
  let failed = $state('');
  let note = $state('');

  async function enter(
    body: { kind: 'withdrawal'; about: string } | { kind: 'note'; note: string },
  ): Promise<boolean> {
    const now = new Date().toISOString();
    const params = { path: { slug: workroom.slug, entry: uuid() } };
    const answer = await ask(
      client.PUT('/api/workrooms/{slug}/journal/{entry}', {
        params,
        body: { ...body, ...(body.kind === 'note' ? { closure: id } : {}), happened_at: now, sent_at: now },
      }),
    );
    failed = words(answer);
    await queries.invalidateQueries({ queryKey: ['log'] });
    return answer.kind === 'data';
  }

  async function withdraw(line: JournalLine): Promise<void> {
    if (await enter({ kind: 'withdrawal', about: line.id })) announce(`Withdrawn: ${line.says}`);
    document.getElementById('main')?.focus();
  }

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (note.trim() && (await enter({ kind: 'note', note }))) note = '';
  }
</script>

<Page
  title="Log of {name}"
  failed={failed || (log.failureCount && !gone(log.error) ? 'The server does not answer. Trying again…' : '')}
  missing={gone(log.error) ? 'These buttonholes are not here any more.' : ''}
>
  <h1 class="text-4xl font-semibold wrap-anywhere">Log of {name}</h1>
  <p class="mt-1 max-w-prose text-secondary">
    What was sewn, tested and done, the newest first. Undo and history never touch it; what was entered by
    mistake is withdrawn, and that stays to be seen.
    <a class="link" href={workroom.at(`/closures/${id}/sewing`)}>Back to the steps</a>
  </p>
  <form class="mt-4 flex flex-wrap items-end gap-2" onsubmit={add}>
    <label class="flex grow flex-col text-sm text-secondary"
      >A note
      <input class="input w-full bg-base-100 text-lg text-base-content" maxlength="500" bind:value={note} />
    </label>
    <button class="btn">Note it</button>
  </form>
  <ol class="mt-4">
    {#each lines as line (line.id)}
      <li class="flex items-baseline gap-x-4 border-b border-dashed border-base-300 py-2">
        <span class="min-w-0 grow wrap-anywhere">
          <span class={line.withdrawn_at ? 'text-secondary line-through' : ''}
            >{line.kind === 'note' ? line.note : line.says}</span
          >
          {#if line.note && line.kind !== 'note'}<span class="block text-sm">{line.note}</span>{/if}
          <span class="block text-sm text-secondary">
            {line.by ? `${line.by}, ` : ''}<time datetime={line.happened_at}
              >{new Date(line.happened_at).toLocaleString()}</time
            >{line.imported ? ', from a garment file' : ''}{line.withdrawn_at
              ? `, withdrawn ${new Date(line.withdrawn_at).toLocaleString()}`
              : ''}
          </span>
        </span>
        {#if !line.withdrawn_at}
          <button
            class="btn shrink-0 btn-sm"
            aria-label="Withdraw: {line.says}"
            onclick={() => withdraw(line)}>Withdraw</button
          >
        {/if}
      </li>
    {:else}
      {#if log.data}<li class="text-secondary">
          Nothing yet: test holes and steps that are done come here.
        </li>{/if}
    {/each}
  </ol>
  {#if log.hasNextPage}
    <button class="btn mt-3" disabled={log.isFetchingNextPage} onclick={() => void log.fetchNextPage()}
      >Older</button
    >
  {/if}
</Page>
