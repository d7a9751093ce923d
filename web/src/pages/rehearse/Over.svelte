<script lang="ts">
  // An exercise that is over: its slips, what they would have cost, and the one thing to watch.
  import type { Attempt, Exercise } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { Practice } from '../../rehearse/practice.svelte';

  let {
    practice,
    attempt,
    home,
    exercise,
  }: { practice: Practice; attempt: Attempt; home: string; exercise: Exercise | undefined } = $props();

  let watch = $derived(attempt.slips.findLast((slip) => slip.key === attempt.watch));
  let cost = $derived(attempt.slips.reduce((all, slip) => all + slip.minutes, 0));
  const MINUTE = 60;
  let took = $derived(
    practice.seconds < MINUTE
      ? `${Math.round(practice.seconds)} seconds`
      : `${Math.round(practice.seconds / MINUTE)} min`,
  );
</script>

<section class="mx-auto w-full max-w-3xl py-8">
  <h1 class="font-serif text-4xl font-semibold" data-answer>
    {#if practice.how === 'shown'}That is how it goes.{:else if !attempt.slips.length}Done, without a slip.{:else}Done,
      with {attempt.slips.length}
      {attempt.slips.length === 1 ? 'slip' : 'slips'}.{/if}
  </h1>
  {#if practice.how !== 'shown'}
    <p class="mt-2">
      It took {took}.{#if cost}
        On your garment: about {cost} min to put right.{/if}
    </p>
  {/if}
  {#if watch}
    <p class="mt-6 border-l-4 border-primary pl-3 text-xl">
      <strong>One thing to watch.</strong>
      {watch.says}
      {watch.does}
    </p>
  {/if}
  {#if attempt.slips.length > 1}
    <ul class="mt-5 space-y-2">
      {#each attempt.slips as slip, index (index)}
        <li>{slip.says} <span class="text-secondary">{slip.costs}</span></li>
      {/each}
    </ul>
  {/if}
  {#if practice.kept === 'away'}
    <p role="alert" class="mt-5 border-l-4 border-warning pl-3">
      The server does not answer. This device keeps the exercise.
      <button class="btn ml-2 btn-sm" onclick={() => void practice.over()}>Try again</button>
    </p>
  {/if}
  <p class="mt-8 flex flex-wrap gap-3">
    {#if practice.how === 'shown'}
      <button class="btn btn-lg btn-primary" onclick={() => void practice.again('hints')}
        >Now you, with hints</button
      >
    {:else if practice.how === 'hints' && !attempt.slips.length}
      <button class="btn btn-lg btn-primary" onclick={() => void practice.again('alone')}>Now alone</button>
    {:else}
      <button class="btn btn-lg btn-primary" onclick={() => void practice.again()}
        >{exercise ? `${exercise.name}, again` : 'Again'}</button
      >
    {/if}
    <a class="btn btn-lg" href={workroom.at(home)}>Another exercise</a>
  </p>
</section>
