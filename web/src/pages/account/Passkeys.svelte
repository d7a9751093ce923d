<script lang="ts">
  // Passkeys of the account: one is added with this device, or deleted; both with the password.
  import { ask, refusal } from '../../api/ask';
  import { client, type Security } from '../../api/client';
  import { add, NONE, possible } from '../../api/passkey';
  import Typed from './Typed.svelte';
  import { day } from '../../ui/when';

  let { email, passkeys, changed }: { email: string; passkeys: Security['passkeys']; changed: () => void } =
    $props();
  /** What the password is asked for. */
  let doing = $state<{ delete?: string }>();
  let password = $state('');
  let fault = $state('');

  async function go(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!doing) return;
    const answer = doing.delete
      ? await ask(
          client.POST('/api/account/webauthn-remove', { body: { webauthn_remove: doing.delete, password } }),
        )
      : await add(password);
    const said = answer ? refusal(answer) : { faults: {}, failed: NONE };
    fault = said.faults['password'] ?? said.failed;
    if (answer?.kind !== 'data') return;
    doing = undefined;
    password = '';
    changed();
  }
</script>

<ul class="mt-1">
  {#each passkeys as key, index (key.id)}
    <li class="flex flex-wrap items-center gap-x-4 border-b border-dashed border-base-300 py-1.5">
      <span class="grow">Passkey {index + 1}, last used {day(key.last)}</span>
      <button class="btn btn-sm" onclick={() => (doing = { delete: key.id })}
        >Delete passkey {index + 1}</button
      >
    </li>
  {/each}
</ul>
{#if doing}
  <form class="max-w-md" onsubmit={go}>
    <Typed
      whose={email}
      label="Your password"
      path="password"
      bind:value={password}
      secret
      {fault}
      autocomplete="current-password"
    />
    <p class="mt-3 flex gap-3">
      <button class="btn btn-primary">{doing.delete ? 'Delete passkey' : 'Add passkey'}</button>
      <button type="button" class="btn btn-ghost" onclick={() => (doing = undefined)}>Cancel</button>
    </p>
  </form>
{:else if possible()}
  <button class="btn mt-3" onclick={() => (doing = {})}>Add a passkey</button>
{:else}
  <p class="text-secondary">This browser makes no passkeys here.</p>
{/if}
