<script lang="ts">
  // What a machine is like, asked as its owner can answer it: by looking at it and sewing a hole.
  import { tick, untrack } from 'svelte';
  import { sessionsOpen } from '../../api/under_way';
  import { workroom } from '../../api/workroom.svelte';
  import { go, route } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import FormField from '../../ui/FormField.svelte';
  import { everything } from '../../ui/everything.svelte';
  import Fold from '../../ui/Fold.svelte';
  import ShowEverything from '../../ui/ShowEverything.svelte';
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

  $effect(() => {
    if (catalogue && !profile.ready && !id) profile.begin();
  });

  let facts = $derived(profile.typed.facts);
  let catalogue = $derived(workroom.catalogue);
  let programmed = $derived(catalogue?.sews.find((kind) => kind.key === facts.kind)?.programmed ?? true);

  type Key = 'kind' | 'watched' | 'dials';
  let chosen = $state<Key>('kind');
  let body = $state<HTMLElement>();
  let all = $derived(everything.on);
  /** What has to be asked of this kind, in three short parts; a part with a fault says so. */
  let parts = $derived(
    [
      { key: 'kind', name: 'How it makes a buttonhole', of: /^machine\.(name|kind)$/ },
      ...(programmed ? [{ key: 'watched', name: 'Sew one hole and watch', of: /tack_length$/ }] : []),
      { key: 'dials', name: 'Its dials and feet', of: /^feet|^machine\.(?!name$|kind$|tack_length$)/ },
    ].map((part) => ({
      ...part,
      key: part.key as Key,
      wrong: Object.keys(profile.faults).some((path) => part.of.test(path)),
    })),
  );
  let shown = $derived(parts.some((part) => part.key === chosen) ? chosen : 'kind');
  let following = $derived(parts[parts.findIndex((part) => part.key === shown) + 1]);

  async function open(key: Key): Promise<void> {
    chosen = key;
    await tick();
    body?.focus({ preventScroll: true });
    window.scrollTo({ top: 0 });
  }

  const sessions = sessionsOpen();
  /** Somebody else at it just now. */
  let sewing = $derived(
    (sessions.data ?? []).find(
      (one) => one.machine_id === Number(id) && one.by && one.by !== workroom.data?.you.name,
    ),
  );

  /** What is refused is shown where it was typed. */
  async function add(): Promise<void> {
    const machine = await profile.save();
    if (!machine) {
      const wrong = parts.find((part) => part.wrong);
      if (wrong) await open(wrong.key);
      return;
    }
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
  {#if catalogue && profile.ready && (!id || profile.saved)}
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
    {#if sewing}<p class="mt-1 text-secondary" data-in-use>{sewing.by} is sewing on it.</p>{/if}
    <nav class="mt-4 flex flex-wrap gap-x-8 border-b border-base-300" aria-label="Parts of this page">
      {#each parts as part, index (part.key)}
        <button
          class={[
            'min-h-11 cursor-pointer py-2 text-lg',
            !all && part.key === shown ? 'border-b-4 border-primary font-semibold' : 'text-secondary',
            part.wrong && 'text-error',
          ]}
          aria-current={!all && part.key === shown ? 'step' : undefined}
          onclick={() => void open(part.key)}
          ><span class="text-sm">{index + 1}</span> {part.name}{part.wrong ? ': look again' : ''}</button
        >
      {/each}
    </nav>
    <div bind:this={body} tabindex="-1" class="outline-none">
      <fieldset class="contents" disabled={!workroom.may('plan')}>
        {#if all || shown === 'kind'}
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
        {/if}
        {#if programmed && (all || shown === 'watched')}
          <MachineWatched {profile} {catalogue} />
          <Fold name="machine-programmes" title="Its other programmes">
            <MachineProgrammes {profile} {catalogue} />
          </Fold>
        {/if}
        {#if all || shown === 'dials'}
          <MachineDials {profile} {catalogue} />
          <MachineFeet {profile} {catalogue} />
          {#if id}<MachineLearned {id} />{/if}
        {/if}
      </fieldset>
    </div>
    <div class="mt-8 flex flex-wrap items-center gap-3">
      {#if following && !all}
        <button class="btn btn-lg btn-primary" onclick={() => void open(following.key)}
          >Next: {following.name.toLowerCase()}</button
        >
      {/if}
      {#if id}
        <a class={['btn', (!following || all) && 'btn-lg btn-primary']} href={workroom.at()}
          >{following && !all ? 'New buttonholes' : 'Next: new buttonholes'}</a
        >
        {#if workroom.may('plan')}<button class="btn" onclick={remove}>Delete this machine</button>{/if}
        {#if profile.saved && profile.saved.closures.length > 0}
          <span class="text-sm text-secondary"
            >used for {profile.saved.closures.map((closure) => closure.name).join(', ')}</span
          >
        {/if}
      {:else}
        <button
          class={['btn', !following || all ? 'btn-lg btn-primary' : '']}
          disabled={profile.saving}
          onclick={add}>Save machine</button
        >
      {/if}
    </div>
    <div class="mt-4 flex flex-wrap items-center gap-x-6 text-sm text-secondary">
      <ShowEverything />
      The machine's own manual wins over anything here.
    </div>
  {:else}
    <p role="status">Loading your machine…</p>
  {/if}
</Page>
