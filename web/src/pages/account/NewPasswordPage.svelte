<script lang="ts">
  // A new password, by the address of a letter.
  import { ask, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import Frame from './Frame.svelte';
  import Typed from './Typed.svelte';

  const key = location.hash.slice(1);
  let password = $state('');
  let fault = $state('');
  let failed = $state('');
  let done = $state(false);

  async function change(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const answer = await ask(client.POST('/api/account/reset-password', { body: { key, password } }));
    const said = refusal(answer);
    fault = said.faults['password'] ?? '';
    failed = said.failed;
    done = answer.kind === 'data';
  }
</script>

<Frame title="A new password" {failed}>
  {#if done}
    <p role="status" class="mt-4">You have a new password. Sign in again on your other browsers.</p>
    <p class="mt-4"><a class="btn btn-lg btn-primary" href="/sign-in">Sign in</a></p>
  {:else}
    <form onsubmit={change}>
      <Typed
        whose=""
        label="New password"
        path="password"
        bind:value={password}
        secret
        {fault}
        autocomplete="new-password"
        hint="At least 10 characters. A short sentence is easy to keep."
      />
      <p class="mt-5"><button class="btn btn-lg btn-primary">Save password</button></p>
    </form>
  {/if}
</Frame>
