<script lang="ts">
  // Coming in by an invitation: with a new account, or with the one somebody has.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, gone, read, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { whoIsIt } from '../../api/entrance';
  import { go } from '../../router';
  import { ROLES } from '../people/roles';
  import Frame from './Frame.svelte';
  import NewAccount from './NewAccount.svelte';

  // After the #, so that no server on the way writes it down.
  const token = location.hash.slice(1);
  const path = { token };
  const invited = createQuery(() => ({
    queryKey: ['invitation', token],
    queryFn: () => read(client.GET('/api/invitations/{token}', { params: { path } })),
    enabled: token !== '',
  }));
  const asked = createQuery(() => ({
    queryKey: ['account'],
    queryFn: () => read(client.GET('/api/account')),
  }));
  let failed = $state('');
  let data = $derived(invited.data);
  let missing = $derived(token === '' || gone(invited.error) || invited.isError);

  async function arrived(): Promise<void> {
    await whoIsIt();
    const answer = await ask(client.GET('/api/workrooms'));
    const room = answer.kind === 'data' ? answer.data.workrooms[0] : undefined;
    await go(room ? `/w/${room.slug}` : '/');
  }

  async function accept(): Promise<void> {
    const answer = await ask(client.POST('/api/invitations/{token}/accepted', { params: { path } }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    await whoIsIt();
    await go(answer.data.slug ? `/w/${answer.data.slug}` : '/');
  }
</script>

<Frame title={data?.workroom ?? (missing ? 'Invitation' : 'Nimble Eyelet')} {failed}>
  {#if missing}
    <p class="mt-4">You need a new invitation: ask for one.</p>
  {:else if data && asked.data}
    <p class="mt-3 text-lg" data-invited>
      {data.by ?? 'Somebody'} invites you: you {ROLES[data.role].you}.
    </p>
    {#if asked.data.kind === 'account'}
      <p class="mt-5">
        <button class="btn btn-lg btn-primary" onclick={accept}>Join as {asked.data.name}</button>
      </p>
    {:else}
      <NewAccount invitation={token} name={data.name} button="Make my account" made={arrived} />
      <p class="mt-6">
        <a class="link" href="/sign-in?to={encodeURIComponent(`/join#${token}`)}">I have an account</a>
      </p>
    {/if}
  {:else}
    <p class="mt-4" role="status">Looking at your invitation…</p>
  {/if}
</Frame>
