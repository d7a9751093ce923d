<script lang="ts">
  // What on the machine is away from neutral, whatever closure left it so, and how each thing goes back.
  import type { Sheet } from '../api/client';
  import Term from '../ui/Term.svelte';
  import { shortcuts } from './shortcuts.svelte';

  let { sheet, machine, go }: { sheet: Sheet; machine: string; go: () => void } = $props();

  let next = $derived(sheet.sewing?.steps.find((step) => step.key === sheet.sewing?.next));
</script>

<aside
  aria-label="Machine ledger"
  class="no-print border-base-300 bg-base-200 px-4 py-4 wrap-anywhere max-lg:border-t lg:overflow-y-auto lg:border-l"
>
  <h2 class="text-lg font-semibold">On {machine}</h2>
  {#if sheet.ledger.length === 0}
    <p class="mt-1 text-secondary">Your machine is on its usual settings.</p>
  {:else}
    <p class="text-sm text-secondary">
      Changed from your <Term of="neutral" as="usual" />, and how to put it back:
    </p>
    <ul class="mt-2 space-y-3">
      {#each sheet.ledger as entry (entry.key)}
        <li class="border-l-2 border-dashed border-primary pl-2">
          <span class="block text-sm text-secondary">{entry.name}</span>
          <span class="block text-lg leading-tight font-semibold">{entry.now}</span>
          <span class="block text-sm">{entry.back}</span>
        </li>
      {/each}
    </ul>
  {/if}
  {#if next}
    <h3 class="mt-5 text-base font-semibold">Next at the machine</h3>
    <button class="mt-1 cursor-pointer text-left text-[0.95rem] underline decoration-dotted" onclick={go}>
      {next.does}
    </button>
  {/if}
  <label class="mt-5 flex cursor-pointer items-start gap-2 text-sm text-secondary max-lg:hidden">
    <input
      type="checkbox"
      class="checkbox mt-0.5 checkbox-xs"
      checked={shortcuts.on}
      onchange={() => shortcuts.toggle()}
    />
    <span>Keys 1 to {sheet.stages.length} go to a stage</span>
  </label>
</aside>
