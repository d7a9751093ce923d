<script lang="ts">
  // "Where was I?": what is under way, each with its small run, its next step and one button to go on; and the
  // machines with anything left set on them.
  import { workroom } from '../../api/workroom.svelte';
  import SmallRun from '../../ui/SmallRun.svelte';
  import { underWay } from '../../api/under_way';

  const asked = underWay();
  let found = $derived(asked.data);
</script>

{#if found && found.closures.length > 0}
  <section class="mt-5" aria-labelledby="under-way">
    <h2 id="under-way" class="text-xl font-semibold">Under way</h2>
    <ul class="mt-1">
      {#each found.closures as item (item.id)}
        <li class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-base-300 py-3">
          <SmallRun places={item.places} length={item.run_length} />
          <span class="min-w-48 flex-1">
            <span class="block font-semibold wrap-anywhere">{item.garment}: {item.name}</span>
            <span class="block wrap-anywhere">{item.next}</span>
            {#if item.sewn}<span class="block text-sm text-secondary"
                >{item.sewn} of {item.places.length} {item.noun}s sewn</span
              >{/if}
          </span>
          <a
            class="btn btn-primary"
            aria-label={`Go on with ${item.garment}: ${item.name}`}
            href={workroom.at(`/closures/${item.id}/${item.station}`)}>Go on</a
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if found && found.machines.length > 0}
  <section class="mt-5 border-l-4 border-warning pl-3" aria-labelledby="left-set">
    <h2 id="left-set" class="text-lg font-semibold">Left set</h2>
    {#each found.machines as machine (machine.id)}
      <p class="wrap-anywhere">
        <strong>{machine.name}</strong>: {machine.ledger
          .map((entry) => `${entry.name} ${entry.now}`)
          .join(', ')}.
      </p>
    {/each}
  </section>
{/if}
