<script lang="ts">
  // Another tab changed what is typed here: which shall stand?
  import type { Conflict } from './merge';
  import type { ClosureWork } from './work.svelte';

  let { work, conflict }: { work: ClosureWork; conflict: Conflict } = $props();
</script>

<div role="alert" class="text-sm">
  {#if conflict.theirs}
    <p>Another tab or device made this <strong>{conflict.theirs}</strong>.</p>
  {:else}
    <p>Another tab or device removed this.</p>
  {/if}
  <button class="btn btn-xs" onclick={() => work.saver.resolve(conflict, true)}>Keep {conflict.mine}</button>
  <button class="btn btn-xs" onclick={() => work.saver.resolve(conflict, false)}
    >{conflict.theirs ? `Take ${conflict.theirs}` : 'Let it go'}</button
  >
</div>
