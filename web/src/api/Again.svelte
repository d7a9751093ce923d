<script lang="ts">
  // What was gone to could not be fetched: the server is asked until it answers, and then all of it is fetched.
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

<p role="status">The server does not answer. Trying again…</p>
