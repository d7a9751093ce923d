<script lang="ts">
  // What was changed, the newest first, in pages; any of it can be brought back.
  import { ask, words } from '../api/ask';
  import { client, type Revision } from '../api/client';
  import type { ClosureWork } from '../closure/work.svelte';
  import Dialog from '../ui/Dialog.svelte';

  let { work, open = $bindable() }: { work: ClosureWork; open: boolean } = $props();

  let revisions = $state.raw<Revision[]>([]);
  let failed = $state('');
  let looking = $state(false);

  async function look(before?: number): Promise<void> {
    const path = { slug: work.slug, id: work.id };
    const query = before ? { before: String(before) } : {};
    looking = true;
    const answer = await ask(
      client.GET('/api/workrooms/{slug}/closures/{id}/history', { params: { path, query } }),
    );
    looking = false;
    failed = words(answer);
    if (answer.kind === 'data') revisions = before ? [...revisions, ...answer.data] : answer.data;
  }

  let last = $derived(revisions.at(-1));

  $effect(() => {
    if (open) void look();
  });

  async function bringBack(number: number): Promise<void> {
    open = false;
    await work.moves.bringBack(number);
  }
</script>

<Dialog bind:open title="What was changed">
  {#if failed}<p role="alert" class="border-l-4 border-warning pl-3">{failed}</p>{/if}
  <p class="text-sm text-secondary">
    Only the plan is brought back: test holes, steps done and holes sewn stay as they are.
  </p>
  <ol class="mt-3 space-y-1">
    {#each revisions as revision, index (revision.number)}
      <li class="flex items-baseline justify-between gap-3 border-b border-base-300 py-1">
        <span class="min-w-0 wrap-anywhere"
          >{revision.changes}
          <time class="block text-sm text-secondary" datetime={revision.made_at}
            >{revision.by ? `${revision.by}, ` : ''}{new Date(revision.made_at).toLocaleString()}</time
          ></span
        >
        {#if index > 0}
          <button
            class="btn btn-sm"
            aria-label="Bring back what it was at: {revision.changes}"
            onclick={() => bringBack(revision.number)}>Bring back</button
          >
        {/if}
      </li>
    {/each}
  </ol>
  {#if last && !last.first}
    <button class="btn mt-2 btn-sm" disabled={looking} onclick={() => void look(last.number)}>Older</button>
  {/if}
</Dialog>
