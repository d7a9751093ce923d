<script lang="ts">
  // One exercise on the practice machine: what to do, the machine, what lies under its needle, and the pedal.
  import { ArrowLeft, Pause, Play, Volume2, VolumeX } from '@lucide/svelte';
  import { onMount, tick, untrack } from 'svelte';
  import type { PracticeAct } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Help from '../../help/Help.svelte';
  import { PRACTISED } from '../../help/keys';
  import { controls as controlsOf, named, partOf, sameAct } from '../../rehearse/controls';
  import DrawnMachine from '../../rehearse/DrawnMachine.svelte';
  import { offeredFor } from '../../rehearse/offered';
  import Pedal from '../../rehearse/Pedal.svelte';
  import { Practice, type How } from '../../rehearse/practice.svelte';
  import { hush, silent } from '../../rehearse/sounds';
  import UnderNeedle from '../../rehearse/UnderNeedle.svelte';
  import { route } from '../../router';
  import Over from './Over.svelte';

  const params = route.params as { slug: string; id: string; exercise: string };
  const FAST = 4;
  const practice = untrack(
    () =>
      new Practice(params.slug, Number(params.id), params.exercise, params.exercise === 'session' ? FAST : 1),
  );
  const home = `/closures/${params.id}/rehearse`;
  const offered = offeredFor(() => ({ slug: params.slug, id: Number(params.id) }));

  let attempt = $derived(practice.attempt);
  let bench = $derived(offered.data?.bench);
  let exercise = $derived(offered.data?.exercises.find((one) => one.key === params.exercise));
  let chosen = $state('');
  let quiet = $state(silent());
  let led = $derived(practice.how !== 'alone' || practice.hint);
  let step = $derived(attempt?.step);
  let hinted = $derived(led && step ? partOf(step.act) : '');
  let controls = $derived(bench && attempt ? controlsOf(bench, attempt.state, exercise?.lays ?? []) : []);
  /** Somebody without hints has to think of the part by themselves. */
  let shown = $derived(controls.find((one) => one.key === (chosen || (led ? hinted : ''))));
  let angle = $derived(((((attempt?.state.angle ?? 0) + practice.turning) % 360) + 360) % 360);
  let noticed = $derived([
    ...(attempt?.happened?.heard.filter((one) => one.key !== 'hum') ?? []),
    ...(attempt?.happened?.seen ?? []),
  ]);
  /** How what comes next is done here. */
  const HOW_TO: Record<string, string> = {
    move: 'Drag the fabric. On a keyboard: arrow keys.',
    wheel: 'Drag the wheel down. On a keyboard: the down arrow.',
    pedal: 'Hold it down, and let go in time.',
  };
  let how = $derived(led && step ? (HOW_TO[step.act.act] ?? '') : '');
  /** A slip is told until the next act. */
  let fresh = $derived(attempt?.slips.filter((one) => one.act === practice.count - 1) ?? []);
  let dearest = $derived([...fresh].sort((one, other) => other.minutes - one.minutes)[0]);
  const HOWS: { key: How; name: string }[] = [
    { key: 'shown', name: 'Show me' },
    { key: 'hints', name: 'With hints' },
    { key: 'alone', name: 'Alone' },
  ];

  onMount(() => {
    void practice.open();
    return () => practice.leave();
  });
  $effect(() => {
    document.title = `${exercise?.name ?? 'Rehearse'}: Nimble Eyelet`;
  });
  // What comes next is laid in the hand.
  $effect(() => {
    if (hinted && hinted !== 'pedal') chosen = '';
  });

  let tray = $state<HTMLElement>();
  /** A move that was done may be gone: then the moves as a whole are where the keyboard is. */
  async function move(act: PracticeAct): Promise<void> {
    await practice.act(act);
    await tick();
    if (document.activeElement === document.body) tray?.focus({ preventScroll: true });
  }

  function onKey(event: KeyboardEvent): void {
    const at = event.target instanceof HTMLElement ? event.target : document.body;
    if (
      at.closest('input, select, textarea, [data-fabric]') ||
      event.altKey ||
      event.ctrlKey ||
      event.metaKey
    )
      return;
    const degrees = { ArrowDown: 45, ArrowUp: -45 }[event.key];
    if (!degrees) return;
    event.preventDefault();
    chosen = 'wheel';
    void practice.act({ act: 'wheel', degrees });
  }
</script>

<svelte:window onkeydown={onKey} />

<div class="flex min-h-dvh flex-col bg-base-100 text-base-content">
  <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 px-4 py-1.5">
    <a class="btn btn-ghost px-2" href={workroom.at(home)}
      ><ArrowLeft size={20} /> <span class="max-sm:sr-only">Rehearse</span></a
    >
    <p class="min-w-0 flex-1 truncate font-serif text-lg font-semibold">
      {exercise?.name ?? ''}<span class="ml-2 font-sans text-sm font-normal text-secondary max-sm:hidden">
        {offered.data?.machine.name ?? ''}</span
      >
    </p>
    <div class="join max-sm:order-1 max-sm:w-full" role="group" aria-label="How">
      {#each HOWS as one (one.key)}
        <button
          class={['btn join-item btn-sm max-sm:flex-1', practice.how === one.key && 'btn-primary']}
          aria-pressed={practice.how === one.key}
          onclick={() => void practice.again(one.key)}>{one.name}</button
        >
      {/each}
    </div>
    <span class="max-sm:hidden"><Help stage={PRACTISED} /></span>
    <button
      class="btn btn-ghost btn-sm"
      aria-pressed={!quiet}
      aria-label="Sound"
      onclick={() => {
        quiet = !quiet;
        hush(quiet);
      }}
      >{#if quiet}<VolumeX size={18} />{:else}<Volume2 size={18} />{/if}</button
    >
  </header>

  <main
    id="main"
    tabindex="-1"
    class="flex flex-1 flex-col px-4 outline-none"
    data-acts={attempt && !attempt.done ? practice.count : undefined}
  >
    {#if practice.failed}<p role="alert" class="mt-2 border-l-4 border-warning pl-3">
        {practice.failed}
      </p>{/if}
    {#if attempt && bench}
      {#if attempt.done}
        <Over {practice} {attempt} {home} {exercise} />
      {:else}
        <div class="flex min-h-18 flex-wrap items-center gap-x-5 py-1">
          <h1 class="min-w-0 flex-1 text-[clamp(1.3rem,2.6vw,2rem)] leading-tight font-semibold" data-answer>
            {#if led && step}{step.says}{:else}{exercise?.says ?? ''}{/if}
          </h1>
          {#if practice.how === 'alone' && !practice.hint}
            <button class="btn" onclick={() => practice.help()}>Give me a hint</button>
          {:else if practice.how === 'shown'}
            <button class="btn" onclick={() => practice.pause(!practice.paused)}>
              {#if practice.paused}<Play size={18} /> Go on{:else}<Pause size={18} /> Wait{/if}
            </button>
          {/if}
          {#if params.exercise === 'back'}
            <button class="btn" onclick={() => void practice.act({ act: 'finish' })}
              >Everything is back</button
            >
          {/if}
          <p class="w-full" role="status">
            {#if dearest}
              <span class="border-l-4 border-warning pl-3 text-warning" data-slip
                >{#each fresh as one (one.key)}<strong
                    >{one.says}{one.about.length ? ` (${one.about.join(', ')})` : ''}</strong
                  >&nbsp;{/each}
                {dearest.does} On your garment: {dearest.costs.charAt(0).toLowerCase() +
                  dearest.costs.slice(1)}</span
              >
            {:else}{noticed.map((one) => one.says).join(' ') || how}&nbsp;{/if}
          </p>
        </div>
        <div class="grid gap-4 lg:grid-cols-[3fr_2fr]">
          <div class="min-w-0">
            <DrawnMachine
              state={attempt.state}
              {controls}
              {angle}
              running={practice.pressed}
              {chosen}
              {hinted}
              pick={(key) => (chosen = key)}
              turning={(degrees) => (practice.turning = degrees)}
              turned={(degrees) => void practice.act({ act: 'wheel', degrees })}
            />
          </div>
          <div class="min-w-0">
            <UnderNeedle
              {bench}
              {attempt}
              drawn={practice.drawn}
              {angle}
              words={noticed.map((one) => one.says).join(' ')}
              moved={(across, along) => void practice.act({ act: 'move', across, along })}
            />
          </div>
        </div>
        <div class="flex flex-wrap gap-1 py-1.5" role="group" aria-label="Parts of the machine">
          {#each controls as one (one.key)}
            <button
              class={[
                'min-h-11 rounded border px-2 text-left text-sm leading-tight lg:min-h-9',
                shown?.key === one.key ? 'border-primary bg-base-200' : 'border-base-300',
                hinted === one.key && 'border-dashed border-primary',
              ]}
              aria-pressed={shown?.key === one.key}
              data-part={one.key}
              onclick={() => (chosen = one.key)}
              >{one.name}{#if one.now}<span class="ml-1.5 text-secondary"
                  >{one.now.replace('the buttonhole: ', '')}</span
                >{/if}</button
            >
          {/each}
        </div>
        <div class="sticky bottom-0 mt-auto border-t border-base-300 bg-base-100 pt-1.5 pb-2">
          <div
            class="mb-2 flex min-h-12 flex-wrap items-center gap-2"
            role="group"
            aria-label={shown?.name ?? 'Moves'}
            tabindex="-1"
            bind:this={tray}
          >
            {#if shown}
              {#each shown.moves as one (one.label)}
                {@const next = led && step && sameAct(one.act, step.act)}
                <button
                  class={[
                    'btn min-h-11',
                    one.here && 'btn-active',
                    next && 'border-2 border-dashed border-primary',
                  ]}
                  aria-pressed={one.here}
                  disabled={practice.pressed}
                  data-move={named(one.act)}
                  data-next={next || undefined}
                  onclick={() => void move(one.act)}>{one.label}</button
                >
              {/each}
            {:else}<span class="text-secondary">Tap a part of the machine to move it.</span>{/if}
          </div>
          <Pedal {practice} hinted={hinted === 'pedal'} />
        </div>
      {/if}
    {:else if !practice.failed}
      <p class="py-8" role="status">
        {offered.failureCount
          ? 'The server does not answer. Trying again…'
          : 'Setting up the practice machine…'}
      </p>
    {/if}
  </main>
</div>
