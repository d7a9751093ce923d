<script lang="ts">
  // What a closure, a garment or a session takes, counted off its steps: to buy, to wind, to lay ready; as CSV and on paper.
  // Of a closure its buttons can be laid by, and counted when they are sewn on.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, faultsOf, read, words } from '../api/ask';
  import { keep, recall } from '../api/browser_store';
  import { client } from '../api/client';
  import { queries } from '../api/queries';
  import { workroom } from '../api/workroom.svelte';
  import LineDrawing from '../drawn/LineDrawing.svelte';
  import { BOUGHT } from '../drawn/tools';
  import { announce } from '../ui/announce.svelte';
  import ShelfCount from './ShelfCount.svelte';

  let {
    whose,
    id,
    record = false,
    version = '',
  }: {
    whose: 'closures' | 'garments' | 'sessions';
    id: number;
    /** Whether its record can be printed too. */ record?: boolean;
    /** Of the plan it is counted off. */ version?: string;
  } = $props();

  const CARD = 'card-of-buttons';
  const uid = $props.id();
  let card = $state(recall<string>(CARD) ?? '');
  let query = $derived(/^[1-9]\d{0,2}$/.test(card.trim()) ? { card: card.trim() } : {});
  let cardFault = $derived(card.trim() && !query.card ? 'A whole number, from 1 to 999.' : '');
  let asking = $derived(query.card ? `?card=${query.card}` : '');
  $effect(() => keep(CARD, card.trim() || undefined));

  function find() {
    const params = { path: { slug: workroom.slug, id }, query };
    if (whose === 'closures') return client.GET('/api/workrooms/{slug}/closures/{id}/supplies', { params });
    if (whose === 'garments') return client.GET('/api/workrooms/{slug}/garments/{id}/supplies', { params });
    return client.GET('/api/workrooms/{slug}/sessions/{id}/supplies', { params });
  }

  const asked = createQuery(() => ({
    queryKey: ['supplies', workroom.slug, whose, id, query.card ?? '', version],
    queryFn: () => read(find()),
    enabled: workroom.slug !== '',
  }));
  let fault = $state('');

  async function tell(path: 'reservation' | 'shelf-count', number: number): Promise<boolean> {
    const params = { path: { slug: workroom.slug, id } };
    const answer = await ask(
      path === 'reservation'
        ? client.PUT('/api/workrooms/{slug}/closures/{id}/reservation', { params, body: { count: number } })
        : client.PUT('/api/workrooms/{slug}/closures/{id}/shelf-count', { params, body: { left: number } }),
    );
    fault = answer.kind === 'data' ? '' : (Object.values(faultsOf(answer))[0] ?? words(answer));
    if (fault) return false;
    await queries.invalidateQueries({ queryKey: ['supplies', workroom.slug] });
    void queries.invalidateQueries({ queryKey: ['picks', workroom.slug] });
    announce(
      path === 'reservation'
        ? number
          ? `${number} set aside.`
          : 'No longer set aside.'
        : `${number} are left.`,
    );
    return true;
  }
</script>

{#if asked.isError && !asked.data}
  <p role="status" class="mt-8 text-secondary">
    The server does not answer. Your shopping list comes as soon as it does.
  </p>
{/if}
{#if asked.data && asked.data.length > 0}
  <section class="mt-8" aria-labelledby="{uid}-supplies">
    <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 border-b border-base-300">
      <h2 id="{uid}-supplies" class="text-2xl font-semibold">Shopping list</h2>
      <p class="flex flex-wrap items-center gap-4 pb-1">
        <span class="text-sm">
          <label class="text-secondary"
            >Buttons on cards of <input
              class={['input input-sm w-14 bg-base-100 px-2 text-base-content', cardFault && 'input-error']}
              inputmode="numeric"
              aria-invalid={cardFault ? 'true' : undefined}
              aria-describedby={cardFault ? `${uid}-card` : undefined}
              bind:value={card}
            /></label
          >
          {#if cardFault}<span id="{uid}-card" role="alert" class="font-semibold text-error">{cardFault}</span
            >{/if}
        </span>
        <a class="link" href={workroom.file(`/${whose}/${id}/supplies.pdf${asking}`)} target="_blank"
          >On paper (PDF)</a
        >
        <a class="link" href={workroom.file(`/${whose}/${id}/supplies.csv${asking}`)} download
          >As a table (CSV)</a
        >
        {#if record}
          <a class="link" href={workroom.file(`/garments/${id}/record.pdf`)} target="_blank"
            >The record (PDF)</a
          >
        {/if}
      </p>
    </div>
    <ul
      class={['mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-10', whose !== 'garments' && 'md:grid-cols-2']}
      data-supplies
    >
      {#each asked.data as item, index (index)}
        {@const drawing = BOUGHT[item.kind]}
        <li class="flex gap-3 border-b border-dashed border-base-300 py-2">
          <span class="w-16 shrink-0"
            >{#if drawing}<LineDrawing {drawing} size="h-11" />{/if}</span
          >
          <div class="min-w-0 wrap-anywhere">
            <span class="font-semibold"
              >{item.kind === 'thread' ? item.length?.text : (item.count ?? item.length?.text)}</span
            >
            {item.name}
            <span class="block text-sm text-secondary"
              >{item.says}{item.owned === null ? '' : `; ${item.owned} in the stash`}{item.reserved
                ? `, ${item.reserved} set aside for this`
                : ''}{item.elsewhere ? `, ${item.elsewhere} set aside for others` : ''}</span
            >
            {#if item.kind === 'button' && item.lacks > 0}
              <span class="block text-sm text-warning">{item.lacks} to buy</span>
            {/if}
            {#if item.kind === 'button' && whose === 'closures' && item.owned !== null}
              <ShelfCount {item} {fault} {tell} />
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
