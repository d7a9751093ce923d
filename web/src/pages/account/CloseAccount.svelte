<script lang="ts">
  // Closing the account, with all that is in it saved to files first.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import { go } from '../../router';
  import Typed from './Typed.svelte';

  let { email }: { email: string } = $props();

  const rooms = createQuery(() => ({
    queryKey: ['workrooms'],
    queryFn: () => read(client.GET('/api/workrooms')),
  }));
  let password = $state('');
  let fault = $state('');
  let saved = $state(false);

  async function close(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const answer = await ask(client.POST('/api/account/close-account', { body: { password } }));
    const said = refusal(answer);
    fault = said.faults['password'] ?? said.failed;
    if (answer.kind === 'data') await go('/sign-in');
  }
</script>

<p class="max-w-prose">
  Others no longer see your name. Your own workrooms stay for thirty more days. Where others sew, make one of
  them the owner first.
</p>
<p class="mt-2">First save what you want to keep:</p>
<ul class="ml-5 list-disc">
  {#each rooms.data?.workrooms ?? [] as room (room.slug)}
    <li>
      <a class="link" href="/api/workrooms/{room.slug}/everything.tar" download>Save {room.name} to a file</a>
    </li>
  {/each}
</ul>
<form class="max-w-md" onsubmit={close}>
  <label class="mt-3 flex min-h-11 cursor-pointer items-center gap-3">
    <input type="checkbox" class="checkbox" bind:checked={saved} /> I have what I want to keep
  </label>
  <Typed
    whose={email}
    label="Your password"
    path="password"
    bind:value={password}
    secret
    {fault}
    autocomplete="current-password"
  />
  <p class="mt-4"><button class="btn border-error text-error" disabled={!saved}>Close account</button></p>
</form>
