<script lang="ts">
  // The button box: what is in it, how many, what it looks like, where it is used.
  import { keepPreviousData, createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { recall } from '../../api/browser_store';
  import { client } from '../../api/client';
  import { searchedFor } from '../../ui/searched';
  import { workroom } from '../../api/workroom.svelte';
  import Page from '../Page.svelte';
  import { Box } from './box.svelte';
  import ImportPanel from './ImportPanel.svelte';
  import StashForm from './StashForm.svelte';
  import StashRow from './StashRow.svelte';

  const PAGE = 60;
  let search = $state(searchedFor());
  let pages = $state(1);
  let open = $state<number | 'new' | 'file' | undefined>(recall('stash:new') ? 'new' : undefined);
  let slug = $derived(workroom.slug);

  const box = createQuery(() => ({
    queryKey: ['stash', slug, search, pages],
    queryFn: () => look(pages),
    enabled: slug !== '',
    placeholderData: keepPreviousData,
  }));
  let buttons = $derived(box.data?.buttons);
  let total = $derived(box.data?.total ?? 0);
  let widest = $derived(
    Math.min(Math.max(...(buttons ?? []).map((button) => button.picture.largest), 1), 32),
  );

  async function look(count: number) {
    const fetched = Array.from({ length: count }, (_, page) => {
      const params = { path: { slug }, query: { search, from: page * PAGE } };
      return read(client.GET('/api/workrooms/{slug}/stash', { params }));
    });
    const found = await Promise.all(fetched);
    return { total: found[0]?.total ?? 0, buttons: found.flatMap((page) => page.buttons) };
  }

  const acts = new Box((id) => buttons?.find((button) => button.id === id));

  function saved(): void {
    open = undefined;
    void acts.changed();
  }
</script>

<Page
  title="Stash"
  wide
  failed={acts.failed || (box.failureCount ? 'The server does not answer. Trying again…' : '')}
>
  <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
    <h1 class="text-4xl font-semibold">Stash</h1>
    <label class="flex grow flex-col text-sm text-secondary sm:max-w-sm"
      >Search by name, shape, colour or note
      <input
        type="search"
        class="input w-full bg-base-100 text-lg text-base-content"
        bind:value={search}
        oninput={() => (pages = 1)}
      />
    </label>
    <div class="flex flex-wrap gap-2">
      {#if workroom.may('plan')}<button
          class="btn btn-primary"
          onclick={() => (open = open === 'new' ? undefined : 'new')}>A new button</button
        >
        <button
          class="btn"
          aria-expanded={open === 'file'}
          onclick={() => (open = open === 'file' ? undefined : 'file')}>From a file</button
        >{/if}
      <a class="btn" href={workroom.file('/stash.csv')} download>Save to a file</a>
    </div>
  </div>
  {#if acts.taken}
    <p role="status" class="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
      <span class="wrap-anywhere">“{acts.taken.fields.name}” is out of the box.</span>
      <button class="btn btn-sm" onclick={() => acts.putBack()}>Put it back</button>
    </p>
  {/if}
  <div class="mt-4">
    {#if open === 'new' && workroom.catalogue}<StashForm {saved} close={() => (open = undefined)} />{/if}
    {#if open === 'file'}<ImportPanel landed={() => void acts.changed()} />{/if}
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
        <StashRow
          {button}
          {widest}
          open={open === button.id}
          toggle={() => (open = open === button.id ? undefined : button.id)}
          count={(button, by) => acts.count(button, by)}
          takeOut={(button) => acts.takeOut(button).then(saved)}
        >
          <StashForm {button} {saved} close={() => (open = undefined)} />
        </StashRow>
      {/each}
    </ul>
    {#if buttons.length < total}
      <button class="btn mt-4" onclick={() => pages++}>More</button>
    {/if}
  {/if}
</Page>
