<script lang="ts">
  // What the newest test showed and the one thing to do about it, marked on the drawn hole.
  import type { Advice, Closure } from '../../api/client';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import TwentyButtons from '../../drawn/TwentyButtons.svelte';
  import Fold from '../../ui/Fold.svelte';
  import AdvicePanel from './Advice.svelte';
  import StoredNote from './StoredNote.svelte';
  import Strip from './Strip.svelte';
  import TestHole from './TestHole.svelte';

  type Props = {
    work: ClosureWork;
    closure: Closure;
    advice: Advice | undefined;
    fresh: boolean;
    failing: boolean;
    /** Tests that wait for the server. */ waiting: number;
    practise: () => Promise<void>;
    /** To the first question of the next test. */ begin: () => void;
  };
  let { work, closure, advice, fresh, failing, waiting, practise, begin }: Props = $props();

  let swatch = $derived(closure.sheet.swatch);
  let newest = $derived(swatch.log[0]);
  let axis = $derived(
    ['change', 'by_hand'].includes(advice?.kind ?? '') ? (advice?.changes[0]?.axis ?? '') : '',
  );
</script>

{#snippet weighing()}
  <p role="status" class="mt-1 font-serif text-3xl leading-tight font-semibold">
    {failing ? 'The server does not answer. Trying again…' : 'Weighing what was seen…'}
  </p>
{/snippet}

<!-- All of it comes with the advice, and the way on stays at the foot: nothing moves. -->
<div class="min-h-[70vh]">
  {#if waiting}<p role="status" class="text-lg">
      Your test is saved here. The advice comes when the server answers.
    </p>{/if}
  {#if newest}<p class="text-secondary">After Test {newest.number}</p>{/if}
  {#if advice && newest}
    <div class="mt-1 grid gap-x-8 gap-y-3 xl:grid-cols-2">
      <div><AdvicePanel {work} {advice} {newest} {fresh} brief /></div>
      <div>
        <TestHole {closure} mark={axis} />
        <p class="mt-3 text-sm text-secondary">Chance that the whole row comes out right</p>
        <TwentyButtons filled={advice.row.in_twenty} />
      </div>
    </div>
  {:else if !waiting}{@render weighing()}{/if}
  {#if advice || failing || waiting || !newest}
    <FrozenNote frozen={swatch.frozen} />
    <div class="mt-4 flex flex-wrap items-center gap-3">
      <button
        class={['btn btn-lg', advice && advice.changes.length === 0 && !swatch.frozen && 'btn-primary']}
        onclick={begin}
        >{advice?.again
          ? `Look at Test ${newest?.number} again`
          : `Sew Test ${(newest?.number ?? 0) + waiting + 1}`}</button
      >
      <button
        class="btn btn-ghost"
        disabled={work.moves.simulating || (closure.machine.practice && !fresh)}
        onclick={practise}
        >{closure.machine.practice
          ? 'Sew it on the practice machine'
          : 'Practise on a practice machine'}</button
      >
    </div>
    <div class="folds">
      {#if advice}
        <Fold name="test-why" title="Why">
          {#if advice.because}<p class="max-w-prose">{advice.because}</p>{/if}
          {#each advice.changes as change (change.axis)}
            {#each change.because as reason, index (index)}<p class="max-w-prose">{reason.says}</p>{/each}
          {/each}
          <p class="mt-2 max-w-prose" data-row>{advice.row.says}</p>
          {#each advice.remarks as remark (remark)}<p class="mt-2 max-w-prose" data-remark>{remark}</p>{/each}
        </Fold>
        {#if advice.strips.length > 0}
          <Fold name="test-strips" title="What your tests have shown">
            <div class="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-2">
              {#each advice.strips as strip (strip.key)}<Strip {strip} />{/each}
            </div>
            <p class="mt-2 max-w-prose text-sm">{advice.beliefs.join(' ')}</p>
          </Fold>
        {/if}
      {/if}
      <Fold name="test-pace" title="How you test">
        <div class="flex flex-wrap gap-6">
          <Pick
            {work}
            path="recipe.first_hole"
            label="The first {closure.sheet.button.sewn} of a row"
            listed
          />
          <Pick {work} path="recipe.pace" label="Changed between two tests" listed />
        </div>
        <StoredNote stored={swatch.stored} />
      </Fold>
    </div>
  {/if}
</div>
