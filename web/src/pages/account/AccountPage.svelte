<script lang="ts">
  // One's own account: where it is signed in, paired devices, passkeys, the password, what happened, and the way out.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { signOut, whoIsIt } from '../../api/entrance';
  import { go } from '../../router';
  import Fold from '../../ui/Fold.svelte';
  import Page from '../Page.svelte';
  import ChangePassword from './ChangePassword.svelte';
  import CloseAccount from './CloseAccount.svelte';
  import FirstAccount from './FirstAccount.svelte';
  import PairDevice from './PairDevice.svelte';
  import Passkeys from './Passkeys.svelte';
  import { day } from '../../ui/when';

  const asked = createQuery(() => ({
    queryKey: ['account'],
    queryFn: () => read(client.GET('/api/account')),
  }));
  let account = $derived(asked.data);
  let email = $derived(account?.email ?? '');
  const security = createQuery(() => ({
    queryKey: ['security'],
    queryFn: () => read(client.GET('/api/account/security')),
    enabled: account?.kind === 'account',
  }));
  let failed = $state('');
  const again = (): void => void security.refetch();

  async function leave(everywhere: boolean): Promise<void> {
    const answer = await signOut(everywhere);
    failed = words(answer);
    if (answer.kind === 'data') await go('/sign-in');
  }

  async function endDevice(id: number): Promise<void> {
    failed = words(await ask(client.DELETE('/api/account/devices/{id}', { params: { path: { id } } })));
    again();
  }

  async function endSession(session: string): Promise<void> {
    const params = { path: { session } };
    failed = words(await ask(client.DELETE('/api/account/sessions/{session}', { params })));
    again();
  }

  async function unpair(): Promise<void> {
    failed = words(await ask(client.DELETE('/api/pairings/own')));
    if (failed) return;
    await whoIsIt();
    await go('/pair');
  }
</script>

<Page title="Account" failed={failed || (asked.isError ? 'The server does not answer. Trying again…' : '')}>
  {#if account?.kind === 'own'}
    <FirstAccount {account} made={() => void asked.refetch()} />
  {:else if account?.kind === 'device'}
    <h1 class="text-4xl font-semibold">A paired device</h1>
    <p class="mt-2 max-w-prose">
      {account.name} paired it. It sews, logs tests and takes photos; it deletes nothing and changes no plan.
    </p>
    <p class="mt-4 flex flex-wrap gap-3">
      <a class="btn" href="/sign-in">Sign in instead</a>
      <button class="btn btn-ghost" onclick={unpair}>End pairing</button>
    </p>
  {:else if account?.kind === 'account'}
    <h1 class="text-4xl font-semibold wrap-anywhere">{account.name}</h1>
    <p class="text-secondary wrap-anywhere">{account.email}</p>
    <p class="mt-3 flex flex-wrap gap-3">
      <button class="btn" onclick={() => leave(false)}>Sign out</button>
      <button class="btn btn-ghost" onclick={() => leave(true)}>Sign out everywhere</button>
    </p>
    <h2 class="mt-7 text-xl font-semibold">Tablet by the machine</h2>
    <ul class="mt-1" data-devices>
      {#each security.data?.devices ?? [] as device (device.id)}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
          <span class="grow wrap-anywhere">{device.name}, last here {day(device.last)}</span>
          <button
            class="btn btn-sm"
            aria-label="End {device.name}, paired {day(device.since)}"
            onclick={() => endDevice(device.id)}>End</button
          >
        </li>
      {/each}
    </ul>
    <div class="mt-3"><PairDevice asked={again} /></div>
    <h2 class="mt-7 text-xl font-semibold">Signed in</h2>
    <ul class="mt-1" data-sessions>
      {#each security.data?.sessions ?? [] as one (one.id)}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
          <span class="grow">{one.name}{one.this ? ', this browser' : `, last used ${day(one.last)}`}</span>
          {#if !one.this}
            <button
              class="btn btn-sm"
              aria-label="Sign out {one.name}, since {day(one.since)}"
              onclick={() => endSession(one.id)}>Sign out</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    <h2 class="mt-7 text-xl font-semibold">Passkeys</h2>
    <Passkeys {email} passkeys={security.data?.passkeys ?? []} changed={again} />
    <div class="mt-6">
      <Fold name="password" title="Change password"><ChangePassword {email} changed={again} /></Fold>
      <Fold name="happened" title="What happened with this account">
        <ul data-happened>
          {#each security.data?.log ?? [] as line, index (index)}
            <li class="flex flex-wrap gap-x-4 border-b border-dashed border-base-300 py-1">
              <time class="w-48 text-secondary" datetime={line.at}>{day(line.at)}</time>{line.says}
            </li>
          {/each}
        </ul>
      </Fold>
      <Fold name="close" title="Close account"><CloseAccount {email} /></Fold>
    </div>
    {#if account.letters}
      <p class="mt-6 max-w-prose text-sm text-secondary">
        Without a mail server, find emails in <code class="wrap-anywhere">{account.letters}</code>.
      </p>
    {/if}
  {:else}
    <p role="status">Loading your account…</p>
  {/if}
</Page>
