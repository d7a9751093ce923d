<script lang="ts">
  // What on the machine is changed from usual, whatever buttonholes left it so, and how each thing goes back.
  import type { Sheet } from '../api/client';
  import Dial from '../drawn/Dial.svelte';
  import Tool from '../drawn/Tool.svelte';
  import Fold from '../ui/Fold.svelte';
  import { shortcuts } from './shortcuts.svelte';

  let { sheet, machine, go }: { sheet: Sheet; machine: string; go: () => void } = $props();

  /** The drawing of a part of the machine. */
  const TOOL: Record<string, string> = {
    needle: 'needle',
    foot: 'foot',
    lever: 'lever',
    selector: 'settings',
    cycle: 'reset',
    top_thread: 'thread',
    bobbin_thread: 'wind',
    bobbin_finger: 'finger',
    feed_dogs: 'feed-off',
    foot_pressure: 'pressure',
    speed: 'speed',
    button_in_foot: 'clamp',
    foot_opened: 'foot',
    memory: 'stored',
  };
  const SET: Record<string, string> = { width: 'stitch_width', length: 'stitch_length', tension: 'tension' };

  /** A dial as the machine stands now, with its own marks. */
  function dialOf(entry: Sheet['ledger'][number]) {
    const dial = sheet.recipe.settings.find((item) => item.key === SET[entry.key])?.dial;
    const value = Number(entry.now);
    return dial && Number.isFinite(value) ? { ...dial, value } : undefined;
  }
</script>

<aside
  aria-label="Your machine"
  class="no-print border-base-300 bg-base-200 px-4 py-3 wrap-anywhere max-lg:border-t lg:overflow-y-auto lg:border-l"
>
  <h2 class="text-xl font-semibold">{machine}</h2>
  {#if sheet.ledger.length === 0}
    <p class="mt-1 text-secondary">Your machine is on its usual settings.</p>
  {:else}
    <ul class="mt-1 divide-y divide-base-300">
      {#each sheet.ledger as entry (entry.key)}
        {@const dial = dialOf(entry)}
        <li class="flex items-center gap-2 py-1.5">
          <div class="w-16 shrink-0">
            {#if dial}<Dial {...dial} size="h-9 w-16" />{:else}<Tool
                name={TOOL[entry.key] ?? ''}
                size="h-9"
              />{/if}
          </div>
          <div class="min-w-0">
            <span class="block text-sm leading-tight text-secondary">{entry.name}</span>
            <strong class="block leading-tight">{entry.now}</strong>
          </div>
        </li>
      {/each}
    </ul>
    <Fold name="put-back" title="How to put it back">
      <ul class="space-y-1 text-[0.95rem]">
        {#each sheet.ledger as entry (entry.key)}<li>{entry.back}</li>{/each}
      </ul>
    </Fold>
  {/if}
  {#if sheet.next}
    <h3 class="mt-3 text-base font-semibold">Next</h3>
    <button
      class="mt-1 min-h-11 cursor-pointer text-left text-[0.95rem] underline decoration-dotted"
      onclick={go}
    >
      {sheet.next}
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
