<script lang="ts">
  // A session before and between: what it takes, what to lay ready, in which order, and what the machine is set to.
  import { onMount } from 'svelte';
  import { ask, words } from '../../api/ask';
  import { client, type SessionChange } from '../../api/client';
  import { listen } from '../../api/live';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';
  import { go, route } from '../../router';
  import { SessionWork } from '../../session/session.svelte';
  import { lasting } from '../../session/words';
  import Page from '../Page.svelte';
  import Closures from './Closures.svelte';
  import Costs from './Costs.svelte';
  import Forecast from './Forecast.svelte';
  import Beside from '../../ui/Beside.svelte';
  import Fold from '../../ui/Fold.svelte';
  import InCalendar from './InCalendar.svelte';
  import { movable, moved, wishOf } from './order';
  import Supplies from '../../closure/Supplies.svelte';
  import { Due } from '../../rehearse/due.svelte';
  import DueCard from '../../rehearse/DueCard.svelte';
  import Timeline from './Timeline.svelte';

  const params = route.params as { slug: string; id: string };
  const due = new Due();
  const work = new SessionWork(params.slug, Number(params.id));
  let failed = $state('');
  let doc = $derived(work.doc);
  let now = $derived(work.now);

  onMount(() => {
    void work.open();
    const stop = listen(params.slug, (change) => change.kind !== 'here' && void work.refresh());
    return () => {
      stop();
      work.leave();
    };
  });

  $effect(() => {
    if (doc) void due.read(params.slug, doc.machine.id);
  });

  const path = { slug: params.slug, id: Number(params.id) };
  async function change(body: SessionChange): Promise<boolean> {
    const header = { 'If-Match': `"${doc?.revision ?? 0}"` };
    const answer = await ask(
      client.PATCH('/api/workrooms/{slug}/sessions/{id}', { params: { path, header }, body }),
    );
    failed = words(answer);
    if (answer.kind === 'data') await work.take(answer.data);
    else if (answer.kind === 'refused' && answer.problem.session) await work.take(answer.problem.session);
    return answer.kind === 'data';
  }
  async function move(index: number, by: -1 | 1): Promise<void> {
    if (!doc || !(await change({ wish: moved(wishOf(doc), index, by) }))) return;
    announce(`Moved. It takes ${lasting(doc.order.wish_costs)} longer than the best order.`);
  }
  async function end(): Promise<void> {
    const header = { 'If-Match': `"${doc?.revision ?? 0}"` };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/sessions/{id}/ended', { params: { path, header } }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    void workroom.refresh();
    await go(workroom.at());
  }
</script>

<Page
  title={doc ? `At ${doc.machine.name}` : 'A session'}
  wide
  failed={work.away ? 'The server does not answer. Trying again…' : failed}
  missing={work.missing ? 'There is no such session here.' : ''}
>
  {#if doc}
    {@const order = doc.order}
    <div class="flex flex-wrap items-center gap-x-4">
      <h1 class="text-3xl font-semibold wrap-anywhere">At {doc.machine.name}</h1>
      <Beside place="session:{doc.id}" />
    </div>
    {#if doc.ended_at}<p class="mt-1">This session is over.</p>{/if}
    {#if now}
      <p class="mt-3 font-serif text-3xl leading-tight font-semibold" data-answer>
        {lasting(doc.forecast.seconds)} until the machine is back, between {lasting(doc.forecast.least)} and {lasting(
          doc.forecast.most,
        )}.
      </p>
      <p class="mt-1 max-w-prose" data-gain>
        {#if doc.closures.length > 1}
          One garment after the other would take {lasting(Math.max(order.one_by_one - order.seconds, 0))} longer;
          stage by stage, {lasting(Math.max(order.by_stages - order.seconds, 0))} longer.
        {/if}
        {order.proven
          ? 'No order is quicker.'
          : `Another order might be ${lasting(order.gap)} quicker; nobody knows which.`}
      </p>
      {#if order.wished}
        <p class="mt-2 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3" data-wish>
          Your own order: {order.wish_costs > 0
            ? `${lasting(order.wish_costs)} longer than the best`
            : 'as quick as the best'}.
          <button class="btn btn-sm" onclick={() => change({ wish: [] })}>Back to the best order</button>
        </p>
      {/if}
      <p class="mt-4 flex flex-wrap items-center gap-3">
        <a class="btn btn-lg btn-primary" href={workroom.at(`/sessions/${doc.id}/sew`)}>At the machine</a>
        {#if doc.closures[0]}<DueCard {due} closure={doc.closures[0].id} />{/if}
        <span class="min-w-0 flex-1 wrap-anywhere">Next: {now.does}</span>
      </p>
    {:else}
      <p class="mt-3 font-serif text-3xl font-semibold" data-answer>
        All done. Your machine is back to normal.
      </p>
    {/if}
    {#if doc.ledger.length > 0}
      <details class="mt-3 border-l-4 border-warning pl-3 wrap-anywhere" data-away>
        <summary class="min-h-11 cursor-pointer py-2.5"
          >{doc.machine.name}: {doc.ledger.length} changed</summary
        >
        {doc.ledger.map((entry) => `${entry.name} ${entry.now}`).join(', ')}.
      </details>
    {/if}
    {#if now}
      <h2 class="mt-7 text-xl font-semibold">Along the clock</h2>
      <Timeline {doc} {move} canMove={(index, by) => movable(wishOf(doc), index, by)} />
    {/if}
    <Closures {doc} {change} />
    {#if now}
      <Forecast {doc} />
      <Costs {doc} {change} />
      <Fold name="in-calendar" title="Put it in a calendar"><InCalendar {doc} /></Fold>
    {/if}
    <Supplies whose="sessions" id={doc.id} />
    {#if !doc.ended_at}
      <p class="mt-8"><button class="btn" onclick={end}>End this session</button></p>
    {/if}
  {:else if !work.missing}
    <p role="status">One moment…</p>
  {/if}
</Page>
