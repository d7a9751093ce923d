<script lang="ts">
  // The workrooms there are: one's own, and the example; one begun, set aside, or brought back.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal, words, type Answer } from '../../api/ask';
  import { client, type Workroom, type WorkroomName } from '../../api/client';
  import { queries } from '../../api/queries';
  import { go } from '../../router';
  import { tour } from '../../help/tour.svelte';
  import FormField from '../../ui/FormField.svelte';
  import Page from '../Page.svelte';
  import WhatFor from './WhatFor.svelte';

  const all = createQuery(() => ({
    queryKey: ['workrooms'],
    queryFn: () => read(client.GET('/api/workrooms')),
  }));
  let name = $state('');
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let own = $derived((all.data?.workrooms ?? []).filter((room) => !room.sample));
  let sample = $derived(all.data?.workrooms.find((room) => room.sample));

  async function enter(answer: Answer<Workroom>): Promise<void> {
    ({ faults, failed } = refusal(answer));
    if (answer.kind !== 'data') return;
    await queries.invalidateQueries({ queryKey: ['workrooms'] });
    await go(`/w/${answer.data.slug}`);
  }

  /** Through the example, which is made where there is none. */
  async function showAround(): Promise<void> {
    if (sample) return tour.begin(sample.slug);
    const answer = await ask(client.POST('/api/workrooms/sample'));
    ({ faults, failed } = refusal(answer));
    if (answer.kind === 'data') await tour.begin(answer.data.slug);
  }

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await enter(await ask(client.POST('/api/workrooms', { body: { name } })));
  }

  async function putAway(room: WorkroomName): Promise<void> {
    const header = { 'If-Match': `"${room.revision}"` };
    const answer = await ask(
      client.DELETE('/api/workrooms/{slug}', { params: { path: { slug: room.slug }, header } }),
    );
    failed = words(answer);
    await queries.invalidateQueries({ queryKey: ['workrooms'] });
  }

  async function takeBack(room: WorkroomName): Promise<void> {
    const params = { path: { slug: room.slug } };
    await enter(await ask(client.POST('/api/workrooms/{slug}/taken-back', { params })));
  }
</script>

<Page
  title="Workrooms"
  failed={failed ||
    all.error?.message ||
    (all.failureCount ? 'The server does not answer. Trying again…' : '')}
>
  <h1 class="text-4xl font-semibold">{own.length ? 'Workrooms' : 'Buttonholes that fit, first time'}</h1>
  <!-- All at once, so that nothing moves under the eye. -->
  {#if all.data || all.failureCount}
    {#if own.length === 0}<WhatFor />{/if}
    <ul class="mt-4 grid gap-3 sm:grid-cols-2">
      {#each all.data?.workrooms ?? [] as room (room.slug)}
        <li class="flex items-center gap-3 rounded-lg border border-base-300 p-4">
          <a class="grow wrap-anywhere" href="/w/{room.slug}"
            ><span class="block font-serif text-2xl hover:underline">{room.name}</span>{#if room.sample}<span
                class="text-secondary">the example: a wardrobe half sewn</span
              >{/if}</a
          >
          {#if room.own}
            <button
              class="btn btn-ghost btn-sm"
              aria-label="Set aside {room.name}"
              onclick={() => putAway(room)}>Set aside</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if all.data}
      <p class="mt-3 flex flex-wrap gap-3">
        {#if !sample && all.data.you.kind !== 'device'}
          <button class="btn" onclick={async () => enter(await ask(client.POST('/api/workrooms/sample')))}
            >Try the example</button
          >
        {/if}
        <button class="btn" onclick={showAround}>Show me around</button>
      </p>
    {/if}
    {#if all.data?.you.kind !== 'device'}
      <form class="mt-6 flex flex-wrap items-end gap-3" onsubmit={begin}>
        <FormField
          label="Name of your workroom"
          path="workroom.name"
          bind:value={name}
          fault={faults['workroom.name'] ?? ''}
          wide
        />
        <button class="btn btn-lg btn-primary">Start my own</button>
      </form>
    {/if}
    {#if all.data && all.data.put_away.length > 0}
      <h2 class="mt-8 text-xl font-semibold">Set aside</h2>
      <p class="text-sm text-secondary">They are kept for thirty days.</p>
      <ul class="mt-1">
        {#each all.data.put_away as room (room.slug)}
          <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
            <span class="grow wrap-anywhere">{room.name}</span>
            {#if room.own}
              <button class="btn btn-sm" aria-label="Bring {room.name} back" onclick={() => takeBack(room)}
                >Bring it back</button
              >
            {/if}
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
</Page>
