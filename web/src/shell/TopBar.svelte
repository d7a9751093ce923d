<script lang="ts">
  import { ChevronDown, History, Moon, Redo2, Sun, Undo2 } from '@lucide/svelte';
  import { client, type Revision, type StageWord, type Workroom } from '../api/client';
  import type { ClosureState } from '../api/closure.svelte';
  import { room } from '../api/room.svelte';
  import { theme } from './theme.svelte';

  let { work, station }: { work: ClosureState; station: StageWord } = $props();

  let revisions = $state<Revision[]>([]);
  let historyBox = $state<HTMLDialogElement>();
  let menu = $state<HTMLDetailsElement>();

  let saved = $derived(
    work.away
      ? 'Not saved: no connection'
      : work.refused > 0
        ? `${work.refused} not saved`
        : work.saving || work.unsaved
          ? 'Saving…'
          : 'All saved',
  );

  async function showHistory(): Promise<void> {
    const answer = await client.GET('/api/closures/{id}/history', { params: { path: { id: work.id } } });
    revisions = answer.data ?? [];
    historyBox?.showModal();
  }

  async function bringBack(number: number): Promise<void> {
    historyBox?.close();
    await work.bringBack(number);
  }

  async function showIn(unit: string): Promise<void> {
    // What was typed was meant in the unit of then.
    await work.save();
    await room.showIn(unit as Workroom['unit']);
    await work.load();
  }
</script>

<header class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 px-4 py-1.5">
  <a href="/" class="flex items-center gap-2 font-serif text-lg font-semibold">
    <img src="/mark.svg" alt="" width="26" height="26" class="rounded" />
    <span class="max-sm:sr-only">Nimble Eyelet</span>
  </a>
  {#if work.closure}
    <details bind:this={menu} class="dropdown min-w-0">
      <summary class="btn max-w-full btn-ghost btn-sm">
        <span class="flex max-w-[52vw] text-base font-normal lg:max-w-xl"
          ><span class="min-w-16 shrink-3 truncate">{work.closure.garment.name}</span><span>:&nbsp;</span
          ><strong class="min-w-0 shrink truncate">{work.closure.name}</strong></span
        >
        <ChevronDown size={16} aria-hidden="true" />
      </summary>
      <div
        class="dropdown-content z-20 mt-1 max-h-[70vh] w-72 overflow-y-auto rounded border border-base-300 bg-base-100 p-3 shadow-lg"
      >
        {#each room.workroom?.garments ?? [] as garment (garment.id)}
          <p class="mt-2 text-sm text-secondary first:mt-0">{garment.name}</p>
          {#each garment.closures as closure (closure.id)}
            <a
              class="block truncate rounded px-2 py-1 hover:bg-base-200 aria-[current]:font-semibold"
              aria-current={closure.id === work.id ? 'page' : undefined}
              href="/closures/{closure.id}/{station}"
              onclick={() => menu?.removeAttribute('open')}>{closure.name}</a
            >
          {/each}
        {/each}
        <a class="mt-2 block link" href="/">All garments, and a new closure</a>
      </div>
    </details>
    <span
      role="status"
      class={['text-sm', work.away || work.refused ? 'font-semibold text-error' : 'text-secondary']}
      >{saved}</span
    >
    <div class="ml-auto flex items-center gap-1">
      <button
        class="btn btn-square btn-ghost btn-sm"
        title="Undo (Ctrl Z)"
        aria-label="Undo"
        disabled={!work.closure.can_undo}
        onclick={() => work.undo()}><Undo2 size={18} /></button
      >
      <button
        class="btn btn-square btn-ghost btn-sm"
        title="Redo (Ctrl Shift Z)"
        aria-label="Redo"
        disabled={!work.closure.can_redo}
        onclick={() => work.redo()}><Redo2 size={18} /></button
      >
      <button
        class="btn btn-square btn-ghost btn-sm"
        title="History"
        aria-label="History"
        onclick={showHistory}><History size={18} /></button
      >
      <label class="sr-only" for="unit">Lengths in</label>
      <select
        id="unit"
        class="select w-auto bg-base-100 select-sm"
        value={work.closure.unit}
        onchange={(event) => showIn(event.currentTarget.value)}
      >
        <option value="mm">mm</option>
        <option value="cm">cm</option>
        <option value="in">inches</option>
      </select>
      <button
        class="btn btn-square btn-ghost btn-sm"
        aria-label={theme.dark ? 'Daylight' : 'Lamplight'}
        title={theme.dark ? 'Daylight' : 'Lamplight'}
        onclick={() => theme.toggle()}
      >
        {#if theme.dark}<Sun size={18} />{:else}<Moon size={18} />{/if}
      </button>
    </div>
  {/if}
</header>

<dialog bind:this={historyBox} class="modal" aria-labelledby="history-title">
  <div class="modal-box">
    <h2 id="history-title" class="text-xl font-semibold">What was changed</h2>
    <ol class="mt-3 space-y-1">
      {#each revisions as revision, index (revision.number)}
        <li class="flex items-baseline justify-between gap-3 border-b border-base-300 py-1">
          <span class="min-w-0 wrap-anywhere"
            >{revision.summary}
            <time class="block text-sm text-secondary" datetime={revision.made_at}
              >{new Date(revision.made_at).toLocaleString()}</time
            ></span
          >
          {#if index > 0}
            <button class="btn btn-xs" onclick={() => bringBack(revision.number)}>Bring back</button>
          {/if}
        </li>
      {/each}
    </ol>
    <form method="dialog" class="modal-action"><button class="btn">Close</button></form>
  </div>
  <form method="dialog" class="modal-backdrop"><button>Close</button></form>
</dialog>
