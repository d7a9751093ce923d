<script lang="ts">
  // The cutting table: the run on the left, the thread on top, the station in the middle, the
  // ledger on the right.
  import { onMount } from 'svelte';
  import type { Closure, StageWord } from '../api/client';
  import Again from '../api/Again.svelte';
  import { listen } from '../api/live';
  import { workroom } from '../api/workroom.svelte';
  import Saved from '../closure/Saved.svelte';
  import { covers } from '../closure/whole';
  import { ClosureWork } from '../closure/work.svelte';
  import { navigate, route } from '../router';
  import { sessionsOpen } from '../api/under_way';
  import StillSet from '../session/StillSet.svelte';
  import { STATIONS } from '../stations/stations';
  import { Fetched } from './fetched.svelte';
  import LookingOn from '../ui/LookingOn.svelte';
  import Ledger from './Ledger.svelte';
  import NextStation from './NextStation.svelte';
  import Run from './Run.svelte';
  import { addressOf, stageAt } from './addresses';
  import { stationKeys } from './keys';
  import { Spoken } from './spoken';
  import StationHead from './StationHead.svelte';
  import Thread from './Thread.svelte';
  import TopBar from './TopBar.svelte';

  const WORDS = Object.keys(STATIONS) as StageWord[];
  /** Where hands are at the machine, what is set on it stands beside. */
  const AT_THE_MACHINE: StageWord[] = ['recipe', 'swatch', 'sewing', 'attach'];

  let params = $derived(route.params as { slug: string; id: string; station: string });
  // By themselves: another station is no other closure.
  let slug = $derived(params.slug);
  let id = $derived(Number(params.id));
  let word = $derived(stageAt(params.station));
  let work = $state.raw<ClosureWork>(new ClosureWork('', 0));
  let picked = $state(0);
  let station = $state<HTMLElement>();

  $effect(() => {
    const opened = new ClosureWork(slug, id);
    work = opened;
    picked = 0;
    void opened.load();
    const stop = listen(slug, (change) => {
      if (change.closure === opened.id || change.kind === 'again') void opened.follow();
    });
    return () => {
      stop();
      opened.leave();
    };
  });

  $effect(() => void work.look(word));
  // An older address becomes that of today, without a step back to it.
  $effect(() => {
    if (params.station !== addressOf(word))
      void navigate('/w/:slug/closures/:id/:station', {
        params: { slug, id: String(id), station: addressOf(word) },
        replace: true,
      });
  });

  let closure = $derived<Closure | undefined>(work.shown);
  /** Whether all that this stage shows is there. */
  let covered = $derived(covers(closure, word));
  let stage = $derived(closure?.sheet.stages.find((other) => other.word === word));
  let loading = $derived(STATIONS[word]());
  $effect(() => parts.after(loading));

  const parts = new Fetched();
  onMount(() => parts.begin());

  const spoken = new Spoken();
  $effect(() => spoken.say(work.closure, stage));

  function pick(hole: number): void {
    picked = picked === hole ? 0 : hole;
  }

  function go(to: StageWord): void {
    void navigate('/w/:slug/closures/:id/:station', {
      params: { slug, id: String(id), station: addressOf(to) },
    });
    // A new station is read from its top.
    station?.focus({ preventScroll: true });
    station?.scrollTo({ top: 0 });
  }

  let bar = $state<TopBar>();
  $effect(() =>
    stationKeys({
      undo: () => bar?.undo(),
      redo: () => void work.moves.redo(),
      to: (number) => {
        const there = closure?.sheet.stages[number - 1];
        if (there) go(there.word);
      },
      stations: WORDS.length,
    }),
  );

  // Something may have been changed in another tab while this one was not looked at.
  const sessions = sessionsOpen();
  /** What stands over the stage is known before it is shown, so that nothing moves under the eye. */
  let known = $derived(sessions.isFetched || sessions.failureCount > 0);

  /** All of it comes at once. */
  let shown = $derived(
    parts.ready &&
      known &&
      closure !== undefined &&
      stage !== undefined &&
      !!workroom.catalogue &&
      !!workroom.data,
  );

  function lookAgain(): void {
    if (document.visibilityState === 'visible' && !work.unsaved) void work.load();
  }
</script>

<svelte:document onvisibilitychange={lookAgain} />
<svelte:window ononline={() => work.saver.soon(0)} />

<div class="flex min-h-screen flex-col bg-base-100 text-base-content lg:h-screen">
  <TopBar bind:this={bar} {work} station={word} />
  {#if shown}<StillSet />{/if}
  {#if work.saver.missing || workroom.missing}
    <main id="main" tabindex="-1" class="m-auto max-w-prose p-6 text-center">
      <h1 class="text-2xl font-semibold">These buttonholes are not here any more.</h1>
      <p class="mt-2">
        <a class="link" href={workroom.at()}>Back to the workroom</a>, or look in the
        <a class="link" href={workroom.at('/deleted')}>deleted things</a>.
      </p>
    </main>
  {:else if shown && closure && stage}
    <Thread stages={closure.sheet.stages} current={word} {id} {go} />
    {@const hands = AT_THE_MACHINE.includes(word)}
    <div
      class={[
        'grid min-h-0 grow grid-cols-1',
        hands ? 'lg:grid-cols-[13.5rem_minmax(0,1fr)_14rem]' : 'lg:grid-cols-[13.5rem_minmax(0,1fr)]',
      ]}
    >
      <Run
        {work}
        {closure}
        {picked}
        pick={(hole) => {
          pick(hole);
          if (word !== 'placket') go('placket');
        }}
      />
      <main
        id="main"
        bind:this={station}
        tabindex="-1"
        class="relative min-w-0 px-4 py-3 wrap-anywhere outline-none lg:overflow-y-auto lg:px-7"
        aria-label={stage.title}
        data-fetched={parts.stations}
        data-whole={!closure.station}
        aria-busy={!covered || undefined}
      >
        <LookingOn device="This device sews and tests. Change the plan where you signed in." />
        <Saved {work} />
        <StationHead {work} {stage} />
        {#await loading then { default: Station }}
          {#if covered}
            <div class="mt-2">
              <Station {work} sheet={closure.sheet} {closure} {picked} {pick} {go} />
            </div>
          {/if}
          <NextStation {work} {closure} {stage} {go} />
        {:catch}
          <div class="mt-2"><Again /></div>
          <NextStation {work} {closure} {stage} {go} />
        {/await}
      </main>
      {#if hands && covered}<Ledger
          sheet={closure.sheet}
          machine={closure.machine.name}
          go={() => go('sewing')}
        />{/if}
    </div>
  {:else}
    <main id="main" class="m-auto p-6 text-center" aria-busy="true">
      <p role="status">
        {work.away || workroom.failed
          ? 'The server does not answer. Trying again…'
          : 'Loading your buttonholes…'}
      </p>
    </main>
  {/if}
</div>
