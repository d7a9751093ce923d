<script lang="ts">
  // What to do next, and why: one thing to change, or the row.
  import type { Advice, Sheet } from '../../api/client';
  import Pick from '../../closure/Pick.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import Because from '../../ui/Because.svelte';
  import { settable, sets } from './changes';

  type Props = {
    work: ClosureWork;
    advice: Advice;
    newest: Sheet['swatch']['log'][number] | undefined;
    /** Of what was seen and set by now. */
    fresh: boolean;
    /** The reasons stand elsewhere. */ brief?: boolean;
  };
  let { work, advice, newest, fresh, brief = false }: Props = $props();

  let settables = $derived(settable(advice.changes));
  let byChange = $derived(['change', 'by_hand', 'between'].includes(advice.kind));
  let first = $derived(byChange ? advice.changes[0] : undefined);
  let others = $derived(byChange ? advice.changes.slice(1) : advice.changes);
  let accepted = $derived(advice.kind === 'sew_row' && newest?.accepted);

  /** What to do, and how it is done. */
  let said = $derived.by(() => {
    const whole = accepted ? 'These settings are in use. Sew the row.' : advice.headline;
    const end = whole.search(/[.!?] /);
    return end < 0 ? [whole, ''] : [whole.slice(0, end + 1), whole.slice(end + 2)];
  });

  /** One thing at a time, or one on every axis. */
  const make = (changes: Advice['changes']) => work.typeAll(sets(changes));

  function accept(): void {
    if (newest) work.typeAll({ 'swatch.accepted': newest.id });
  }
</script>

{#if first}<p class="text-secondary">
    {advice.kind === 'between' ? 'No more turning here' : 'What to change next'}
  </p>{/if}
<div data-answer>
  <p class="mt-1 max-w-prose font-serif text-4xl leading-tight font-semibold">{said[0]}</p>
  {#if said[1]}<p class="mt-1 max-w-prose text-xl">{said[1]}</p>{/if}
</div>
{#if advice.because && !brief}<p class="mt-1 max-w-prose">{advice.because}</p>{/if}
{#if first}
  {#if !brief}<div class="mt-2"><Because reasons={first.because} /></div>{/if}
  {#if settable([first]).length > 0}
    <button class="btn mt-3 btn-primary" disabled={!fresh} onclick={() => make([first])}
      >Make this change</button
    >
  {/if}
{/if}
{#if advice.kind === 'sew_row' && newest && !newest.accepted}
  <button class="btn mt-3 btn-primary" disabled={!fresh} onclick={accept}>Use these settings</button>
{/if}
{#if others.length > 0}
  <div class="mt-4 max-w-prose" data-more-changes>
    <p>
      {first ? 'Also:' : 'Before the first:'}
      {others.map((change) => change.says).join(' ')}
    </p>
    {#if others.length + (first ? 1 : 0) > 1}
      <p class="text-sm text-secondary">
        Making them all at once saves about one test hole in four. One at a time, you know what helped.
      </p>
    {/if}
    {#if settables.length > (first ? 1 : 0)}
      <button class="btn mt-2 btn-sm" disabled={!fresh} onclick={() => make(settables)}
        >{settables.length > 1 ? 'Make them all' : 'Make this change'}</button
      >
    {/if}
  </div>
{/if}
{#if !brief}
  <details class="mt-3 max-w-prose text-sm">
    <summary class="cursor-pointer text-secondary">Changed between two tests</summary>
    <Pick {work} path="recipe.pace" label="" />
  </details>
  {#if newest}<p class="mt-3 max-w-prose" data-row>{advice.row.says}</p>{/if}
  {#each advice.remarks as remark (remark)}
    <p class="mt-2 max-w-prose border-l-4 border-base-300 pl-3" data-remark>{remark}</p>
  {/each}
{/if}
