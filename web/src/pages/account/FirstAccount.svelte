<script lang="ts">
  // On one's own machine nobody signs in. Whoever wants a tablet, or somebody else, in the workroom makes an account.
  import type { Account } from '../../api/client';
  import NewAccount from './NewAccount.svelte';

  let { account, made }: { account: Account; made: () => void } = $props();
</script>

<h1 class="text-4xl font-semibold">Use it on other devices</h1>
{#if account.any}
  <p class="mt-3 max-w-prose">You have an account. Stop the application and start it like this:</p>
  <p class="mt-2"><code class="rounded bg-base-200 px-2 py-1 text-lg">bin/start --share</code></p>
  <p class="mt-3 max-w-prose">
    It then shows where your tablet and others find it. They sign in, or you pair a device.
  </p>
  <p class="mt-3 max-w-prose text-secondary">
    As you started it now, only this computer reaches it, and nobody signs in.
  </p>
{:else}
  <p class="mt-3 max-w-prose">
    Now only this computer reaches your workrooms, and nobody signs in. With an account you let in the tablet
    by your machine, somebody you sew with, or a class.
  </p>
  <div class="max-w-md"><NewAccount button="Make my account" {made} /></div>
{/if}
