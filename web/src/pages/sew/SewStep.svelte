<script lang="ts">
  // What is done now, very large: its picture, its headline and figure, what it warns of, and what it asks.
  import type { SessionClosure, SessionStep } from '../../api/client';
  import { beatsKnown, headlineOf, isRow, toldInFull } from '../../session/card';
  import HoleBeats from '../../session/HoleBeats.svelte';
  import type { SessionWork } from '../../session/session.svelte';
  import StepPicture from '../../session/StepPicture.svelte';
  import { drying } from '../../session/drying.svelte';
  import { clock } from '../../session/words';
  import Fold from '../../ui/Fold.svelte';
  import { unbroken } from '../../ui/unbroken';

  type Props = {
    work: SessionWork;
    now: SessionStep;
    closure: SessionClosure | undefined;
    /** When it is dry, ms; 0 where nothing dries. */ dryAt: number;
    /** It was pressed too early. */ wet: boolean;
    measured: string;
  };
  let { work, now, closure, dryAt, wet, measured = $bindable() }: Props = $props();

  let dries = $derived({ part: closure ? `${closure.garment}: ${closure.name}` : now.part, at: dryAt });
  let joined = $derived(work.card.length > 1);
  /** The same step at several places. */
  let row = $derived(isRow(work.card));
  /** The words that all of them share. */
  const alike = (says: (step: SessionStep) => string | null): string =>
    work.card.every((step) => says(step) === says(now)) ? (says(now) ?? '') : '';
  const rowName = (step: SessionStep): string => {
    const name = step.part.split(': ').at(-1) ?? step.part;
    return step.figure ? `${name}: ${step.figure.text}` : name;
  };
  let headline = $derived(headlineOf(work.card, closure));
  /** What Done does, or the list of settings that can be ticked at once. */
  let shown = $derived(work.settings.length > 1 ? work.settings : work.card);
  /** What went wrong at this very step when it was practised. */
  let slipped = $derived(work.card.map((step) => work.weak.get(step.name)).find(Boolean));
  let near = $derived(shown.some((step) => step.near));
  let cautions = $derived([...new Set(shown.flatMap((step) => step.caution ?? []))]);
  /** The figure to hit, large, unless the headline has it. */
  let figure = $derived.by(() => {
    const found = joined ? work.card.find((step) => step.figure)?.figure : now.figure;
    return found && !` ${headline}`.includes(` ${found.text}`) ? found : undefined;
  });
  /** The start mark is what has to be seen of a hole whose beats are joined. */
  let picture = $derived((joined && work.card.find((step) => step.name === 'place')) || now);
  /** Names of what is done at every hole of these buttonholes. */
  let beats = $derived(
    new Set(
      now.turn === 'hole'
        ? [...work.past, ...work.steps]
            .filter((step) => step.closure === now.closure && step.turn === 'hole')
            .map((step) => step.name)
            .filter((name) => ['reset', 'place', 'lever'].includes(name))
        : [],
    ),
  );
</script>

{#snippet beatList()}
  <ol class="mt-2 text-xl">
    {#each work.card as beat (beat.id)}
      <li><strong>{beat.does}</strong> {beat.how ?? ''}</li>
    {/each}
  </ol>
{/snippet}

<!-- What is longer than the screen is scrolled by keys too. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<section
  class="min-h-0 flex-1 overflow-y-auto px-4 py-3 sm:px-8"
  tabindex="0"
  aria-label="The step"
  data-beats={joined ? work.card.length : undefined}
>
  <!-- The picture is never below the fold: on a phone it comes first. -->
  <div class="flex flex-col gap-x-8 gap-y-2 lg:flex-row lg:[[data-hand=left]_&]:flex-row-reverse">
    <div class="order-2 min-w-0 flex-1 lg:order-1">
      <p class="text-lg text-secondary sm:text-xl">{now.part}</p>
      <h1
        class="mt-1 font-serif text-[clamp(1.9rem,2.4vw+1.4vh,4.2rem)] leading-[1.1] font-semibold wrap-anywhere"
        data-answer
        data-step={now.id}
      >
        {unbroken(headline)}
      </h1>
      {#if figure}
        <p
          class="mt-2 font-serif text-[clamp(2.6rem,9vmin,7rem)] leading-none font-semibold text-primary"
          data-figure
        >
          {figure.text}
          <span class="font-sans text-xl font-normal text-secondary"
            >{picture.name === 'place' && closure
              ? `from the ${closure.measured_from}`
              : (figure.label ?? '')}</span
          >
        </p>
      {/if}
      {#if row}
        <ol class="mt-2 text-xl">
          {#each work.card as beat, index (beat.id)}
            <li class="flex flex-wrap items-center gap-x-4 border-b border-base-300 py-1">
              <strong class="min-w-0 flex-1">{rowName(beat)}</strong>
              {#if index < work.card.length - 1}
                <button class="btn min-h-11" onclick={() => void work.tick(work.card.slice(0, index + 1))}
                  >Done up to here</button
                >
              {/if}
            </li>
          {/each}
        </ol>
        <p class="mt-2 text-xl">{alike((step) => step.does)} {alike((step) => step.how)}</p>
      {:else if joined && beatsKnown(work.card, work.past)}
        <Fold name="sew-beats" title="The beats of this {closure?.noun ?? 'hole'}">{@render beatList()}</Fold>
      {:else if joined}{@render beatList()}{/if}
      {#if work.settings.length > 1}
        <ul class="mt-3 ml-5 list-disc text-xl" data-settings={work.settings.length}>
          {#each work.settings.slice(1) as setting (setting.id)}<li>
              {setting.does}
              {setting.how ?? ''}
            </li>{/each}
        </ul>
      {/if}
      {#if near || cautions.length > 0}
        <div class="mt-3 text-xl text-warning">
          {#if near}<p class="font-semibold">Foot off the pedal.</p>{/if}
          {#each cautions as caution (caution)}
            <p class="border-l-4 border-warning pl-3" data-caution>{caution}</p>
          {/each}
        </div>
      {/if}
      {#if slipped}
        <p class="mt-3 border-l-4 border-primary pl-3 text-lg" data-slipped>
          Last time this went wrong: {slipped.name}. {slipped.does ?? ''}
        </p>
      {/if}
      {#if dryAt > 0}
        <p class="mt-2 flex flex-wrap items-center gap-3 text-2xl" data-dry-at>
          Dry at {clock(dryAt)}.
          {#if drying.waitsFor(dries)}<span class="text-lg text-secondary"
              >You will be told. Keep this page open.</span
            >
          {:else}<button class="btn min-h-11" onclick={() => void drying.want(dries)}
              >Tell me when it is dry</button
            >{/if}
          {#if wet}<strong class="text-warning" data-wet
              >Not dry yet. Touch it: if it is dry, tap once more.</strong
            >{/if}
        </p>
      {/if}
      {#if now.how && !joined}<p class="mt-3 max-w-5xl text-[clamp(1.15rem,2.6vmin,1.9rem)]">
          {now.how}
        </p>{/if}
      {#if now.symptom && !joined}
        {#if toldInFull(now, work.past)}<p class="mt-2 max-w-3xl text-lg" data-more>{now.symptom}</p>
        {:else}<Fold name="sew-more" title="More"><p class="max-w-3xl text-lg">{now.symptom}</p></Fold>{/if}
      {/if}
      {#if beats.size > 1}
        <label class="mt-2 flex min-h-11 cursor-pointer items-center gap-2 text-secondary">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={work.singly}
            onchange={() => work.toggleSingly()}
          />
          Show every step
        </label>
      {/if}
      {#if now.asks}
        <label class="mt-3 flex flex-wrap items-center gap-3 text-xl"
          >How long is the slit now?
          <input
            data-measures
            inputmode="decimal"
            class="input w-36 bg-base-100 text-xl"
            bind:value={measured}
          />
        </label>
      {/if}
    </div>
    <div class="order-1 shrink-0 text-xl lg:order-2 lg:w-[46%] lg:max-w-3xl">
      <StepPicture step={picture} {closure} />
      {#if beats.size > 1 && !work.card.some((step) => step.opens)}
        <div class="mt-2"><HoleBeats names={beats} card={work.card} /></div>
      {/if}
    </div>
  </div>
</section>
