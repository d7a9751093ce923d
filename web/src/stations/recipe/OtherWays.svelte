<script lang="ts">
  // Where a hole sewn by machine is the wrong answer: why, what fits instead, and the hole all the same.
  import { workroom } from '../../api/workroom.svelte';
  import type { StationProps } from '../../closure/station';
  import WayPicture from './WayPicture.svelte';

  let { work, closure, sheet }: Pick<StationProps, 'work' | 'closure' | 'sheet'> = $props();

  let ways = $derived(sheet.recipe.ways);
  let chosen = $derived(ways.offered.find((way) => way.key === ways.chosen));
  let first = $derived(ways.offered.filter((way) => way.first));
  let others = $derived(ways.offered.filter((way) => !way.first));

  function take(way: string): void {
    work.typeAll({ 'recipe.way': way });
  }
</script>

{#snippet card(way: (typeof ways.offered)[number])}
  <li
    class={[
      'py-3',
      way.key === ways.chosen ? 'max-w-5xl' : 'max-w-2xl',
      way.key !== ways.chosen && 'border-t border-base-300',
    ]}
    data-way={way.key}
  >
    <div class="flex flex-wrap items-start gap-4">
      <WayPicture {way} large={way.key === ways.chosen && ways.instead} />
      <div class="min-w-52 flex-1">
        {#if way.key === ways.chosen}<p>
            {ways.instead ? 'No hole is sewn by machine here.' : 'The holes are sewn by machine, as below.'} About
            {way.minutes}
            minutes each.
          </p>{:else}
          <h3 class="text-lg font-semibold first-letter:uppercase">{way.name}</h3>
          <p class="text-sm text-secondary">For {way.for_what}. About {way.minutes} minutes each.</p>
        {/if}
        <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-[0.95rem]">
          {#each way.figures as figure (figure.key)}
            <dt class="text-secondary">{figure.name}</dt>
            <dd class="font-semibold">{figure.value.text}</dd>
          {/each}
        </dl>
        {#if way.key !== ways.chosen}
          <button class="btn mt-2 btn-sm" aria-label="Use this way: {way.name}" onclick={() => take(way.key)}
            >Use this way</button
          >
        {/if}
      </div>
    </div>
    <details class="mt-1">
      <summary class="cursor-pointer text-secondary">How to</summary>
      <ol class="mt-1 ml-5 list-decimal">
        {#each [...way.once, ...way.beats] as says, index (index)}<li>{says}</li>{/each}
      </ol>
    </details>
  </li>
{/snippet}

{#if chosen}
  <section aria-label="How it is closed" data-other-way={chosen.key}>
    <p
      class={['first-letter:uppercase', ways.instead ? 'answer' : 'text-xl font-semibold']}
      data-answer={ways.instead ? '' : undefined}
    >
      {chosen.name}
    </p>
    <ul>{@render card(chosen)}</ul>
    <div class="flex flex-wrap gap-2">
      <a
        class="btn btn-sm"
        href={workroom.file(`/closures/${closure.id}/way.pdf`)}
        target="_blank"
        rel="noopener">Print this page</a
      >
      <button class="btn btn-ghost btn-sm" onclick={() => take('')}
        >{ways.instead ? 'Sew holes by machine after all' : 'Leave it out'}</button
      >
    </div>
  </section>
{:else if ways.wrong}
  <section class="mt-4 border-l-4 border-warning pl-4" aria-label="A better way here" data-wrong-hole>
    <p class="text-lg font-semibold">{ways.wrong}</p>
    <p class="text-secondary">These hold better. Or sew it all the same: the settings are below.</p>
    <ul>
      {#each first as way (way.key)}{@render card(way)}{/each}
    </ul>
  </section>
{/if}
{#if !chosen && others.length > 0}
  <details class="mt-4">
    <summary class="cursor-pointer underline decoration-dotted">Other ways to close</summary>
    <ul>
      {#each others as way (way.key)}{@render card(way)}{/each}
    </ul>
  </details>
{/if}
