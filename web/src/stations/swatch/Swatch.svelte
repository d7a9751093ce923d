<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { correcting } from '../../outbox/correcting.svelte';
  import { everything } from '../../ui/everything.svelte';
  import Fold from '../../ui/Fold.svelte';
  import FrozenNote from '../../closure/FrozenNote.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import { go } from '../../router';
  import Figure from '../../ui/Figure.svelte';
  import Advice from './Advice.svelte';
  import LookForm from './LookForm.svelte';
  import { Seen } from './seen.svelte';
  import StoredNote from './StoredNote.svelte';
  import Strip from './Strip.svelte';
  import SwatchLog from './SwatchLog.svelte';
  import TestCard from './TestCard.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let swatch = $derived(sheet.swatch);
  let toSew = $derived(swatch.to_sew);
  let newest = $derived(swatch.log[0]);

  // What to do next takes weighing: it is asked for here, and again when the plan or what was seen is another.
  const found = createQuery(() => ({
    queryKey: [
      'advice',
      work.slug,
      work.id,
      closure.version,
      swatch.log.map((one) => `${one.id}${one.again ? '+' : ''}`).join(),
    ],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/closures/{id}/advice', {
          params: { path: { slug: work.slug, id: work.id } },
        }),
      ),
    placeholderData: keepPreviousData,
  }));
  let advice = $derived(found.data);
  let fresh = $derived(Boolean(advice) && !found.isPlaceholderData && !work.unsaved);

  // Answers belong to the buttonholes this stage was opened for.
  // svelte-ignore state_referenced_locally
  const seen = new Seen(`swatch:${work.slug}:${closure.id}`);
  $effect(() => {
    void $state.snapshot(seen.form);
    seen.keep();
  });

  // What the server did not take comes back, as it was said.
  $effect(() => {
    const { press } = correcting;
    const fact = correcting.of(closure.id);
    if (!press || !fact) return;
    correcting.press = undefined;
    if (seen.said) {
      work.saver.notice = 'Log what you have typed here first. Then correct the other one.';
      return;
    }
    seen.take(fact);
    void work.outbox.drop(press);
  });

  const drawn = createQuery(() => ({
    queryKey: ['looks', work.slug, work.id, closure.version],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/closures/{id}/looks', {
          params: { path: { slug: work.slug, id: work.id } },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }));
  let pictures = $derived(drawn.data ?? []);

  const sewOnStandIn = () => work.moves.sewOnStandIn(advice?.again ?? undefined);

  async function practise(): Promise<void> {
    const copy = await work.moves.practise();
    if (!copy) return;
    void workroom.refresh();
    await go(workroom.at(`/closures/${copy.id}/swatch`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }
</script>

{#if everything.on}
  <div class="grid gap-x-10 gap-y-5 xl:grid-cols-[3fr_2fr]" data-advice={fresh ? 'fresh' : 'waiting'}>
    <div>
      {#if advice}
        <Advice {work} {advice} {newest} {fresh} />
      {:else}
        <p role="status" class="mt-1 font-serif text-3xl leading-tight font-semibold">
          {found.failureCount ? 'The server does not answer. Trying again…' : 'Weighing what was seen…'}
        </p>
      {/if}
      <FrozenNote frozen={swatch.frozen} />
    </div>
    <section aria-label="What to sew" class="self-start">
      <h2 class="text-lg font-semibold">Sew it like this</h2>
      <p class="text-sm text-secondary">
        {toSew.set}
        {toSew.again ?? ''} On a scrap of the same {toSew.layers}, the same grain and thread.
      </p>
      <dl class="mt-2 grid grid-cols-2 gap-x-6 gap-y-2">
        {#if sheet.button.opens}<Figure label="Opening" term="opening" text={toSew.opening.text} />
          <Figure label="Overall" term="overall" text={toSew.overall.text} />{:else}<Figure
            label="Long"
            text={toSew.opening.text}
          />{/if}
        <Figure label="Stitch width" term="stitch_width" text={toSew.stitch_width} />
        <Figure label="Stitch length" term="stitch_length" text={toSew.stitch_length} />
        <Figure label="Top tension" term="tension" text={toSew.tension} />
        {#if toSew.balance !== null}<Figure label="Balance" term="balance" text={toSew.balance} across />{/if}
        <Figure label="Under it" term="stabiliser" text={toSew.stabiliser} across />
      </dl>
      <div class="mt-3">
        <Pick {work} path="recipe.first_hole" label="The first {sheet.button.sewn} of a row" />
        <StoredNote stored={swatch.stored} />
      </div>
      {#if closure.machine.practice}
        <button class="btn mt-3" onclick={sewOnStandIn} disabled={work.moves.simulating || !fresh}
          >{advice?.again && newest?.simulated
            ? 'Look at it again'
            : 'Sew it on the practice machine'}</button
        >
        <p class="mt-1 max-w-prose text-sm text-secondary">
          It sews and says what it sees. Nothing you learn here changes your own machine's settings.
        </p>
      {:else}
        <button class="btn mt-3 btn-ghost btn-sm" disabled={work.moves.simulating} onclick={practise}
          >Practise this on a practice machine</button
        >
      {/if}
    </section>
  </div>

  {#if advice && advice.strips.length > 0}
    <section aria-label="What your tests have shown" class="mt-6">
      <h2 class="text-lg font-semibold">What your tests have shown</h2>
      <div class="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        {#each advice.strips as strip (strip.key)}<Strip {strip} />{/each}
      </div>
      <p class="mt-2 max-w-prose text-sm">{advice.beliefs.join(' ')}</p>
    </section>
  {/if}

  <LookForm {work} {closure} {seen} {pictures} looksAgain={advice?.again ?? undefined} />
{:else}
  <TestCard
    {work}
    {closure}
    {seen}
    {pictures}
    {advice}
    {fresh}
    failing={found.failureCount > 0}
    practise={closure.machine.practice ? sewOnStandIn : practise}
  />
{/if}
<Fold name="test-log" title="Sewn so far: {swatch.log.length}"><SwatchLog {work} {closure} /></Fold>
