<script lang="ts">
  // Where somebody was: the garment, its next step and one button to go on.
  import { workroom } from '../../api/workroom.svelte';
  import Garment from '../../drawn/Garment.svelte';
  import HoleRow from '../../drawn/HoleRow.svelte';
  import { underWay } from '../../api/under_way';

  const asked = underWay();
  let found = $derived(asked.data);
</script>

{#if found && found.closures.length > 0}
  <section aria-labelledby="under-way">
    <h2 id="under-way" class="border-b border-base-300 pb-1 text-2xl">Continue</h2>
    <ul class="mt-3 grid gap-x-6 gap-y-5 sm:grid-cols-2 xl:grid-cols-3">
      {#each found.closures as item (item.id)}
        <li class="flex flex-col items-start gap-2">
          <div class="flex w-full gap-3">
            <Garment part={item.drawn} name="{item.garment}: {item.name}" size="h-36 w-32 shrink-0" />
            <div class="flex min-w-0 flex-col gap-1">
              <span class="font-serif text-xl leading-tight wrap-anywhere">{item.garment}: {item.name}</span>
              <span class="text-[0.95rem] wrap-anywhere text-secondary"
                >{item.next}{#if item.sewn}
                  <br />{item.sewn} of {item.drawn.places.length} {item.noun}s sewn.{/if}</span
              >
            </div>
          </div>
          <HoleRow places={item.drawn.places} length={item.drawn.length} sewn={item.drawn.sewn} />
          <a
            class="btn"
            aria-label={`Continue ${item.garment}: ${item.name}`}
            href={workroom.at(`/closures/${item.id}/${item.station}`)}>Continue</a
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
