<script lang="ts">
  // The stop of the tour one is at, in a corner that hides no way on.
  import { tour } from './tour.svelte';
</script>

{#if tour.stop && tour.at !== undefined}
  <section
    aria-label="Tour"
    class="no-print fixed bottom-0 left-0 z-40 w-full border-t-4 border-primary bg-base-200 p-3 shadow-lg sm:bottom-1 sm:left-1 sm:w-51 sm:border-2"
    data-tour={tour.at + 1}
  >
    <p class="text-sm text-secondary">{tour.at + 1} of {tour.length}</p>
    <p class="mt-1 text-lg">{tour.stop.says}</p>
    <p class="mt-3 flex flex-wrap gap-2">
      {#if tour.at > 0}<button class="btn" onclick={() => void tour.move(-1)}>Back</button>{/if}
      {#if !tour.last}<button class="btn btn-primary" onclick={() => void tour.move(1)}>Go on</button>{/if}
      <button class={['btn', tour.last ? 'btn-primary' : 'btn-ghost']} onclick={() => tour.leave()}
        >{tour.last ? 'End of the tour' : 'Leave'}</button
      >
    </p>
  </section>
{/if}
