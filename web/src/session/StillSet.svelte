<script lang="ts">
  // A session that was left with something away from its usual says so on every page, until it is back.
  import { sessionsOpen } from '../api/under_way';
  import { workroom } from '../api/workroom.svelte';

  const asked = sessionsOpen();
  let left = $derived((asked.data ?? []).filter((session) => session.ledger.length > 0));
</script>

{#each left as one (one.id)}
  <p
    class="no-print flex flex-wrap items-center gap-x-3 border-b border-base-300 bg-base-200 px-4 py-1 text-sm"
    data-still-set
  >
    <span class="min-w-0 flex-1 wrap-anywhere"
      ><strong>{one.machine}</strong>: {one.ledger.length}
      {one.ledger.length === 1 ? 'thing' : 'things'} still to put back</span
    >
    <a class="link" href={workroom.at(`/sessions/${one.id}`)}>Go on with the session</a>
  </p>
{/each}
