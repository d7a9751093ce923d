<script lang="ts">
  // Another tab changed what is typed here: which shall stand?
  import type { ClosureState, Conflict } from '../api/closure.svelte';

  let { work, conflict }: { work: ClosureState; conflict: Conflict } = $props();
</script>

<div role="alert" class="text-sm">
  <p>Another tab made this <strong>{conflict.theirs || 'empty'}</strong>.</p>
  <button class="btn btn-xs" onclick={() => work.resolve(conflict, true)}>Keep {conflict.mine}</button>
  <button class="btn btn-xs" onclick={() => work.resolve(conflict, false)}>Take {conflict.theirs}</button>
</div>
