<script lang="ts">
  import { workroom } from '../../api/workroom.svelte';
  import { FileText, Image, Table } from '@lucide/svelte';
  import Supplies from '../../closure/Supplies.svelte';
  import Figure from '../../ui/Figure.svelte';
  import type { StationProps } from '../../closure/station';

  let { closure, sheet, go }: StationProps = $props();

  const PAPERS = [
    ['a4', 'A4'],
    ['letter', 'Letter'],
    ['roll', 'a roll'],
  ] as const;
  const SIDES = [
    ['both', 'both, one after the other'],
    ['overlap', 'overlap, the holes'],
    ['underlap', 'button side, the buttons'],
  ] as const;

  let paper = $state<(typeof PAPERS)[number][0]>('a4');
  let crosses = $state<'sewn' | 'plan' | ''>('');
  let side = $state<(typeof SIDES)[number][0]>('both');
  let buttoned = $derived(sheet.stages.some((stage) => stage.word === 'attach'));
  let paperName = $derived(PAPERS.find(([key]) => key === paper)?.[1]);

  let address = $derived(workroom.file(`/closures/${closure.id}/strip`));
  // A new picture for every saved change.
  let version = $derived(`?v=${closure.version}-${closure.unit}`);
  let crossing = $derived(crosses ? `&crosses=${crosses}` : '');
</script>

{#if sheet.placket}
  <div class="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 xl:grid-cols-[1fr_auto]">
    <div>
      <p class="answer" data-answer>1 : 1</p>
      <p class="mt-1 max-w-prose text-secondary">
        The marking strip at true size. Print at 100 %. Measure the check lines before you pin it on.
      </p>
      <div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-3">
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
              {#each SIDES as [key, name] (key)}<option value={key}>{name}</option>{/each}
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
        <a
          class="btn btn-primary"
          href="{address}.pdf{version}&paper={paper}&side={side}{crossing}"
          target="_blank"
          rel="noopener"><FileText size={18} aria-hidden="true" />Strip as PDF, {paperName}</a
        >
      </div>
      {#if sheet.placket.long}
        <p class="mt-3 max-w-prose">
          {closure.plan['placket.run_length'].text} takes many pages. Print it on a roll, or print one {sheet
            .button.sewn} and lay it on every mark.
        </p>
      {/if}
      <div class="mt-3 flex flex-wrap gap-2">
        <a
          class="btn"
          href="{workroom.file(`/closures/${closure.id}/hole-card`)}.pdf{version}{paper === 'letter'
            ? '&paper=letter'
            : ''}"
          target="_blank"
          rel="noopener"
          ><FileText size={18} aria-hidden="true" />{sheet.button.opens ? 'Hole' : 'Tack'} card and marks</a
        >
        {#if sheet.recipe.ways.chosen}<a
            class="btn"
            href={workroom.file(`/closures/${closure.id}/way.pdf`)}
            target="_blank"
            rel="noopener"><FileText size={18} aria-hidden="true" />Page for this way to close</a
          >{/if}
        <a class="btn" href="{address}.svg{version}{crossing}" target="_blank" rel="noopener"
          ><Image size={18} aria-hidden="true" />Strip as SVG</a
        >
        <a class="btn" href={workroom.file(`/closures/${closure.id}/marks.csv`)}
          ><Table size={18} aria-hidden="true" />Marks as a table</a
        >
      </div>
      <dl class="mt-5 flex flex-wrap gap-x-8 gap-y-2">
        <Figure label={sheet.button.opens ? 'Holes' : 'Tacks'} text={String(sheet.placket.holes.length)} />
        {#if sheet.button.opens}
          <Figure label="Length" term="opening" text={sheet.opening.length.text} />
          <Figure label="Overall" term="overall" text={sheet.opening.overall.text} />
        {:else}<Figure label="Each" text={sheet.opening.length.text} />{/if}
        <Figure label="Edge" term="run" text={closure.plan['placket.run_length'].text} />
      </dl>
    </div>
    <!-- A strip is long: the box scrolls, by keyboard too. -->
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="max-h-[64vh] w-80 max-w-full overflow-y-auto border border-base-300 bg-white"
      role="region"
      aria-label="The strip as it will be printed, to scroll"
      tabindex="0"
    >
      <img
        src="{address}.svg{version}{crossing}"
        alt="Marking strip, {sheet.placket.holes.length === 1
          ? `1 ${sheet.button.sewn}`
          : `${sheet.placket.holes.length} ${sheet.button.sewn}s`}"
        class="w-full"
      />
    </div>
  </div>
  <Supplies whose="closures" id={closure.id} version={closure.version} />
{:else}
  <p class="font-serif text-3xl font-semibold" data-answer>Nothing to print yet.</p>
  <p class="mt-1">
    The {sheet.button.sewn}s do not fit the edge.
    <button class="cursor-pointer link" onclick={() => go('placket')}>Put that right first.</button>
  </p>
{/if}
