<script lang="ts">
  // A test hole, one question at a time: set the machine, sew, measure, look five times, and what to change.
  import type { Advice, Closure, LookDrawn } from '../../api/client';
  import BeforeFirst from './BeforeFirst.svelte';
  import CaliperButton from '../../closure/CaliperButton.svelte';
  import { READ_OFF } from '../../closure/caliper.svelte';
  import { count } from '../../closure/waiting';
  import type { ClosureWork } from '../../closure/work.svelte';
  import { on } from 'svelte/events';
  import { logSeen } from './log_seen';
  import HolePhoto from './HolePhoto.svelte';
  import LookChoice from './LookChoice.svelte';
  import OtherSymptoms from './OtherSymptoms.svelte';
  import type { Seen } from './seen.svelte';
  import SetPanel from './SetPanel.svelte';
  import TestHole from './TestHole.svelte';
  import Verdict from './Verdict.svelte';

  type Props = {
    work: ClosureWork;
    closure: Closure;
    seen: Seen;
    pictures: LookDrawn[];
    advice: Advice | undefined;
    /** The advice knows the newest test and the newest settings. */ fresh: boolean;
    failing: boolean;
    practise: () => Promise<void>;
  };
  let { work, closure, seen, pictures, advice, fresh, failing, practise }: Props = $props();

  const id = $props.id();
  let swatch = $derived(closure.sheet.swatch);
  let again = $derived(advice?.again ? swatch.log.find((one) => one.id === advice.again) : undefined);
  /** Said already, and not told to the server yet. */
  let waiting = $derived(count(work.facts, 'swatch'));
  let number = $derived(again?.number ?? Math.max(0, ...swatch.log.map((one) => one.number)) + waiting + 1);
  let panels = $derived([
    ...(again ? [] : ['set', 'sew']),
    'measure',
    ...swatch.looks.map((look) => `look-${look.key}`),
    'rest',
  ]);
  let panel = $derived(
    seen.form.panel && panels.includes(seen.form.panel)
      ? seen.form.panel
      : swatch.log.length + waiting > 0
        ? 'verdict'
        : (panels[0] ?? 'set'),
  );
  let place = $derived(panels.indexOf(panel));
  let look = $derived(swatch.looks.find((one) => `look-${one.key}` === panel));
  let fault = $state('');
  let heading = $state<HTMLElement>();

  const TITLES: Record<string, string> = {
    set: 'Set the machine like this.',
    sew: 'Sew one buttonhole on a scrap.',
    rest: 'Do you see anything else?',
  };
  let title = $derived.by(() => {
    if (look) return look.question;
    if (panel === 'measure')
      return closure.sheet.button.opens ? 'Cut it. How long is the slit?' : 'How long is it, end to end?';
    return TITLES[panel] ?? '';
  });

  function to(name: string | undefined): void {
    fault = '';
    seen.form.panel = name ?? '';
    requestAnimationFrame(() => heading?.focus({ preventScroll: true }));
  }
  const next = () => to(panels[place + 1]);

  /** What the practice machine sewed is said by it: there is nothing left to ask. */
  async function sewThere(): Promise<void> {
    await practise();
    to(undefined);
  }

  async function log(): Promise<void> {
    fault = await logSeen(work, closure, seen, again);
    if (!fault) to(undefined);
  }
</script>

<section aria-label="Test {number}" data-test-card={panel} data-advice={fresh ? 'fresh' : 'waiting'}>
  {#if panel === 'verdict'}
    <Verdict {work} {closure} {advice} {fresh} {failing} {waiting} {practise} begin={() => to(panels[0])} />
  {:else}
    <div class="flex gap-1.5" aria-hidden="true">
      {#each panels as name, index (name)}
        <span class={['h-1.5 flex-1 rounded', index <= place ? 'bg-primary' : 'bg-base-300']}></span>
      {/each}
    </div>
    <p class="mt-2 text-sm text-secondary">Test {number} · {place + 1} of {panels.length}</p>
    <h2 bind:this={heading} tabindex="-1" class="mt-1 text-3xl font-semibold outline-none">{title}</h2>
    <div class="mt-3 min-h-64">
      {#if panel === 'set'}
        <SetPanel {closure} />
        {#if advice && swatch.log.length + waiting === 0}<BeforeFirst {work} {advice} {fresh} />{/if}
      {:else if panel === 'sew'}
        <TestHole {closure} />
        {#if swatch.to_sew.again}<p class="mt-3 text-lg font-semibold" data-again>
            {swatch.to_sew.again}
          </p>{/if}
        <p class="mt-3 text-lg">Use the same {swatch.to_sew.layers}, grain and thread as the garment.</p>
      {:else if panel === 'measure'}
        <TestHole {closure} mark="length" size="max-h-40" />
        <div class="mt-3 flex w-64 flex-col">
          <label for="{id}-measured" class="text-sm text-secondary"
            >{closure.sheet.button.opens ? 'The slit as measured, cut' : 'The tack as measured'}</label
          >
          <span class="flex items-center gap-1">
            <input
              id="{id}-measured"
              data-measures
              class={['input input-lg bg-base-100 px-2 text-2xl', fault && 'input-error']}
              aria-invalid={fault ? 'true' : undefined}
              bind:value={seen.form.measured}
              oninput={() => seen.byRuler()}
              {@attach (field) => on(field, READ_OFF, () => seen.byCaliper())}
            />
            <CaliperButton field="{id}-measured" label="slit as measured" />
            <HolePhoto {closure} {seen} />
          </span>
        </div>
      {:else if look}
        <LookChoice {look} {seen} {pictures} chosen={next} />
        {#if look.key !== 'fit'}<div class="mt-3">
            <TestHole {closure} mark={look.key} size="max-h-36" />
          </div>{/if}
      {:else if panel === 'rest'}
        <OtherSymptoms {swatch} {seen} />
        <label class="mt-3 flex max-w-xl flex-col text-sm text-secondary"
          >In your own words
          <input
            class="input w-full bg-base-100 px-2 text-lg text-base-content"
            maxlength="500"
            bind:value={seen.form.note}
          />
        </label>
      {/if}
    </div>
    {#if fault}<p role="alert" class="font-semibold text-error">{fault}</p>{/if}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      {#if place > 0}<button class="btn" onclick={() => to(panels[place - 1])}>Back</button>{/if}
      {#if swatch.log.length > 0}<button class="btn btn-ghost" onclick={() => to(undefined)}
          >Back to the advice</button
        >{/if}
      <span class="grow"></span>
      {#if look}<button class="btn btn-ghost" onclick={next}>I can't tell</button>{/if}
      {#if panel === 'sew' && closure.machine.practice}
        <button class="btn" disabled={work.moves.simulating || !fresh} onclick={sewThere}
          >Sew it on the practice machine</button
        >
      {/if}
      {#if panel === 'rest'}
        <button class="btn btn-lg btn-primary" onclick={log}>Save the test</button>
      {:else}
        <button class="btn btn-lg btn-primary" onclick={next}
          >{panel === 'set' ? 'It is set' : panel === 'sew' ? 'It is sewn' : 'Next'}</button
        >
      {/if}
    </div>
  {/if}
</section>
