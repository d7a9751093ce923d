<script lang="ts">
  // What the machine is set to for a test hole: dials, length and stabiliser.
  import type { Closure } from '../../api/client';
  import Dial from '../../drawn/Dial.svelte';
  import TestHole from './TestHole.svelte';

  let { closure }: { closure: Closure } = $props();

  let toSew = $derived(closure.sheet.swatch.to_sew);
  let dials = $derived(closure.sheet.recipe.settings.filter((item) => item.dial));
</script>

<TestHole {closure} size="max-h-28" />
<div class="mt-2 flex flex-wrap gap-x-10 gap-y-3">
  {#each dials as item (item.key)}
    <div class="flex flex-col items-center">
      {#if item.dial}<Dial {...item.dial} />{/if}
      <span class="text-3xl font-semibold">{item.text}</span>
      <span class="text-secondary lowercase">{item.label}</span>
    </div>
  {/each}
  {#if toSew.balance !== null}
    <div class="self-end text-center">
      <span class="text-2xl font-semibold">{toSew.balance}</span>
      <span class="block text-secondary">balance</span>
    </div>
  {/if}
</div>
<p class="mt-2 text-lg">{toSew.set}</p>
<p class="text-secondary">Behind the hole: {toSew.stabiliser}</p>
