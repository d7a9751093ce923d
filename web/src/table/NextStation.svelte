<script lang="ts">
  // At the foot of every stage: what is still missing here, or the way on, which marks the stage as decided; and whether
  // everything is shown.
  import type { Closure, StageState, StageWord } from '../api/client';
  import type { ClosureWork } from '../closure/work.svelte';
  import ShowEverything from '../ui/ShowEverything.svelte';

  let {
    work,
    closure,
    stage,
    go,
  }: { work: ClosureWork; closure: Closure; stage: StageState; go: (word: StageWord) => void } = $props();

  let stages = $derived(closure.sheet.stages);
  let next = $derived(stages[stages.findIndex((other) => other.word === stage.word) + 1]);

  function on(): void {
    if (stage.state !== 'tied') work.typeAll({ [`settled.${stage.word}`]: 'yes' });
    if (next) go(next.word);
  }
</script>

<div
  class="mt-2 flex flex-wrap items-center justify-end gap-x-4 gap-y-2 bg-base-100 py-2 lg:sticky lg:-bottom-3"
>
  {#if stage.missing}
    <span class="max-w-prose text-warning" data-missing>{stage.missing}</span>
    {#if next}<button class="btn" onclick={() => go(next.word)}>Next: {next.title}</button>{/if}
  {:else if next}
    <button class="btn btn-lg btn-primary" onclick={on}>Next: {next.title}</button>
  {/if}
  <div class="order-first mr-auto"><ShowEverything /></div>
</div>
