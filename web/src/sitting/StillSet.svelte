<script lang="ts">
  // A sitting that was left with something away from its usual says so on every page, until it is back.
  import { underWay } from '../api/under_way';
  import { workroom } from '../api/workroom.svelte';

  const asked = underWay();
  let left = $derived(
    (asked.data?.sittings ?? []).flatMap((sitting) => {
      const machine = asked.data?.machines.find((one) => one.id === sitting.machine_id);
      return machine ? [{ sitting, ledger: machine.ledger }] : [];
    }),
  );
</script>

{#each left as one (one.sitting.id)}
  <p
    class="no-print flex flex-wrap items-center gap-x-3 border-b border-base-300 bg-base-200 px-4 py-1 text-sm"
    data-still-set
  >
    <span class="min-w-0 flex-1 wrap-anywhere"
      ><strong>{one.sitting.machine}</strong> is still set: {one.ledger
        .map((entry) => `${entry.name} ${entry.now}`)
        .join(', ')}.</span
    >
    <a class="link" href={workroom.at(`/sittings/${one.sitting.id}`)}>Go on with the sitting</a>
  </p>
{/each}
