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
  import { SessionWork } from '../../session/session.svelte';
  import StepPicture from '../../session/StepPicture.svelte';
  import { timeOf } from '../../session/words';
  import { Awake, onKey, Voice } from './hands.svelte';
  import SewHead from './SewHead.svelte';
  import SewTold from './SewTold.svelte';
  import { holdVersion } from '../../version';

  const params = route.params as { slug: string; id: string };
  const work = new SessionWork(params.slug, Number(params.id));
  const voice = new Voice();
  const awake = new Awake();
  let measured = $state('');
  let wrong = $state(false);
  let doc = $derived(work.doc);
  let now = $derived(work.now);
  let closure = $derived(doc?.closures.find((one) => one.id === now?.closure));
  let wait = $derived(
    doc && now?.dry_wait
      ? doc.order.moments.find((one) => one.closure === now.closure && one.block === 'open')
      : undefined,
  );

  onMount(() => {
    void work.open();
    // Parts that are fetched later are fetched now: there may be no connection then.
    void import('../../ui/DialogBody.svelte');
    const stops = [holdVersion(), awake.start(), listen(params.slug, () => void work.refresh())];
    return () => {
      stops.forEach((stop) => stop());
      voice.hush();
      work.leave();
    };
  });
  let said = '';
  $effect(() => {
    const text = now ? now.does : doc ? 'All done.' : '';
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
  let wet = $derived(Boolean(wait && wait.from > 0 && now && asked === now.id));
  const done = (): void => {
    if (wait && wait.from > 0 && now && asked !== now.id) {
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
          onclick={() => voice.toggle(now?.does ?? 'All done.')}
        >
          {#if voice.on}<Volume2 size={22} />{:else}<VolumeX size={22} />{/if}
          <span class="max-sm:sr-only">Read aloud</span>
        </button>
      {/if}
    </SewHead>
    {#if now}
      <!-- What is longer than the screen is scrolled by keys too. -->
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <section class="min-h-0 flex-1 overflow-y-auto px-4 py-3 sm:px-8" tabindex="0" aria-label="The step">
        <div class="gap-8 lg:flex">
          <div class="min-w-0 flex-1">
            <p class="text-lg text-secondary sm:text-xl">{now.part}</p>
            <h1
              class="mt-1 font-serif text-[clamp(1.9rem,2.4vw+1.4vh,4.6rem)] leading-[1.1] font-semibold wrap-anywhere"
              data-answer
              data-step={now.id}
            >
              {now.does}
            </h1>
            {#if now.figure}
              <p
                class="mt-2 font-serif text-[clamp(2.6rem,9vmin,7rem)] leading-none font-semibold text-primary"
                data-figure
              >
                {now.figure.text}
                <span class="font-sans text-xl font-normal text-secondary">{now.figure.label ?? ''}</span>
              </p>
            {/if}
          </div>
          <div class="shrink-0 pt-2 text-xl text-warning lg:w-[34%] lg:max-w-xl">
            {#if now.near}<p class="font-semibold">Foot off the pedal.</p>{/if}
            {#if now.caution}<p class="border-l-4 border-warning pl-3" data-caution>{now.caution}</p>{/if}
            <div class="mt-3 text-base-content"><StepPicture step={now} {closure} /></div>
          </div>
        </div>
        {#if wait && wait.from > 0}
          <p class="mt-2 text-2xl" data-dry-at>
            Dry at {timeOf(doc.as_of, wait.from)}.
            {#if wet}<strong class="text-warning" data-wet
                >Not dry yet. Touch it: if it is dry, tap once more.</strong
              >{/if}
          </p>
        {/if}
        {#if now.how}<p class="mt-3 max-w-5xl text-[clamp(1.15rem,2.6vmin,1.9rem)]">{now.how}</p>{/if}
        {#if now.symptom}<p class="mt-2 max-w-3xl text-lg text-secondary">{now.symptom}</p>{/if}
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
      </section>
      <div class="flex flex-wrap items-center gap-2 border-t border-base-300 px-4 py-2 sm:px-8">
        <button class="btn min-h-11" disabled={!work.canGoBack} onclick={back}
          ><ArrowLeft size={20} /> Back</button
        >
        <button class="btn min-h-11 border-warning text-warning" onclick={goneWrong}
          >Something went wrong</button
        >
        <SewTold step={now} noun={closure?.passes ?? 'button'} {work} {goneWrong} />
      </div>
      <button
        class="flex h-[27vh] min-h-36 shrink-0 cursor-pointer flex-col items-center justify-center gap-1 bg-primary px-4 text-primary-content"
        data-done
        onclick={done}
      >
        <span class="font-serif text-[clamp(2.4rem,7vmin,5rem)] leading-none font-semibold"
          >{now.look ? 'Fine' : 'Done'}</span
        >
        {#if work.next}
          <span class="line-clamp-2 max-w-5xl text-lg sm:text-xl">Then: {work.next.does}</span>
        {/if}
      </button>
    {:else}
      <section class="flex flex-1 flex-col items-center justify-center gap-4 px-6 text-center">
        <h1 class="font-serif text-5xl font-semibold" data-answer>All done, and the machine is as it was.</h1>
        {#if doc.closures.some((one) => one.waits)}
          <p class="text-xl">
            What cannot be sewn yet: {doc.closures
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
      {work.away ? 'The server does not answer. Trying again…' : 'One moment…'}
    </p>
  {/if}
</main>

{#if doc && now}
  <MishapDialog
    bind:open={wrong}
    {doc}
    step={now}
    wrong={(row, text, hole) => now && void work.wrong(row, { ...now, hole }, text)}
  />
{/if}
