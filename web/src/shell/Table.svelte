<script lang="ts">
  // The cutting table: the run on the left, the thread on top, the station in the middle, the
  // ledger on the right.
  import { tinykeys } from 'tinykeys';
  import { ClosureState } from '../api/closure.svelte';
  import { room } from '../api/room.svelte';
  import type { StageWord } from '../api/client';
  import { navigate, route } from '../router';
  import { STATIONS } from '../stations/stations';
  import Ledger from './Ledger.svelte';
  import Run from './Run.svelte';
  import Saved from './Saved.svelte';
  import Thread from './Thread.svelte';
  import TopBar from './TopBar.svelte';

  const WORDS = Object.keys(STATIONS) as StageWord[];

  let id = $derived(Number(route.params.id));
  let word = $derived((WORDS.find((other) => other === route.params.station) ?? 'button') as StageWord);
  let work = $state.raw<ClosureState>(new ClosureState(0));
  let picked = $state(0);
  let station = $state<HTMLElement>();

  $effect(() => {
    const opened = new ClosureState(id);
    work = opened;
    picked = 0;
    void opened.load();
    return () => opened.leave();
  });

  let sheet = $derived(work.shown?.sheet);
  let stage = $derived(sheet?.stages.find((other) => other.word === word));
  let Station = $derived(STATIONS[word]);

  $effect(() => {
    const name = work.closure ? `${work.closure.name}, ${work.closure.garment.name}` : 'Nimble Eyelet';
    document.title = stage ? `${stage.title}: ${name}` : name;
  });

  /** Picks a hole of the run, or lets go of it. */
  function pick(hole: number): void {
    picked = picked === hole ? 0 : hole;
  }

  function go(to: StageWord): void {
    void navigate('/closures/:id/:station', { params: { id: String(id), station: to } });
    // A new station is read from its top.
    station?.focus({ preventScroll: true });
    station?.scrollTo({ top: 0 });
  }

  /** Keys are for the table, not for somebody who is typing. */
  function free(event: KeyboardEvent): boolean {
    return !(event.target as HTMLElement).closest('input, select, textarea, [contenteditable]');
  }

  $effect(() => {
    const keys: Record<string, (event: KeyboardEvent) => void> = {
      '$mod+z': (event) => {
        if (!free(event)) return;
        event.preventDefault();
        void work.undo();
      },
      '$mod+Shift+Z': (event) => {
        if (!free(event)) return;
        event.preventDefault();
        void work.redo();
      },
    };
    WORDS.forEach((other, index) => (keys[String(index + 1)] = (event) => free(event) && go(other)));
    return tinykeys(window, keys);
  });

  // Something may have been changed in another tab while this one was not looked at.
  function lookAgain(): void {
    if (document.visibilityState === 'visible' && !work.unsaved) void work.load();
  }
</script>

<svelte:document onvisibilitychange={lookAgain} />
<svelte:window ononline={() => work.saveSoon(0)} />

<div class="flex min-h-screen flex-col bg-base-100 text-base-content lg:h-screen">
  <TopBar {work} station={word} />
  {#if work.missing}
    <main class="m-auto max-w-prose p-6 text-center">
      <h1 class="text-2xl font-semibold">This closure is not here any more.</h1>
      <p class="mt-2"><a class="link" href="/">Back to the workroom</a></p>
    </main>
  {:else if work.closure && sheet && stage && room.catalogue && room.workroom}
    <Thread stages={sheet.stages} current={word} {id} {go} />
    <div class="grid min-h-0 grow grid-cols-1 lg:grid-cols-[17rem_minmax(0,1fr)_15rem]">
      <Run
        {work}
        closure={work.shown ?? work.closure}
        {picked}
        pick={(hole) => {
          pick(hole);
          if (word !== 'placket') go('placket');
        }}
      />
      <main
        bind:this={station}
        tabindex="-1"
        class="relative min-w-0 px-4 py-4 wrap-anywhere outline-none lg:overflow-y-auto lg:px-7"
        aria-label={stage.title}
      >
        <Saved {work} />
        <div class="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 class="text-xl text-secondary">{stage.question}</h1>
          <button
            class={['btn btn-sm', stage.state === 'tied' ? 'btn-ghost' : 'btn-primary']}
            onclick={() => work.do({ kind: 'knot', stage: word, tied: stage.state !== 'tied' })}
          >
            {stage.state === 'tied' ? 'Untie' : stage.state === 'stale' ? 'Tie it again' : 'Tie this knot'}
          </button>
        </div>
        {#if stage.state === 'stale'}
          <p role="status" class="mt-1 border-l-4 border-warning pl-3 text-warning">
            Settled earlier, but something it was worked out from has changed. Look again, then tie it again.
          </p>
        {/if}
        <div class="mt-4">
          <Station {work} {sheet} closure={work.shown ?? work.closure} {picked} {pick} {go} />
        </div>
      </main>
      <Ledger {sheet} go={() => go('sewing')} />
    </div>
  {:else}
    <main class="m-auto p-6 text-center" aria-busy="true">
      {#if work.away || room.failed}
        <p role="status">The server does not answer. Trying again…</p>
      {:else}
        <p role="status">Laying out the table…</p>
      {/if}
    </main>
  {/if}
</div>
