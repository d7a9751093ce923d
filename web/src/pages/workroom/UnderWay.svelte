<script lang="ts">
  // Where somebody was: the garment, its next step and one button to go on; and the machines still to put back.
  import { workroom } from '../../api/workroom.svelte';
  import Garment from '../../drawn/Garment.svelte';
  import { underWay } from '../../api/under_way';

  const asked = underWay();
  let found = $derived(asked.data);
</script>

{#if found && found.closures.length > 0}
  <section class="mt-4" aria-labelledby="under-way">
    <h2 id="under-way" class="border-b border-base-300 pb-1 text-2xl">Continue</h2>
    <ul class="mt-3 grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
      {#each found.closures as item (item.id)}
        <li class="flex gap-3">
          <Garment part={item.drawn} name="{item.garment}: {item.name}" size="h-36 w-32 shrink-0" />
          <div class="flex min-w-0 flex-col items-start gap-1.5">
            <span class="font-serif text-xl leading-tight wrap-anywhere">{item.garment}: {item.name}</span>
            <span class="text-[0.95rem] wrap-anywhere text-secondary"
              >{item.next}{#if item.sewn}
                {item.sewn} of {item.drawn.places.length} {item.noun}s sewn.{/if}</span
            >
            <a
              class="btn mt-auto"
              aria-label={`Continue ${item.garment}: ${item.name}`}
              href={workroom.at(`/closures/${item.id}/${item.station}`)}>Continue</a
            >
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if found && found.machines.length > 0}
  <section class="mt-5" aria-labelledby="left-set">
    <h2 id="left-set" class="border-b border-base-300 pb-1 text-2xl">Still to put back</h2>
    {#each found.machines as machine (machine.id)}
      <details class="wrap-anywhere">
        <summary class="min-h-11 cursor-pointer py-2.5">
          <strong>{machine.name}</strong>: {machine.ledger
            .map((entry) => `${entry.name} ${entry.now}`)
            .join(', ')}
        </summary>
        <ul class="ml-5 list-disc pb-2">
          {#each machine.ledger as entry (entry.key)}<li>{entry.back}</li>{/each}
        </ul>
      </details>
    {/each}
  </section>
{/if}
