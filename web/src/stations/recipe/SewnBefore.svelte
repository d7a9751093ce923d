<script lang="ts">
  // What worked last time on this machine and like cloth comes up by itself, with what is otherwise here.
  import type { Sheet } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';

  let { work, before }: { work: ClosureWork; before: Sheet['recipe']['before'] } = $props();

  const month = new Intl.DateTimeFormat(undefined, { month: 'long', year: 'numeric' });
</script>

{#if before}
  <div class="mt-3 max-w-prose border-l-4 border-primary pl-3" data-sewn-before>
    <p>
      {before.simulated ? 'Practised before' : 'Sewn before'}: {before.cloth} on {before.machine} in
      {month.format(new Date(before.sewn_at))}, {before.says}.
      {#if before.closure}<a class="link" href={workroom.at(`/closures/${before.closure}/swatch`)}
          >Its test hole</a
        >{/if}
    </p>
    {#if before.changes.length}
      <p class="text-sm text-secondary">Otherwise here: {before.changes.join('; ')}.</p>
    {/if}
    {#if Object.keys(before.sets).length}
      <button class="btn mt-1 btn-sm" onclick={() => work.typeAll(before.sets)}>Set it as then</button>
    {/if}
  </div>
{/if}
