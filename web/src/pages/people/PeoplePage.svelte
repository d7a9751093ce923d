<script lang="ts">
  // Who belongs to this workroom, who is invited, and a class that has copies of it.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, words, type Answer } from '../../api/ask';
  import { client, type People, type Role } from '../../api/client';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';
  import FirstAccount from '../account/FirstAccount.svelte';
  import Page from '../Page.svelte';
  import ClassOf from './ClassOf.svelte';
  import Invite from './Invite.svelte';
  import { ROLES } from './roles';

  let path = $derived({ slug: workroom.slug });
  const asked = createQuery(() => ({
    queryKey: ['people', workroom.slug],
    queryFn: () => read(client.GET('/api/workrooms/{slug}/people', { params: { path } })),
    enabled: workroom.slug !== '',
  }));
  const account = createQuery(() => ({
    queryKey: ['account'],
    queryFn: () => read(client.GET('/api/account')),
  }));
  let you = $derived(workroom.data?.you);
  let owner = $derived(you?.role === 'owner');
  let failed = $state('');

  function take(answer: Answer<People>): void {
    failed = words(answer);
    if (answer.kind === 'data') queries.setQueryData(['people', workroom.slug], answer.data);
  }

  async function change(id: number, role: Role): Promise<void> {
    const params = { path: { ...path, id } };
    take(await ask(client.PATCH('/api/workrooms/{slug}/people/{id}', { params, body: { role } })));
    await workroom.refresh();
  }

  async function remove(id: number): Promise<void> {
    const params = { path: { ...path, id } };
    take(await ask(client.DELETE('/api/workrooms/{slug}/people/{id}', { params })));
  }

  async function takeBack(id: number): Promise<void> {
    const params = { path: { ...path, id } };
    take(await ask(client.DELETE('/api/workrooms/{slug}/invitations/{id}', { params })));
  }

  async function leave(): Promise<void> {
    const answer = await ask(client.DELETE('/api/workrooms/{slug}/people/own', { params: { path } }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    await queries.invalidateQueries({ queryKey: ['workrooms'] });
    await go('/');
  }
</script>

<Page title="People" failed={failed || (asked.isError ? 'The server does not answer. Trying again…' : '')}>
  {#if account.data?.kind === 'own'}
    <FirstAccount account={account.data} made={() => void account.refetch()} />
  {:else if asked.data && you}
    <h1 class="text-4xl font-semibold">People</h1>
    <ul class="mt-3" data-people>
      {#each asked.data.people as person (person.account)}
        <li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-dashed border-base-300 py-2">
          <span class="min-w-40 grow text-lg wrap-anywhere"
            >{person.name}{person.account === you.account ? ' (you)' : ''}</span
          >
          {#if owner}
            <select
              class="select w-44 bg-base-100"
              aria-label="What {person.name} does here"
              value={person.role}
              onchange={(event) => change(person.account, event.currentTarget.value as Role)}
            >
              {#each Object.entries(ROLES) as [key, role] (key)}<option value={key}>{role.name}</option
                >{/each}
            </select>
            <button
              class="btn btn-ghost btn-sm"
              aria-label="Remove {person.name}"
              disabled={person.account === you.account}
              onclick={() => remove(person.account)}>Remove</button
            >
          {:else}
            <span class="text-secondary">{ROLES[person.role].name}</span>
          {/if}
        </li>
      {/each}
      {#each asked.data.invited as one (one.id)}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-2">
          <span class="grow text-secondary wrap-anywhere"
            >{one.name || 'Somebody'}, invited: {ROLES[one.role].name}</span
          >
          <button
            class="btn btn-ghost btn-sm"
            aria-label="Take back the invitation of {one.name || 'somebody'}"
            onclick={() => takeBack(one.id)}>Take back</button
          >
        </li>
      {/each}
    </ul>
    {#if owner}
      <Invite invited={() => void asked.refetch()} />
      <ClassOf />
    {/if}
    {#if you.kind === 'account' && asked.data.people.length > 1}
      <p class="mt-8"><button class="btn btn-ghost" onclick={leave}>Leave this workroom</button></p>
    {/if}
  {:else}
    <p role="status">Loading people…</p>
  {/if}
</Page>
