<script lang="ts">
  // The workrooms there are: one's own, and the sample; one begun, put away, or brought back.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal, words, type Answer } from '../../api/ask';
  import { client, type Workroom, type WorkroomName } from '../../api/client';
  import { queries } from '../../api/queries';
  import { go } from '../../router';
  import FormField from '../../ui/FormField.svelte';
  import Page from '../Page.svelte';

  const all = createQuery(() => ({
    queryKey: ['workrooms'],
    queryFn: () => read(client.GET('/api/workrooms')),
  }));
  let name = $state('');
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let sample = $derived(all.data?.workrooms.find((room) => room.sample));

  async function enter(answer: Answer<Workroom>): Promise<void> {
    ({ faults, failed } = refusal(answer));
    if (answer.kind !== 'data') return;
    await queries.invalidateQueries({ queryKey: ['workrooms'] });
    await go(`/w/${answer.data.slug}`);
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
  <h1 class="text-4xl font-semibold">Workrooms</h1>
  <p class="mt-1 max-w-prose text-secondary">
    A workroom has its own garments, machines, shelves and habits; nothing of one shows in another.
  </p>
  <!-- All at once, so that nothing moves under the eye. -->
  {#if all.data || all.failureCount}
    <ul class="mt-5">
      {#each all.data?.workrooms ?? [] as room (room.slug)}
        <li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-dashed border-base-300 py-2">
          <a class="grow text-xl wrap-anywhere hover:underline" href="/w/{room.slug}"
            >{room.name}{#if room.sample}<span class="text-base text-secondary"
                >, the sample to try things on</span
              >{/if}</a
          >
          <button class="btn btn-ghost btn-sm" aria-label="Put away {room.name}" onclick={() => putAway(room)}
            >Put away</button
          >
        </li>
      {:else}
        {#if all.data}<li class="text-secondary">
            None is open. Begin your own, or lay the sample out.
          </li>{/if}
      {/each}
    </ul>
    {#if all.data && !sample}
      <button class="btn mt-3" onclick={async () => enter(await ask(client.POST('/api/workrooms/sample')))}
        >Lay the sample out fresh</button
      >
    {/if}
    <form class="mt-8 max-w-md border-l-4 border-primary pl-4" onsubmit={begin}>
      <h2 class="text-xl font-semibold">Begin your own workroom</h2>
      <p class="text-sm text-secondary">It begins empty: your own machine, your own garments.</p>
      <div class="mt-3">
        <FormField
          label="What it is called"
          path="workroom.name"
          bind:value={name}
          fault={faults['workroom.name'] ?? ''}
          wide
        />
      </div>
      <button class="btn mt-3 btn-primary">Begin it</button>
    </form>
    {#if all.data && all.data.put_away.length > 0}
      <h2 class="mt-8 text-xl font-semibold">Put away</h2>
      <p class="text-sm text-secondary">Kept for thirty days.</p>
      <ul class="mt-1">
        {#each all.data.put_away as room (room.slug)}
          <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
            <span class="grow wrap-anywhere">{room.name}</span>
            <button class="btn btn-sm" aria-label="Take {room.name} back" onclick={() => takeBack(room)}
              >Take it back</button
            >
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
</Page>
