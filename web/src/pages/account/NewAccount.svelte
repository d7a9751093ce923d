<script lang="ts">
  // Name, email and password of a new account.
  import { ask, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import Typed from './Typed.svelte';

  type Props = { invitation?: string; name?: string; button: string; made: () => Promise<void> | void };
  let { invitation, name: begun = '', button, made }: Props = $props();

  // svelte-ignore state_referenced_locally
  let name = $state(begun);
  let email = $state('');
  let password = $state('');
  let faults = $state<Record<string, string>>({});
  let failed = $state('');

  async function make(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const body = { name, email, password, ...(invitation ? { invitation } : {}) };
    const answer = await ask(client.POST('/api/account/create', { body }));
    ({ faults, failed } = refusal(answer));
    if (answer.kind === 'data') await made();
  }
</script>

<form onsubmit={make}>
  {#if failed || faults['invitation']}
    <p role="alert" class="mt-3 font-semibold text-error">{failed || faults['invitation']}</p>
  {/if}
  <Typed
    label="Your name"
    path="name"
    bind:value={name}
    fault={faults['name']}
    autocomplete="name"
    hint="Others see it beside what you sew."
  />
  <Typed
    label="Your email"
    path="email"
    bind:value={email}
    fault={faults['email']}
    autocomplete="username"
    inputmode="email"
  />
  <Typed
    label="A password"
    path="password"
    bind:value={password}
    secret
    fault={faults['password']}
    autocomplete="new-password"
    hint="At least 10 characters. A short sentence is easy to keep."
  />
  <p class="mt-5"><button class="btn btn-lg btn-primary">{button}</button></p>
</form>
