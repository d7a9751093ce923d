<script lang="ts">
  // The button box: what is in it, how many, what it looks like, where it is used.
  import { Minus, Plus } from '@lucide/svelte';
  import { client, type StashButton } from '../api/client';
  import { recall } from '../api/kept';
  import { room } from '../api/room.svelte';
  import PageBar from '../shell/PageBar.svelte';
  import BoxButton from './BoxButton.svelte';
  import ImportPanel from './ImportPanel.svelte';
  import StashForm from './StashForm.svelte';

  let search = $state('');
  let buttons = $state.raw<StashButton[]>();
  let total = $state(0);
  let failed = $state('');
  let open = $state<number | 'new' | 'file' | undefined>(recall('stash:new') ? 'new' : undefined);
  let taken = $state.raw<StashButton>();
  let asked = 0;

  void room.load();
  document.title = 'Stash: Nimble Eyelet';

  let widest = $derived(
    Math.min(Math.max(...(buttons ?? []).map((button) => button.picture.largest), 1), 32),
  );

  async function look(from = 0): Promise<void> {
    const turn = ++asked;
    try {
      const answer = await client.GET('/api/stash', { params: { query: { search, from } } });
      if (turn !== asked || !answer.data) return;
      buttons = from ? [...(buttons ?? []), ...answer.data.buttons] : answer.data.buttons;
      total = answer.data.total;
      failed = '';
    } catch {
      failed = 'The server does not answer. Trying again…';
      setTimeout(() => void look(from), 2000);
    }
  }
  void look();

  function saved(): void {
    open = undefined;
    void look();
    void room.load();
  }

  async function count(button: StashButton, by: number): Promise<void> {
    const owned = String(Math.max(button.owned + by, 0));
    const answer = await client.PUT('/api/stash/{id}', {
      params: { path: { id: button.id }, header: { 'If-Match': `"${button.revision}"` } },
      body: { ...button.fields, owned },
    });
    if (answer.data) buttons = buttons?.map((other) => (other.id === button.id ? answer.data : other));
    else await look();
  }

  async function takeOut(button: StashButton): Promise<void> {
    const answer = await client.DELETE('/api/stash/{id}', { params: { path: { id: button.id } } });
    if (answer.error) return;
    taken = button;
    saved();
  }

  async function putBack(): Promise<void> {
    if (!taken) return;
    const answer = await client.POST('/api/stash', { body: taken.fields });
    if (answer.data) taken = undefined;
    else failed = answer.error?.detail ?? '';
    await look();
  }
</script>

<div class="min-h-screen bg-base-100 text-base-content">
  <PageBar />
  <main class="mx-auto max-w-5xl px-4 py-6">
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
      <h1 class="text-4xl font-semibold">Stash</h1>
      <label class="flex grow flex-col text-sm text-secondary sm:max-w-sm"
        >Search by name, shape, colour or note
        <input
          type="search"
          class="input w-full bg-base-100 text-lg text-base-content"
          bind:value={search}
          oninput={() => look()}
        />
      </label>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-primary" onclick={() => (open = open === 'new' ? undefined : 'new')}
          >A new button</button
        >
        <button
          class="btn"
          aria-expanded={open === 'file'}
          onclick={() => (open = open === 'file' ? undefined : 'file')}>From a file</button
        >
        <a class="btn" href="/api/stash.csv" download="stash.csv">As a file</a>
      </div>
    </div>
    {#if failed}<p role="alert" class="mt-3 border-l-4 border-warning pl-3">{failed}</p>{/if}
    {#if taken}
      <p role="status" class="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
        <span class="wrap-anywhere">“{taken.fields.name}” is out of the box.</span>
        <button class="btn btn-sm" onclick={putBack}>Put it back</button>
      </p>
    {/if}
    <div class="mt-4">
      {#if open === 'new' && room.catalogue}<StashForm {saved} close={() => (open = undefined)} />{/if}
      {#if open === 'file'}<ImportPanel
          landed={() => {
            void look();
            void room.load();
          }}
        />{/if}
    </div>
    {#if buttons}
      <p class="mt-4 text-secondary" role="status">
        {#if total === 0 && !search}
          The box is empty. Put in the first button, or bring a file.
        {:else if total === 0}
          Nothing in the box goes by “{search}”.
        {:else}
          {total} {total === 1 ? 'kind of button' : 'kinds of button'}{search ? ` for “${search}”` : ''}
        {/if}
      </p>
      <ul class="mt-1">
        {#each buttons as button (button.id)}
          <li class="border-b border-dashed border-base-300 py-2">
            <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
              <BoxButton picture={button.picture} label="{button.fields.name}, {button.says}" of={widest} />
              <div class="min-w-40 flex-1">
                <p class="text-lg font-semibold wrap-anywhere">{button.fields.name}</p>
                <p class="text-secondary">{button.says}; H {button.half_perimeter.text}</p>
                {#if button.fields.note}<p class="text-sm wrap-anywhere">{button.fields.note}</p>{/if}
                {#if button.used.length > 0}
                  <p class="text-sm">
                    used in {#each button.used as use, index (use.id)}{index ? ', ' : ''}<a
                        class="link wrap-anywhere"
                        href="/closures/{use.id}/button">{use.garment}: {use.name}</a
                      >{/each}
                  </p>
                {/if}
              </div>
              <div class="flex items-center gap-1">
                <button
                  class="btn btn-square btn-ghost btn-sm"
                  aria-label="One {button.fields.name} fewer"
                  disabled={button.owned === 0}
                  onclick={() => count(button, -1)}><Minus size={16} /></button
                >
                <span class="w-12 text-center text-2xl font-semibold" aria-label="{button.owned} of them"
                  >{button.owned}</span
                >
                <button
                  class="btn btn-square btn-ghost btn-sm"
                  aria-label="One {button.fields.name} more"
                  onclick={() => count(button, 1)}><Plus size={16} /></button
                >
              </div>
              <div class="flex gap-1">
                <button
                  class="btn btn-sm"
                  aria-expanded={open === button.id}
                  onclick={() => (open = open === button.id ? undefined : button.id)}>Change</button
                >
                <button class="btn btn-ghost btn-sm" onclick={() => takeOut(button)}>Take out</button>
              </div>
            </div>
            {#if open === button.id}
              <div class="mt-3"><StashForm {button} {saved} close={() => (open = undefined)} /></div>
            {/if}
          </li>
        {/each}
      </ul>
      {#if buttons.length < total}
        <button class="btn mt-4" onclick={() => look(buttons?.length ?? 0)}>More</button>
      {/if}
    {/if}
  </main>
</div>
