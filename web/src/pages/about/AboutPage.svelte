<script lang="ts">
  // Which version this is, under what licence, and by whom what it is made of.
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client } from '../../api/client';
  import Page from '../Page.svelte';

  const health = createQuery(() => ({
    queryKey: ['health'],
    queryFn: () => read(client.GET('/api/health')),
  }));
</script>

<Page title="About" failed={health.isError ? 'The server does not answer. Trying again…' : ''}>
  <h1 class="text-4xl font-semibold">Nimble Eyelet</h1>
  <p class="mt-1 text-secondary" data-version>Version {health.data?.version ?? ''}</p>
  <p class="mt-4 max-w-prose">
    It plans buttonholes, helps to test and sew them, and remembers what worked. Everything you type stays on
    your own server.
  </p>
  <h2 class="mt-6 text-xl font-semibold">Licences</h2>
  <p class="mt-1 max-w-prose">
    Nimble Eyelet is free software under the MIT licence. Its typefaces, Atkinson Hyperlegible Next and
    Piazzolla, are under the SIL Open Font License. <a class="link" href="/notices.txt" target="_blank"
      >All licences of what ships with it</a
    >.
  </p>
  <h2 class="mt-6 text-xl font-semibold">For other programs</h2>
  <p class="mt-1 max-w-prose">
    <a class="link" href="/api/docs" target="_blank">The API</a> reads and writes all that you see here.
  </p>
</Page>
