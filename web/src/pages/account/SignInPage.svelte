<script lang="ts">
  // Signing in: with a password, or a passkey. What was typed elsewhere waits, and goes on afterwards.
  import { ask, refusal, type Answer } from '../../api/ask';
  import { client } from '../../api/client';
  import { whoIsIt } from '../../api/entrance';
  import { NONE, possible, use } from '../../api/passkey';
  import { wanted } from '../../api/who.svelte';
  import { go } from '../../router';
  import Frame from './Frame.svelte';
  import Typed from './Typed.svelte';

  let email = $state('');
  let password = $state('');
  let stay = $state(false);
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  /** A letter was asked for. */
  let sent = $state(false);
  let forgotten = $state(false);

  async function came(answer: Answer<unknown> | undefined): Promise<void> {
    if (!answer) {
      failed = NONE;
      return;
    }
    ({ faults, failed } = refusal(answer));
    if (answer.kind !== 'data') return;
    await whoIsIt();
    await go(wanted());
  }

  async function signIn(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await came(await ask(client.POST('/api/account/login', { body: { email, password, stay } })));
  }

  async function forget(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const answer = await ask(client.POST('/api/account/reset-password-request', { body: { email } }));
    ({ faults, failed } = refusal(answer));
    sent = answer.kind === 'data';
  }
</script>

<Frame title={forgotten ? 'A new password' : 'Sign in'} {failed}>
  {#if sent}
    <p role="status" class="mt-4">
      If there is an account for {email}, an email is on its way. Open its link within an hour.
    </p>
    <p class="mt-2 text-secondary">If none comes, ask the person who runs this server.</p>
    <p class="mt-4">
      <button class="btn" onclick={() => (sent = forgotten = false)}>Back to signing in</button>
    </p>
  {:else if forgotten}
    <form onsubmit={forget}>
      <Typed
        label="Your email"
        path="email"
        bind:value={email}
        fault={faults['email']}
        autocomplete="username"
        inputmode="email"
      />
      <p class="mt-5 flex flex-wrap gap-3">
        <button class="btn btn-lg btn-primary">Send me an email</button>
        <button type="button" class="btn btn-ghost btn-lg" onclick={() => (forgotten = false)}>Back</button>
      </p>
    </form>
  {:else}
    <form onsubmit={signIn}>
      <Typed
        label="Your email"
        path="email"
        bind:value={email}
        fault={faults['email']}
        autocomplete="username"
        inputmode="email"
      />
      <Typed
        label="Your password"
        path="password"
        bind:value={password}
        secret
        fault={faults['password']}
        autocomplete="current-password"
      />
      <label class="mt-3 flex min-h-11 cursor-pointer items-center gap-3">
        <input type="checkbox" class="checkbox" bind:checked={stay} /> Stay signed in on this device
      </label>
      <p class="mt-3 flex flex-wrap gap-3">
        <button class="btn btn-lg btn-primary">Sign in</button>
        {#if possible()}
          <button type="button" class="btn btn-lg" onclick={async () => came(await use())}
            >Use a passkey</button
          >
        {/if}
      </p>
    </form>
    <p class="mt-6 flex flex-wrap gap-x-6 gap-y-2">
      <button class="link" onclick={() => (forgotten = true)}>I forgot my password</button>
      <a class="link" href="/pair">Pair this device with six figures</a>
    </p>
  {/if}
</Frame>
