<script lang="ts">
  import { uuid } from '../../api/browser_store';
  import { workroom } from '../../api/workroom.svelte';
  import type { StationProps } from '../../closure/station';
  import Pick from '../../closure/Pick.svelte';
  import Because from '../../ui/Because.svelte';
  import Figure from '../../ui/Figure.svelte';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import LookForm from './LookForm.svelte';
  import Strip from './Strip.svelte';
  import SwatchLog from './SwatchLog.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let swatch = $derived(sheet.swatch);
  let toSew = $derived(swatch.to_sew);
  let newest = $derived(swatch.log[0]);
  let sewing = $derived(work.outbox.deeds.some((deed) => deed.kind === 'stand_in'));

  type Change = (typeof swatch.changes)[number];
  const sets = (changes: Change[]) =>
    Object.assign({}, ...changes.map((change) => change.sets)) as Record<string, string>;
  let settable = $derived(swatch.changes.filter((change) => Object.keys(change.sets).length > 0));
  let byChange = $derived(['change', 'by_hand', 'between'].includes(swatch.kind));
  let first = $derived(byChange ? swatch.changes[0] : undefined);
  let others = $derived(byChange ? swatch.changes.slice(1) : swatch.changes);

  /** One thing at a time, or one on every axis. */
  const make = (changes: Change[]) => work.typeAll(sets(changes));

  function sewOnStandIn(): void {
    work.do({ kind: 'stand_in', id: uuid(), ...(swatch.again ? { again: swatch.again } : {}) });
  }

  const askStandIn = () => work.enter({ kind: 'note', step: 'stand-in' }, 'the stand-in');
  const ownMachine = () => swatch.stand_in && work.withdraw(swatch.stand_in);

  function accept(): void {
    if (newest) work.do({ kind: 'accept', entry: newest.id });
  }
</script>

<div class="grid gap-x-10 gap-y-5 xl:grid-cols-[3fr_2fr]">
  <div>
    {#if first}<p class="text-secondary">
        {swatch.kind === 'between' ? 'No more turning here' : 'What to change next'}
      </p>{/if}
    <p class="mt-1 max-w-prose font-serif text-3xl leading-tight font-semibold" data-answer>
      {swatch.headline}
    </p>
    {#if swatch.because}<p class="mt-1 max-w-prose">{swatch.because}</p>{/if}
    {#if first}
      <div class="mt-2"><Because reasons={first.because} /></div>
      {#if Object.keys(first.sets).length}
        <button class="btn mt-3 btn-primary" onclick={() => make([first])}>Make this change</button>
      {/if}
    {/if}
    {#if swatch.kind === 'sew_row' && newest && !newest.accepted}
      <button class="btn mt-3 btn-primary" onclick={accept}>Accept swatch {newest.number}</button>
    {/if}
    {#if others.length > 0}
      <div class="mt-4 max-w-prose" data-more-changes>
        <p>
          {first ? 'On the other axes:' : 'Before the first:'}
          {others.map((change) => change.says).join(' ')}
        </p>
        <p class="text-sm text-secondary">
          Axes show themselves apart, so one change on each may be made at once, which saves about one test
          hole in four; with one at a time you know for certain what helped.
        </p>
        {#if settable.length > (first ? 1 : 0)}
          <button class="btn mt-2 btn-sm" onclick={() => make(settable)}
            >{settable.length > 1 ? 'Make them all' : 'Make this change'}</button
          >
        {/if}
      </div>
    {/if}
    <details class="mt-3 max-w-prose text-sm">
      <summary class="cursor-pointer text-secondary">Changed between two test holes</summary>
      <Pick {work} path="recipe.pace" label="" choices={workroom.catalogue?.paces ?? []} habit />
    </details>
    {#if newest}<p class="mt-3 max-w-prose" data-row>{swatch.row.says}</p>{/if}
    {#each swatch.remarks as remark (remark)}
      <p class="mt-2 max-w-prose border-l-4 border-base-300 pl-3" data-remark>{remark}</p>
    {/each}
    <FrozenNote frozen={swatch.frozen} />
  </div>
  <section aria-label="What to sew" class="self-start">
    <h2 class="text-lg font-semibold">Sew it like this</h2>
    <p class="text-sm text-secondary">
      {toSew.set} On a scrap of the same {toSew.layers}, the same grain and thread.
    </p>
    <dl class="mt-2 grid grid-cols-2 gap-x-6 gap-y-2">
      <Figure label="Opening" term="opening" text={toSew.opening.text} />
      <Figure label="Overall" term="overall" text={toSew.overall.text} />
      <Figure label="Stitch width" term="stitch_width" text={toSew.stitch_width} />
      <Figure label="Stitch length" term="stitch_length" text={toSew.stitch_length} />
      <Figure label="Top tension" term="tension" text={toSew.tension} />
      {#if toSew.balance !== null}<Figure label="Balance" term="balance" text={toSew.balance} />{/if}
      <Figure label="Under it" term="stabiliser" text={toSew.stabiliser} across />
    </dl>
    {#if workroom.data?.sample || swatch.stand_in}
      <div class="mt-3 flex flex-wrap gap-2">
        <button class="btn" onclick={sewOnStandIn} disabled={sewing}
          >{swatch.again && newest?.simulated
            ? 'Look again on the stand-in'
            : 'Sew it on the stand-in'}</button
        >
        {#if swatch.stand_in}
          <button class="btn btn-ghost" onclick={ownMachine}>Back to my own {closure.machine.name}</button>
        {/if}
      </div>
      <p class="mt-1 max-w-prose text-sm text-secondary">
        A simulated machine sews and says what it sees; its test holes are marked, and teach nothing about
        your real {closure.machine.name}.
      </p>
    {:else}
      <button class="btn mt-3 btn-ghost btn-sm" onclick={askStandIn}
        >No machine at hand: try it on a simulated one</button
      >
    {/if}
  </section>
</div>

{#if swatch.strips.length > 0}
  <section aria-label="What is believed by now" class="mt-6">
    <h2 class="text-lg font-semibold">Where right is thought to lie</h2>
    <div class="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-2">
      {#each swatch.strips as strip (strip.key)}<Strip {strip} />{/each}
    </div>
    <p class="mt-2 max-w-prose text-sm">{swatch.beliefs.join(' ')}</p>
  </section>
{/if}

<LookForm {work} {closure} />
<SwatchLog {work} {closure} />
