<script lang="ts">
  // The page somebody went to could not be fetched: it is asked for until it can.
  import { onMount } from 'svelte';
  import { ask } from './ask';
  import { client } from './client';

  const AGAIN = 1000;

  onMount(() => {
    const timer = setInterval(async () => {
      const answer = await ask(client.GET('/api/health'));
      if (answer.kind === 'data') location.reload();
    }, AGAIN);
    return () => clearInterval(timer);
  });
</script>

<main id="main" class="m-auto p-6 text-center">
  <p role="status">The server does not answer. Trying again…</p>
</main>
