<script lang="ts">
  // What is not saved, and why. Silent when all is well.
  import type { ClosureState } from '../api/closure.svelte';

  let { work }: { work: ClosureState } = $props();
</script>

{#if work.away}
  <p role="alert" class="mb-3 border-l-4 border-warning bg-base-200 px-3 py-2">
    The server does not answer. {work.unsaved
      ? 'What you typed is kept here and will be saved as soon as it does.'
      : 'Trying again…'}
  </p>
{:else if work.conflicts.length > 0}
  <p role="alert" class="mb-3 border-l-4 border-warning bg-base-200 px-3 py-2">
    Another tab changed {work.conflicts.map((conflict) => conflict.path.replaceAll(/[._]/g, ' ')).join(', ')} as
    well. Choose beside the field which to keep.
  </p>
{:else if work.notice}
  <p
    role="alert"
    class="mb-3 flex items-start justify-between border-l-4 border-warning bg-base-200 px-3 py-2"
  >
    {work.notice}
    <button class="btn btn-ghost btn-xs" onclick={() => (work.notice = '')}>Close</button>
  </p>
{/if}
