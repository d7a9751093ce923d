<script lang="ts">
  // At the foot of every station: what is still missing here, or the one thing to do now. Going on ties the
  // knot, unless it is tied.
  import type { Closure, StageState, StageWord } from '../api/client';
  import type { ClosureWork } from '../closure/work.svelte';

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

<p class="mt-8 flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-base-300 pt-4">
  {#if stage.missing}
    <span class="max-w-prose text-warning" data-missing>{stage.missing}</span>
    {#if next}<button class="btn" onclick={() => go(next.word)}>Next: {next.title}</button>{/if}
  {:else if next}
    <button class="btn btn-lg btn-primary" onclick={on}>Next: {next.title}</button>
    <span class="text-secondary">{next.question}</span>
  {:else}
    <span class="text-secondary">That is the last station: lay it all on the table.</span>
  {/if}
</p>
