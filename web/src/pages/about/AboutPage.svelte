<script lang="ts">
  // Which version this is and what is new in it, where the data lies, a backup of it, licences.
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client } from '../../api/client';
  import Fold from '../../ui/Fold.svelte';
  import Page from '../Page.svelte';

  const asked = createQuery(() => ({
    queryKey: ['about'],
    queryFn: () => read(client.GET('/api/about')),
  }));
  let about = $derived(asked.data);
</script>

<Page title="About" failed={asked.isError ? 'The server does not answer. Trying again…' : ''}>
  <h1 class="text-4xl font-semibold">Nimble Eyelet</h1>
  <p class="mt-1 text-secondary" data-version data-as-is>Version {about?.version ?? ''}</p>
  <p class="mt-4 max-w-prose">It plans buttonholes, helps to test and sew them, and remembers what worked.</p>
  <h2 class="mt-6 text-xl font-semibold">Your data</h2>
  <p class="mt-1 max-w-prose">Everything you type stays on your own server.</p>
  {#if about?.data}<p class="mt-1 wrap-anywhere" data-where>It lies in <code>{about.data}</code>.</p>{/if}
  {#if about?.backup}
    <p class="mt-3"><a class="btn" href="/api/backup" download>Download a backup</a></p>
    <p class="mt-1 max-w-prose text-sm text-secondary">
      All workrooms and photos in one file. Put it back with <code>bin/restore FILE</code>.
    </p>
  {/if}
  {#if about && about.changes.length > 0}
    <div class="mt-4">
      <Fold name="changes" title="What is new">
        <ul class="ml-5 max-w-prose list-disc space-y-2" data-changes>
          {#each about.changes as change (change)}<li>{change}</li>{/each}
        </ul>
      </Fold>
    </div>
  {/if}
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
