<script lang="ts">
  // What a test hole showed, in the order in which to look: it goes into the log with everything it was
  // sewn with. Looked at a second time, both looks stand together.
  import { on } from 'svelte/events';
  import type { Closure, LookDrawn } from '../../api/client';
  import { READ_OFF } from '../../closure/caliper.svelte';
  import CaliperButton from '../../closure/CaliperButton.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import HolePhoto from './HolePhoto.svelte';
  import LookQuestion from './LookQuestion.svelte';
  import OtherSymptoms from './OtherSymptoms.svelte';
  import { logSeen } from './log_seen';
  import type { Seen } from './seen.svelte';

  type Props = {
    work: ClosureWork;
    closure: Closure;
    seen: Seen;
    pictures: LookDrawn[];
    /** The test hole to look at again. */ looksAgain?: string | undefined;
  };
  let { work, closure, seen, pictures, looksAgain }: Props = $props();

  const id = $props.id();
  let fault = $state('');
  let rest = $state(false);

  let swatch = $derived(closure.sheet.swatch);
  let again = $derived(looksAgain ? swatch.log.find((one) => one.id === looksAgain) : undefined);
  let open = $derived(rest || seen.form.symptoms.length > 0);

  async function log(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    fault = await logSeen(work, closure, seen, again);
    if (!fault) rest = false;
  }
</script>

<form class="mt-6 border-l-4 border-base-300 pl-4" onsubmit={log} data-look-form>
  <h2 class="text-lg font-semibold">
    {again
      ? `Look at Test ${again.number} again`
      : closure.sheet.button.opens
        ? 'Measure it, cut it, and look'
        : 'Measure it, pull at it, and look'}
  </h2>
  <p class="max-w-prose text-sm text-secondary">
    {#if closure.sheet.button.opens}
      Cut it open. Measure the slit between the ends. Then look at one thing after the other.
    {:else}
      Measure the tack from end to end, pull hard at what it holds, then look, one thing after the other.
    {/if}
  </p>
  <div class="mt-3 flex w-56 flex-col">
    <label for="{id}-measured" class="text-sm text-secondary"
      >{closure.sheet.button.opens ? 'The slit as measured, cut' : 'The tack as measured'}</label
    >
    <span class="flex items-center gap-1">
      <input
        id="{id}-measured"
        data-measures
        class={['input bg-base-100 px-2 text-lg text-base-content', fault && 'input-error']}
        aria-invalid={fault ? 'true' : undefined}
        bind:value={seen.form.measured}
        oninput={() => seen.byRuler()}
        {@attach (field) => on(field, READ_OFF, () => seen.byCaliper())}
      />
      <CaliperButton
        field="{id}-measured"
        label={closure.sheet.button.opens ? 'slit as measured' : 'tack as measured'}
      />
      <HolePhoto {closure} {seen} />
    </span>
    {#if fault}<span role="alert" class="text-sm font-semibold text-error">{fault}</span>{/if}
  </div>
  {#each swatch.looks as look (look.key)}
    <LookQuestion {look} {seen} {pictures} />
  {/each}
  {#if open}
    <p class="mt-4 text-base font-semibold">What else is seen on it</p>
    <OtherSymptoms {swatch} {seen} />
  {:else}
    <button type="button" class="btn mt-4 btn-ghost btn-sm" onclick={() => (rest = true)}
      >Something else is seen on it: puckers, ends, thread, fabric…</button
    >
  {/if}
  <label class="mt-3 flex max-w-xl flex-col text-sm text-secondary"
    >Something else, in words
    <input
      class="input w-full bg-base-100 px-2 text-lg text-base-content"
      maxlength="500"
      bind:value={seen.form.note}
    />
  </label>
  <button class="btn mt-3 btn-primary">{again ? 'Log the second look' : 'Log it'}</button>
</form>
