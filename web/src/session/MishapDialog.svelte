<script lang="ts">
  // "Something went wrong": what, with what was measured where that matters. The way out of it comes next.
  import {
    CircleHelp,
    Droplets,
    Flame,
    Footprints,
    MapPin,
    MoveHorizontal,
    Plug,
    Scissors,
    Spool,
    Unplug,
    Zap,
  } from '@lucide/svelte';
  import type { Session, SessionMishap, SessionStep } from '../api/client';
  import Dialog from '../ui/Dialog.svelte';
  import { mishapsAt } from './last';

  type Props = {
    open: boolean;
    doc: Session;
    step: SessionStep;
    wrong: (row: SessionMishap, measured: string, hole: number | null) => void;
  };
  let { open = $bindable(), doc, step, wrong }: Props = $props();

  const id = $props.id();
  const DRAWN = {
    foot: Footprints,
    lever: MoveHorizontal,
    thread: Spool,
    bobbin: Spool,
    jam: Unplug,
    needle: Zap,
    short: MoveHorizontal,
    long: MoveHorizontal,
    cut: Scissors,
    place: MapPin,
    drop: Droplets,
    iron: Flame,
    plug: Plug,
  } as Record<string, typeof Plug>;
  const ASKED = {
    place: 'Where does it lie, from the top edge?',
    slit: 'How long is the slit now?',
  } as Record<string, string>;

  let chosen = $state.raw<SessionMishap>();
  let measured = $state('');
  let fault = $state('');
  /** Of the step at hand, or asked for. */
  let hole = $state('');
  let rows = $derived(mishapsAt(doc, step));
  let holes = $derived(doc.closures.find((one) => one.id === step.closure)?.holes ?? []);
  const asksHole = (row: SessionMishap): boolean =>
    row.of_a_hole && step.hole === null && !step.key.startsWith('test') && holes.length > 0;
  $effect(() => {
    if (!open) {
      chosen = undefined;
      measured = fault = hole = '';
    }
  });

  function choose(row: SessionMishap): void {
    if (row.asks || asksHole(row)) chosen = row;
    else tell(row);
  }
  function tell(row: SessionMishap): void {
    if (asksHole(row) && !hole) {
      fault = 'Say which hole it is.';
      return;
    }
    if (row.asks && !/^\s*\d/.test(measured)) {
      fault = 'Write a length, such as 22.5 or 7/8 in.';
      return;
    }
    wrong(row, measured.trim(), asksHole(row) ? Number(hole) : step.hole);
    open = false;
  }
</script>

<Dialog bind:open title="What went wrong?">
  {#if chosen}
    <p class="text-lg font-semibold">{chosen.says}</p>
    <form
      class="mt-3"
      onsubmit={(event) => {
        event.preventDefault();
        if (chosen) tell(chosen);
      }}
    >
      {#if asksHole(chosen)}
        <label class="mb-3 block" for="{id}-hole">Which hole?</label>
        <select id="{id}-hole" class="select mb-3 w-48 bg-base-100 text-lg" bind:value={hole}>
          <option value="">Choose…</option>
          {#each holes as one (one.number)}<option value={String(one.at)}
              >{doc.closures.find((closure) => closure.id === step.closure)?.noun} {one.number}</option
            >{/each}
        </select>
      {/if}
      {#if chosen.asks}
        <label for="{id}-measured" class="block">{ASKED[chosen.asks ?? '']}</label>
        <input
          id="{id}-measured"
          data-measures
          class={['input mt-1 w-40 bg-base-100 text-lg', fault && 'input-error']}
          inputmode="decimal"
          aria-invalid={fault ? 'true' : undefined}
          aria-describedby={fault ? `${id}-fault` : undefined}
          bind:value={measured}
        />
      {/if}
      {#if fault}<p id="{id}-fault" role="alert" class="mt-1 font-semibold text-error">{fault}</p>{/if}
      <p class="mt-4 flex gap-2">
        <button class="btn btn-primary">The way out</button>
        <button type="button" class="btn" onclick={() => (chosen = undefined)}>Something else</button>
      </p>
    </form>
  {:else}
    <p class="text-secondary">At: {step.does}</p>
    <ul class="mt-3 space-y-1">
      {#each rows as row (row.key)}
        {@const Drawn = DRAWN[row.drawn] ?? CircleHelp}
        <li>
          <button
            class="flex min-h-12 w-full cursor-pointer items-center gap-4 rounded border border-base-300 px-3 py-2 text-left text-lg hover:bg-base-200"
            data-mishap={row.key}
            onclick={() => choose(row)}
          >
            <Drawn size={26} class="shrink-0" aria-hidden="true" />
            <span>{row.says}</span>
          </button>
        </li>
      {/each}
    </ul>
    <p class="mt-3 text-sm text-secondary">Your machine's own manual wins over anything said here.</p>
  {/if}
</Dialog>
