<script lang="ts">
  import type { StationProps } from '../../closure/station';
  import Because from '../../ui/Because.svelte';
  import Figure from '../../ui/Figure.svelte';
  import SwatchForm from './SwatchForm.svelte';
  import SwatchLog from './SwatchLog.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let swatch = $derived(sheet.swatch);
  let toSew = $derived(swatch.to_sew);

  type Change = (typeof swatch.changes)[number];
  const settable = (changes: Change[]) =>
    Object.fromEntries(
      changes.flatMap((change) => (change.field && change.to ? [[change.field, change.to]] : [])),
    );

  /** One thing at a time, or one on every axis. */
  function make(changes: Change[]): void {
    work.typeAll(settable(changes));
  }
</script>

<div class="grid gap-x-10 gap-y-5 xl:grid-cols-2">
  <div>
    {#if swatch.change}
      <p class="text-secondary">The one change to make next</p>
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>{swatch.change.says}</p>
      <div class="mt-2"><Because reasons={swatch.change.because} /></div>
      {#if swatch.change.field}
        <button class="btn mt-3 btn-primary" onclick={() => make(swatch.changes.slice(0, 1))}
          >Make this change</button
        >
      {/if}
      {#if swatch.changes.length > 1}
        <div class="mt-4 max-w-prose" data-more-changes>
          <p>
            On the other axes: {swatch.changes
              .slice(1)
              .map((change) => change.says)
              .join(' ')}
          </p>
          <p class="text-sm text-secondary">
            Axes show themselves apart, so one change on each may be made at once; with one at a time you know
            for certain what helped.
          </p>
          {#if Object.keys(settable(swatch.changes)).length > 1}
            <button class="btn mt-2 btn-sm" onclick={() => make(swatch.changes)}>Make them all</button>
          {/if}
        </div>
      {/if}
    {:else if swatch.pending}
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>
        Changed: sew the next one.
      </p>
    {:else if swatch.accept}
      <p class="text-secondary">Nothing to put right on the newest swatch</p>
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>
        {swatch.log[0]?.accepted ? 'Accepted: sew the row like this.' : 'It is good. Accept it.'}
      </p>
    {:else}
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>Sew one test hole first.</p>
      <p class="mt-1 max-w-prose text-secondary">
        {toSew.set} On a scrap of the same {toSew.layers}, the same grain and thread. Cut it open and put the
        {sheet.button.noun} through.
      </p>
    {/if}
    {#each swatch.remarks as remark (remark)}
      <p class="mt-2 max-w-prose border-l-4 border-base-300 pl-3" data-remark>{remark}</p>
    {/each}
  </div>
  <dl class="grid grid-cols-2 gap-x-6 gap-y-2 self-start sm:grid-cols-3">
    <Figure label="Opening" term="opening" text={toSew.opening.text} />
    <Figure label="Overall" term="overall" text={toSew.overall.text} />
    <Figure label="Stitch width" term="stitch_width" text={toSew.stitch_width.text} />
    <Figure label="Stitch length" term="stitch_length" text={toSew.stitch_length.text} />
    <Figure label="Top tension" term="tension" text={toSew.tension} />
    <Figure label="Under it" term="stabiliser" text={toSew.stabiliser} across />
  </dl>
</div>

<SwatchForm {work} {closure} />
<SwatchLog {work} {closure} />
