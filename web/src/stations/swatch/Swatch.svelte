<script lang="ts">
  import { keep, recall } from '../../api/kept';
  import { room } from '../../api/room.svelte';
  import Because from '../../ui/Because.svelte';
  import Figure from '../../ui/Figure.svelte';
  import type { StationProps } from '../stations';

  let { work, closure, sheet }: StationProps = $props();

  type Seen = Extract<ClosureDeed, { kind: 'swatch' }>['seen'];
  type ClosureDeed = Parameters<typeof work.do>[0];

  const EMPTY: Seen = { passes: 'passes', measured: '', symptoms: [], note: '' };
  let swatch = $derived(sheet.swatch);
  let toSew = $derived(swatch.to_sew);
  let key = $derived(`swatch:${closure.id}`);
  // The form is kept as it is filled in; it belongs to the closure this station was opened for.
  // svelte-ignore state_referenced_locally
  let seen = $state<Seen>(recall<Seen>(key) ?? { ...EMPTY });
  let fault = $derived(work.faults['swatch.measured']);
  let names = $derived(new Map((room.catalogue?.symptoms ?? []).map((item) => [item.key, item.name])));
  let passes = $derived(new Map((room.catalogue?.passes ?? []).map((item) => [item.key, item.name])));

  $effect(() => keep(key, $state.snapshot(seen)));

  let sent = $state(-1);
  // Once the test hole is in the log the form is empty again; refused, it stays as it was.
  $effect(() => {
    if (sent >= 0 && swatch.log.length > sent) {
      seen = { ...EMPTY };
      sent = -1;
    }
  });

  function log(event: SubmitEvent): void {
    event.preventDefault();
    delete work.faults['swatch.measured'];
    sent = swatch.log.length;
    work.do({ kind: 'swatch', seen: $state.snapshot(seen), logged: swatch.log.length });
  }

  function makeChange(): void {
    const change = swatch.change;
    if (!change?.field || !change.to) return;
    work.type(change.field, change.to);
    work.saveSoon(0);
  }
</script>

<div class="grid gap-x-10 gap-y-5 xl:grid-cols-2">
  <div>
    {#if swatch.change}
      <p class="text-secondary">The one change to make next</p>
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>{swatch.change.says}</p>
      <div class="mt-2"><Because reasons={swatch.change.because} /></div>
      {#if swatch.change.field}
        <button class="btn mt-3 btn-primary" onclick={makeChange}>Make this change</button>
      {/if}
    {:else if swatch.accept}
      <p class="text-secondary">Nothing to put right on the newest swatch</p>
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>
        {swatch.log[0]?.accepted ? 'Accepted: sew the row like this.' : 'It is good. Accept it.'}
      </p>
    {:else}
      <p class="mt-1 font-serif text-3xl leading-tight font-semibold" data-answer>Sew one test hole first.</p>
      <p class="mt-1 max-w-prose text-secondary">
        On a scrap of the same {toSew.layers}, the same grain and thread. Cut it open and put the button
        through.
      </p>
    {/if}
  </div>
  <dl class="grid grid-cols-2 gap-x-6 gap-y-2 self-start sm:grid-cols-3">
    <Figure label="Opening" text={toSew.opening.text} />
    <Figure label="Overall" text={toSew.overall.text} />
    <Figure label="Stitch width" text={toSew.stitch_width.text} />
    <Figure label="Stitch length" text={toSew.stitch_length.text} />
    <Figure label="Top tension" text={toSew.tension} />
    <Figure label="Under it" text={toSew.stabiliser} across />
  </dl>
</div>

<form class="mt-6 max-w-3xl border-l-4 border-base-300 pl-4" onsubmit={log}>
  <h2 class="text-lg font-semibold">Log a test hole</h2>
  <fieldset class="mt-2">
    <legend class="text-sm text-secondary">The button</legend>
    <div class="mt-0.5 flex flex-wrap gap-x-5 gap-y-1">
      {#each room.catalogue?.passes ?? [] as item (item.key)}
        <label class="flex cursor-pointer items-center gap-2">
          <input type="radio" class="radio radio-sm" value={item.key} bind:group={seen.passes} />{item.name}
        </label>
      {/each}
    </div>
  </fieldset>
  <fieldset class="mt-3">
    <legend class="text-sm text-secondary">Seen on it</legend>
    <div class="mt-0.5 flex flex-wrap gap-x-5 gap-y-1">
      {#each room.catalogue?.symptoms ?? [] as item (item.key)}
        <label class="flex cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            value={item.key}
            bind:group={seen.symptoms}
          />{item.name}
        </label>
      {/each}
    </div>
  </fieldset>
  <div class="mt-3 flex flex-wrap items-start gap-4">
    <label class="flex w-40 flex-col text-sm text-secondary"
      >Opening as measured
      <input
        class={['input bg-base-100 px-2 text-lg text-base-content', fault && 'input-error']}
        aria-invalid={fault ? 'true' : undefined}
        bind:value={seen.measured}
      />
      {#if fault}<span role="alert" class="font-semibold text-error">{fault}</span>{/if}
    </label>
    <label class="flex grow flex-col text-sm text-secondary"
      >Note
      <input
        class="input w-full bg-base-100 px-2 text-lg text-base-content"
        maxlength="500"
        bind:value={seen.note}
      />
    </label>
  </div>
  <button class="btn mt-3">Log it</button>
</form>

<h2 class="mt-6 text-lg font-semibold">Sewn so far</h2>
{#if swatch.log.length === 0}
  <p class="text-secondary">None yet. What is logged here is remembered with its settings.</p>
{:else}
  <ol class="mt-1 max-w-3xl divide-y divide-base-300">
    {#each swatch.log as item (item.number)}
      <li class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
        <span class="font-serif text-xl font-semibold">{item.number}</span>
        <span class="grow">
          {passes.get(item.passes)}{item.symptoms.length ? '; ' : ''}{item.symptoms
            .map((symptom) => names.get(symptom))
            .join('; ')}
          <span class="block text-sm text-secondary"
            >set to {item.opening.text}{item.measured ? `, measured ${item.measured.text}` : ''}; {item
              .stitch_width.text} wide,
            {item.stitch_length.text} long, tension {item.tension}; {item.stabiliser}</span
          >
          {#if item.note}<span class="block text-sm wrap-anywhere">{item.note}</span>{/if}
        </span>
        {#if item.accepted}
          <span class="badge badge-primary">accepted</span>
        {:else}
          <button class="btn btn-sm" onclick={() => work.do({ kind: 'accept', number: item.number })}
            >Accept</button
          >
        {/if}
      </li>
    {/each}
  </ol>
{/if}
