<script lang="ts">
  // Sew-along: one step, very large, with both hands on the cloth. Figures are legible from two metres: the step is at
  // least 40 px high on a desk, 30 on a phone. Done is always at the same place: the lower part of the screen.
  import { ArrowLeft, Volume2, VolumeX } from '@lucide/svelte';
  import { onMount } from 'svelte';
  import { listen } from '../../api/live';
  import { route } from '../../router';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';
  import MishapDialog from '../../session/MishapDialog.svelte';
  import { Due } from '../../rehearse/due.svelte';
  import { SessionWork } from '../../session/session.svelte';
  import { Awake, onKey, Voice } from './hands.svelte';
  import { drying } from '../../session/drying.svelte';
  import { headlineOf, isRow } from '../../session/card';
  import SewHead from './SewHead.svelte';
  import SewStep from './SewStep.svelte';
  import SewTold from './SewTold.svelte';
  import { holdVersion } from '../../version.svelte';

  const params = route.params as { slug: string; id: string };
  const due = new Due();
  const work = new SessionWork(params.slug, Number(params.id));
  const voice = new Voice();
  const awake = new Awake();
  let measured = $state('');
  let wrong = $state(false);
  let doc = $derived(work.doc);
  let now = $derived(work.now);
  let closure = $derived(doc?.closures.find((one) => one.id === now?.closure));
  /** The card as one step: whatever can go wrong at one of its beats. */
  let whole = $derived(now && { ...now, mishaps: [...new Set(work.card.flatMap((step) => step.mishaps))] });
  let headline = $derived(headlineOf(work.card, closure));
  let wait = $derived(
    doc && now?.dry_wait
      ? doc.order.moments.find((one) => one.closure === now.closure && one.block === 'open')
      : undefined,
  );

  /** Whatever was done elsewhere; who came and went changes nothing here. */
  const follow = (): (() => void) =>
    listen(params.slug, (change) => change.kind !== 'here' && void work.refresh());

  onMount(() => {
    void work.open();
    // Parts that are fetched later are fetched now: there may be no connection then.
    void import('../../ui/DialogBody.svelte');
    const stops = [holdVersion(), awake.start(), follow()];
    return () => {
      stops.forEach((stop) => stop());
      voice.hush();
      work.leave();
    };
  });
  $effect(() => {
    if (doc) void due.read(params.slug, doc.machine.id);
    work.weak = due.weak;
  });
  let said = '';
  $effect(() => {
    const text = now ? headline : doc ? 'All done.' : '';
    if (text === said) return;
    if (said) announce(text);
    said = text;
    voice.say([text, now?.caution].filter(Boolean).join(' '));
    measured = '';
  });
  $effect(() => {
    document.title = `${now ? now.part : 'At the machine'}: Nimble Eyelet`;
  });

  /** What is cut wet glues together: it is asked about once. */
  let asked = $state('');
  let dryAt = $derived(doc && wait && wait.from > 0 ? drying.after(doc.as_of, wait.from) : 0);
  let dries = $derived(dryAt > drying.now);
  let wet = $derived(Boolean(dries && now && asked === now.id));
  const done = (): void => {
    if (dries && now && asked !== now.id) {
      asked = now.id;
      announce('Not dry yet.');
      return;
    }
    void work.done(measured.trim());
  };
  const back = (): void => void work.back();
  const goneWrong = (): void => {
    if (now) wrong = true;
  };
</script>

<svelte:window onkeydown={(event) => onKey(event, { done, back, wrong: goneWrong })} />

<main id="main" class="flex h-dvh flex-col bg-base-100 text-base-content" tabindex="-1">
  {#if doc}
    <SewHead {work} {doc} {closure} {now}>
      {#if voice.there}
        <button
          class="btn btn-ghost max-sm:px-2"
          aria-pressed={voice.on}
          onclick={() => voice.toggle(now ? headline : 'All done.')}
        >
          {#if voice.on}<Volume2 size={22} />{:else}<VolumeX size={22} />{/if}
          <span class="max-sm:sr-only">Read aloud</span>
        </button>
      {/if}
    </SewHead>
    {#if now}
      <SewStep {work} {now} {closure} dryAt={dries ? dryAt : 0} {wet} bind:measured />
      <div class="handed flex flex-wrap items-center gap-2 border-t border-base-300 px-4 py-2 sm:px-8">
        <button class="btn min-h-11" disabled={!work.canGoBack} onclick={back}
          ><ArrowLeft size={20} /> Back</button
        >
        <button class="btn min-h-11 border-warning text-warning" onclick={goneWrong}
          >Something went wrong</button
        >
        {#if work.settings.length > 1}
          <button class="btn min-h-11" onclick={() => void work.tick(work.settings)}
            >{work.settings.length === 2 ? 'Both' : `All ${work.settings.length}`} of these are done</button
          >
        {/if}
        <SewTold step={work.card.at(-1) ?? now} noun={closure?.passes ?? 'button'} {work} {goneWrong} />
      </div>
      <button
        class="flex h-[17vh] min-h-28 shrink-0 sm:h-[23vh] sm:min-h-32 lg:h-[19vh] cursor-pointer flex-col items-center justify-center gap-1 bg-primary px-4 text-primary-content"
        data-done
        onclick={done}
      >
        <span class="font-serif text-[clamp(2.4rem,7vmin,5rem)] leading-none font-semibold"
          >{now.look && work.card.length === 1 ? 'Fine' : 'Done'}</span
        >
        {#if work.next}
          <span class="line-clamp-2 max-w-5xl text-lg sm:text-xl">Then: {work.next.does}</span>
        {/if}
      </button>
    {:else}
      <section class="flex flex-1 flex-col items-center justify-center gap-4 px-6 text-center">
        <h1 class="font-serif text-5xl font-semibold" data-answer>
          All done. Your machine is back to normal.
        </h1>
        {#if doc.closures.some((one) => one.waits)}
          <p class="text-xl">
            Not ready to sew yet: {doc.closures
              .filter((one) => one.waits)
              .map((one) => `${one.garment}: ${one.name}`)
              .join(', ')}.
          </p>
        {/if}
        <p class="flex flex-wrap justify-center gap-3">
          <a class="btn btn-lg btn-primary" href={workroom.at(`/sessions/${doc.id}`)}>To the session</a>
          <button class="btn btn-lg" disabled={!work.canGoBack} onclick={back}>Back one step</button>
        </p>
      </section>
    {/if}
    {#if awake.why}<p class="border-t border-base-300 px-4 py-1 text-sm text-secondary">{awake.why}</p>{/if}
  {:else if work.missing}
    <p class="p-8 text-2xl">
      There is no such session here. <a class="link" href={workroom.at()}>Back to the workroom</a>
    </p>
  {:else}
    <p class="p-8 text-2xl" role="status">
      {work.away ? 'The server does not answer. Trying again…' : 'Loading your steps…'}
    </p>
  {/if}
</main>

{#if doc && now}
  <MishapDialog
    bind:open={wrong}
    {doc}
    step={whole ?? now}
    places={isRow(work.card) ? work.card : []}
    wrong={(row, text, hole, at) => void work.wrongOnCard(row, hole, text, at)}
  />
{/if}
