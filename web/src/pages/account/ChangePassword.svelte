<script lang="ts">
  // Another password; every other browser is signed out.
  import { ask, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import { announce } from '../../ui/announce.svelte';
  import Typed from './Typed.svelte';

  let { email, changed }: { email: string; changed: () => void } = $props();
  let password = $state('');
  let fresh = $state('');
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let done = $state(false);

  async function change(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const body = { password, 'new-password': fresh };
    const answer = await ask(client.POST('/api/account/change-password', { body }));
    ({ faults, failed } = refusal(answer));
    done = answer.kind === 'data';
    if (!done) return;
    password = fresh = '';
    announce('You have a new password.');
    changed();
  }
</script>

<form class="max-w-md" onsubmit={change}>
  {#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
  {#if done}<p role="status">You have a new password. Sign in again on your other browsers.</p>{/if}
  <Typed
    whose={email}
    label="Your password now"
    path="password"
    bind:value={password}
    secret
    fault={faults['password']}
    autocomplete="current-password"
  />
  <Typed
    label="New password"
    path="new-password"
    bind:value={fresh}
    secret
    fault={faults['new-password']}
    autocomplete="new-password"
  />
  <p class="mt-4"><button class="btn">Save password</button></p>
</form>
