<script lang="ts">
  import { workroom } from '../../api/workroom.svelte';
  import { Image, Table } from '@lucide/svelte';
  import Supplies from '../../closure/Supplies.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client } from '../../api/client';
  import { capital } from '../../ui/capital';
  import { counted } from '../../ui/counted';
  import Fold from '../../ui/Fold.svelte';
  import Lines from './Lines.svelte';
  import ShareLink from '../../closure/ShareLink.svelte';
  import Sheet from './Sheet.svelte';
  import type { StationProps } from '../../closure/station';

  let { closure, sheet, go }: StationProps = $props();

  const PAPERS = [
    ['a4', 'A4'],
    ['letter', 'Letter'],
    ['roll', 'a roll'],
  ] as const;

  /** Where nobody signs in, nobody else reaches it. */
  let shares = $derived(workroom.data?.you.kind === 'account' && workroom.data.you.may.includes('plan'));
  let paper = $state<(typeof PAPERS)[number][0]>('a4');
  let crosses = $state<'sewn' | 'plan' | ''>('');
  let side = $state<'both' | 'overlap' | 'underlap'>('both');
  let buttoned = $derived(sheet.stages.some((stage) => stage.word === 'attach'));
  let paperName = $derived(PAPERS.find(([key]) => key === paper)?.[1]);

  let plan = $derived(closure.plan);
  let ways = $derived(sheet.recipe.ways);
  let way = $derived(ways.offered.find((one) => one.key === ways.chosen));
  let sides = $derived([
    ['both', 'both, one after the other'],
    ['overlap', `overlap, the ${sheet.button.sewn}s`],
    ['underlap', 'button side, the buttons'],
  ] as const);
  let many = $derived(sheet.placket?.holes.length ?? 0);
  let made = $derived(counted(many, sheet.button.sewn));
  let letter = $derived(paper === 'letter' ? '&paper=letter' : '');
  const line = (one: { number: number; at: { text: string } }): string => `${one.number}:  ${one.at.text}`;
  const bought = createQuery(() => ({
    queryKey: ['supplies', workroom.slug, 'closures', closure.id, '', closure.version],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/closures/{id}/supplies', {
          params: { path: { slug: workroom.slug, id: closure.id }, query: {} },
        }),
      ),
    enabled: workroom.slug !== '',
  }));

  let address = $derived(workroom.file(`/closures/${closure.id}/strip`));
  // A new picture for every saved change.
  let version = $derived(`?v=${closure.version}-${closure.unit}`);
  let crossing = $derived(crosses ? `&crosses=${crosses}` : '');
</script>

{#if sheet.placket}
  <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
    <p class="answer mr-2" data-answer>1 : 1</p>
    <label class="flex flex-col gap-0.5">
      <span class="text-sm text-secondary">Paper</span>
      <select class="select w-36 bg-base-100 pr-8 pl-2" bind:value={paper}>
        {#each PAPERS as [key, name] (key)}<option value={key}>{name}</option>{/each}
      </select>
    </label>
    {#if buttoned}
      <label class="flex flex-col gap-0.5">
        <span class="text-sm text-secondary">Side</span>
        <select class="select w-52 bg-base-100 pr-8 pl-2" bind:value={side}>
          {#each sides as [key, name] (key)}<option value={key}>{name}</option>{/each}
        </select>
      </label>
      {#if sheet.attach?.places}
        <label class="flex flex-col gap-0.5">
          <span class="text-sm text-secondary">Buttons</span>
          <select class="select w-52 bg-base-100 pr-8 pl-2" bind:value={crosses}>
            <option value="">as they are marked here</option>
            <option value="sewn">through the holes as sewn</option>
            <option value="plan">from the plan</option>
          </select>
        </label>
      {/if}
    {/if}
  </div>
  {#if sheet.placket.long}
    <p class="mt-3 max-w-prose">
      {closure.plan['placket.run_length'].text} takes many pages. Print it on a roll, or print one {sheet
        .button.sewn} and lay it on every mark.
    </p>
  {/if}
  <ul class="mt-5 flex flex-wrap items-start gap-x-7 gap-y-6">
    <Sheet
      main
      href="{address}.pdf{version}&paper={paper}&side={side}{crossing}"
      title="Print the strip, {paperName}"
      note="At true size. Print at 100 % and measure the check lines first."
    >
      <img src="{address}.svg{version}{crossing}" alt="Marking strip, {made}" class="w-full" />
    </Sheet>
    {#if ways.carded}
      <Sheet
        href="{workroom.file(`/closures/${closure.id}/hole-card`)}.pdf{version}{letter}"
        title="{capital(sheet.button.sewn)} card and marks"
        note="One {sheet.button.sewn} at true size, to lay on every mark."
      >
        <Lines title={sheet.opening.length.text} lines={sheet.placket.holes.map(line)} />
      </Sheet>
    {/if}
    {#if !ways.instead}
      <Sheet
        href={workroom.file(`/closures/${closure.id}/card.pdf`)}
        title="Machine card"
        note="What to set, to lay beside the machine."
      >
        <Lines
          title={closure.machine.name}
          lines={sheet.recipe.settings.map((item) => `${item.label}: ${item.text}`)}
        />
      </Sheet>
    {/if}
    <Sheet
      href={workroom.file(`/closures/${closure.id}/supplies.pdf`)}
      title="Shopping list"
      note="What to buy and to lay ready."
    >
      <Lines title={closure.garment.name} lines={(bought.data ?? []).map((item) => item.name)} boxes />
    </Sheet>
    {#if way}
      <Sheet
        href={workroom.file(`/closures/${closure.id}/way.pdf`)}
        title={capital(way.name)}
        note="Its pieces at true size."
      >
        <Lines title={closure.name} lines={way.beats} />
      </Sheet>
    {/if}
    <Sheet
      href={workroom.file(`/garments/${closure.garment.id}/record.pdf`)}
      title="The record"
      note="Everything about this garment, to keep."
    >
      <Lines
        title={closure.garment.name}
        lines={[
          closure.name,
          ways.carded ? `${made}, ${sheet.opening.length.text}` : made,
          plan['cloth.name'],
          plan['button.name'],
          plan['thread.name'],
        ]}
      />
    </Sheet>
  </ul>
  <div class="mt-5">
    <Fold name="print-files" title="Save to a file">
      <p class="flex flex-wrap gap-2">
        <a class="btn" href="{address}.svg{version}{crossing}" target="_blank" rel="noopener"
          ><Image size={18} aria-hidden="true" />Strip as SVG</a
        >
        <a class="btn" href={workroom.file(`/closures/${closure.id}/marks.csv`)}
          ><Table size={18} aria-hidden="true" />Marks as a table</a
        >
      </p>
    </Fold>
  </div>
  {#if shares}
    <Fold name="share-link" title="Share a link to this plan"><ShareLink closure={closure.id} /></Fold>
  {/if}
  <Supplies whose="closures" id={closure.id} version={closure.version} />
{:else}
  <p class="font-serif text-3xl font-semibold" data-answer>Nothing to print yet.</p>
  <p class="mt-1">
    The {sheet.button.sewn}s do not fit the edge.
    <button class="cursor-pointer link" onclick={() => go('placket')}>Put that right first.</button>
  </p>
{/if}
