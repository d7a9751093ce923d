<script lang="ts">
  // What is not saved, and why. Silent when all is well.
  import { workroom } from '../api/workroom.svelte';
  import { go } from '../router';
  import { correcting } from '../outbox/correcting.svelte';
  import Refused from '../outbox/Refused.svelte';
  import SignIn from '../ui/SignIn.svelte';
  import { begun } from './begun.svelte';
  import { rowOf } from './typed';
  import type { ClosureWork } from './work.svelte';

  let { work }: { work: ClosureWork } = $props();
</script>

{#if work.away}
  <p
    role="alert"
    class="mb-3 flex flex-wrap items-center gap-x-3 border-l-4 border-warning bg-base-200 px-3 py-2"
  >
    {#if work.away === 'sign_in'}
      <SignIn />
    {:else}
      The server does not answer. {work.unsaved
        ? 'What you typed is kept here and will be saved as soon as it does.'
        : 'Trying again…'}
    {/if}
  </p>
{:else if work.conflicts.length > 0}
  <p role="alert" class="mb-3 border-l-4 border-warning bg-base-200 px-3 py-2">
    {work.conflicts.map(({ path }) => workroom.label(rowOf(path)?.list ?? path)).join(', ')}: changed in
    another place as well. Choose beside the field which to keep.
  </p>
{:else if work.saver.notice}
  <p
    role="alert"
    class="mb-3 flex items-start justify-between border-l-4 border-warning bg-base-200 px-3 py-2"
  >
    {work.saver.notice}
    <button class="btn btn-ghost btn-xs" onclick={() => (work.saver.notice = '')}>Close</button>
  </p>
{/if}
{#if begun.of('closure', work.id)}
  <p
    class="mb-3 flex items-start justify-between border-l-4 border-base-300 bg-base-200 px-3 py-2"
    role="status"
  >
    {begun.of('closure', work.id)}
    <button class="btn btn-ghost btn-xs" onclick={() => begun.close()}>Close</button>
  </p>
{/if}
<Refused
  outbox={work.outbox}
  correct={(press) => {
    correcting.press = press;
    void go(workroom.at(`/closures/${work.id}/swatch`));
  }}
/>
