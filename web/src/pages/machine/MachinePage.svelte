<script lang="ts">
  // What a machine is like, asked as its owner can answer it: by looking at it and sewing a hole.
  import { untrack } from 'svelte';
  import { workroom } from '../../api/workroom.svelte';
  import { go, route } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import FormField from '../../ui/FormField.svelte';
  import Page from '../Page.svelte';
  import MachineDials from './MachineDials.svelte';
  import MachineFeet from './MachineFeet.svelte';
  import MachineLearned from './MachineLearned.svelte';
  import MachineKind from './MachineKind.svelte';
  import MachineProgrammes from './MachineProgrammes.svelte';
  import MachineWatched from './MachineWatched.svelte';
  import { Profile } from './profile.svelte';

  let id = $derived(route.params.id === 'new' ? undefined : Number(route.params.id));
  let slug = $derived(workroom.slug);
  let profile = $state.raw(untrack(() => new Profile(slug, id)));

  $effect(() => {
    const opened = new Profile(slug, id);
    profile = opened;
    if (slug) void opened.load();
    return () => opened.leave();
  });

  let facts = $derived(profile.typed.facts);
  let catalogue = $derived(workroom.catalogue);
  let programmed = $derived(catalogue?.sews.find((kind) => kind.key === facts.kind)?.programmed ?? true);

  async function add(): Promise<void> {
    const machine = await profile.save();
    if (!machine) return;
    await workroom.refresh();
    await go(workroom.at(`/machines/${machine.id}`));
  }

  async function remove(): Promise<void> {
    if (!(await profile.remove())) return;
    announce(`${facts.name} is deleted. You can put it back.`);
    await workroom.refresh();
    await go(workroom.at('/deleted'));
  }
</script>

<Page
  title={facts.name || 'A new machine'}
  failed={profile.notice}
  missing={profile.missing ? 'This machine is not here any more.' : ''}
>
  {#if catalogue && (!id || profile.saved)}
    <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
      <h1 class="text-4xl font-semibold wrap-anywhere">{facts.name || 'A new machine'}</h1>
      {#if id}
        <span role="status" class="text-sm text-secondary"
          >{profile.saving ? 'Saving…' : profile.dirty ? 'Not saved yet' : 'All saved'}</span
        >
      {/if}
      {#if profile.dirty && (id || facts.name)}
        <button class="btn btn-xs" onclick={() => profile.drop()}>Drop my changes</button>
      {/if}
    </div>
    <p class="mt-1 max-w-prose text-secondary">The machine's own manual wins over anything here.</p>
    <div class="mt-4">
      <FormField
        label="What you call it"
        path="machine.name"
        bind:value={facts.name}
        fault={profile.faults['machine.name'] ?? ''}
        wide
        changed={() => profile.changed()}
      />
    </div>
    <MachineKind {profile} {catalogue} />
    {#if programmed}
      <MachineWatched {profile} {catalogue} />
      <MachineProgrammes {profile} {catalogue} />
    {/if}
    <MachineDials {profile} {catalogue} />
    <MachineFeet {profile} {catalogue} />
    {#if id}<MachineLearned {id} />{/if}
    <div class="mt-8 flex flex-wrap items-center gap-3">
      {#if id}
        <a class="btn btn-primary" href={workroom.at()}>Next: new buttonholes</a>
        <button class="btn" onclick={remove}>Delete this machine</button>
        {#if profile.saved && profile.saved.closures.length > 0}
          <span class="text-sm text-secondary"
            >used for {profile.saved.closures.map((closure) => closure.name).join(', ')}</span
          >
        {/if}
      {:else}
        <button class="btn btn-primary" disabled={profile.saving} onclick={add}>Save machine</button>
      {/if}
    </div>
  {:else}
    <p role="status">Loading your machine…</p>
  {/if}
</Page>
