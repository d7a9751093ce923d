<script lang="ts">
  // What can be practised for one closure: hands and eyes, with what is due first, and what was practised as a row of
  // holes.
  import { gone, refusedIn } from '../../api/ask';
  import { workroom } from '../../api/workroom.svelte';
  import { offeredFor } from '../../rehearse/offered';
  import { route } from '../../router';
  import type { Drawing } from '../../drawn/drawing';
  import LineDrawing from '../../drawn/LineDrawing.svelte';
  import { MISHAPS } from '../../drawn/mishaps';
  import { TOOLS } from '../../drawn/tools';
  import Fold from '../../ui/Fold.svelte';
  import Page from '../Page.svelte';
  import HoleRow from './PractisedRow.svelte';

  let id = $derived(Number((route.params as { id: string }).id));
  const offered = offeredFor(() => ({ slug: workroom.slug, id }));
  let data = $derived(offered.data);
  let name = $derived(
    workroom.data?.garments.flatMap((garment) => garment.closures).find((one) => one.id === id)?.name ?? '',
  );
  let hands = $derived(data?.exercises.filter((one) => !one.key.startsWith('rescue-')) ?? []);
  let rescues = $derived(data?.exercises.filter((one) => one.key.startsWith('rescue-')) ?? []);
  /** The tool of an exercise, or what went wrong, as it is drawn everywhere. */
  const TOOL_OF: Record<string, string> = {
    set: 'settings',
    hole: 'sew',
    row: 'reset',
    back: 'stored',
    session: 'ready',
    eyes: 'look',
  };
  const drawingOf = (key: string): Drawing =>
    MISHAPS[key.replace('rescue-', '')] ?? TOOLS[TOOL_OF[key] ?? key] ?? {};
  /** Why nothing can be practised, such as holes that do not fit. */
  let refused = $derived(refusedIn(offered.error));
  const at = (key: string) => workroom.at(`/closures/${id}/rehearse/${key}`);
  /** What is worth the few minutes; whoever never practised begins with one hole. */
  let first = $derived(
    hands.find((one) => one.key === (data?.practised ? data.suggested[0] : 'hole')) ??
      hands.find((one) => !one.done) ??
      hands[0],
  );
  let since = $derived(
    data?.months && data.months > 1 ? `${data.months} months since your last buttonhole here.` : '',
  );
</script>

{#snippet card(one: (typeof hands)[number])}
  <a
    class={[
      'block rounded border p-3 hover:border-primary',
      one.key === first?.key ? 'border-2 border-primary' : 'border-base-300',
    ]}
    href={at(one.key)}
  >
    <span class="float-right ml-3"><LineDrawing drawing={drawingOf(one.key)} size="h-14" /></span>
    <span class="font-semibold">{one.name}</span>
    <span class="block text-sm text-secondary"
      >{one.minutes} min{#if one.due}
        · due again{:else if one.done}
        · done {one.done} {one.done === 1 ? 'time' : 'times'}{/if}</span
    >
  </a>
{/snippet}

<Page
  title="Rehearse"
  wide
  failed={refused || (offered.failureCount ? 'The server does not answer. Trying again…' : '')}
  missing={gone(offered.error) ? 'There is no such exercise here.' : ''}
>
  <p class="text-secondary wrap-anywhere">
    <a class="link" href={workroom.at(`/closures/${id}/sew`)}>{name}</a>
  </p>
  <h1 class="mt-1 text-3xl font-semibold wrap-anywhere">
    Practise on {data ? `a machine like ${data.machine.name}` : 'a machine like yours'}
  </h1>
  {#if data}
    <p class="mt-1 max-w-prose">
      {since} Nothing here touches your garment or your records.
    </p>
    {#if first}
      <p class="mt-4">
        <a class="btn btn-lg btn-primary" href={at(first.key)}>{first.name}, {first.minutes} min</a>
      </p>
    {/if}
    {#if data.row.length}<HoleRow row={data.row} />{/if}
    <h2 class="mt-7 text-xl font-semibold">Hands</h2>
    <div class="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      {#each hands as one (one.key)}{@render card(one)}{/each}
    </div>
    {#if data.eyes}
      <h2 class="mt-7 text-xl font-semibold">Eyes</h2>
      <div class="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <a class="block rounded border border-base-300 p-3 hover:border-primary" href={at('eyes')}>
          <span class="float-right ml-3"><LineDrawing drawing={drawingOf('eyes')} size="h-14" /></span>
          <span class="font-semibold">What is wrong with this one?</span>
          <span class="block text-sm text-secondary">1 min each</span>
        </a>
        {#each data.own as one (one.id)}
          <a
            class="flex items-center gap-3 rounded border border-base-300 p-3 hover:border-primary"
            href={at(`eyes?own=${one.id}`)}
          >
            <img
              class="h-14 w-20 rounded object-cover"
              alt=""
              src="/api/workrooms/{workroom.slug}/swatches/{one.id}/photo/small.jpg"
            />
            <span class="font-semibold">Your Test {one.number}</span>
          </a>
        {/each}
      </div>
    {/if}
    {#if rescues.length}
      <div class="mt-7">
        <Fold name="rescues" title="When something went wrong ({rescues.length})">
          <div class="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {#each rescues as one (one.key)}{@render card(one)}{/each}
          </div>
        </Fold>
      </div>
    {/if}
  {:else if !gone(offered.error)}
    <p class="mt-4" role="status">Setting up the practice machine…</p>
  {/if}
</Page>
