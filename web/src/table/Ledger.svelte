<script lang="ts">
  // What on the machine is changed from usual, whatever buttonholes left it so, and how each thing goes back.
  import type { Sheet } from '../api/client';
  import Fold from '../ui/Fold.svelte';
  import { shortcuts } from './shortcuts.svelte';

  let { sheet, machine, go }: { sheet: Sheet; machine: string; go: () => void } = $props();

  let next = $derived(sheet.sewing?.steps.find((step) => step.key === sheet.sewing?.next));
</script>

<aside
  aria-label="Your machine"
  class="no-print border-base-300 bg-base-200 px-4 py-3 wrap-anywhere max-lg:border-t lg:overflow-y-auto lg:border-l"
>
  <h2 class="text-xl font-semibold">{machine}</h2>
  {#if sheet.ledger.length === 0}
    <p class="mt-1 text-secondary">Your machine is on its usual settings.</p>
  {:else}
    <dl class="mt-1 divide-y divide-base-300">
      {#each sheet.ledger as entry (entry.key)}
        <div class="py-1.5">
          <dt class="text-sm text-secondary">{entry.name}</dt>
          <dd class="leading-tight font-semibold">{entry.now}</dd>
        </div>
      {/each}
    </dl>
    <Fold name="put-back" title="How to put it back">
      <ul class="space-y-1 text-[0.95rem]">
        {#each sheet.ledger as entry (entry.key)}<li>{entry.back}</li>{/each}
      </ul>
    </Fold>
  {/if}
  {#if next}
    <h3 class="mt-3 text-base font-semibold">Next</h3>
    <button
      class="mt-1 min-h-11 cursor-pointer text-left text-[0.95rem] underline decoration-dotted"
      onclick={go}
    >
      {next.does}
    </button>
  {/if}
  <label class="mt-3 flex min-h-11 cursor-pointer items-center gap-2 text-sm text-secondary max-lg:hidden">
    <input
      type="checkbox"
      class="checkbox checkbox-xs"
      checked={shortcuts.on}
      onchange={() => shortcuts.toggle()}
    />
    <span>Keys 1 to {sheet.stages.length} go to a stage</span>
  </label>
</aside>
