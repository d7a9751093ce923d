<script lang="ts">
  // "Something went wrong": what, with what was measured where that matters. The way out of it comes next.
  import type { Session, SessionMishap, SessionStep } from '../api/client';
  import LineDrawing from '../drawn/LineDrawing.svelte';
  import { MISHAPS } from '../drawn/mishaps';
  import Dialog from '../ui/Dialog.svelte';
  import { mishapsAt } from './last';

  type Props = {
    open: boolean;
    doc: Session;
    step: SessionStep;
    /** The places of a card, where it is the same step at several. */ places?: SessionStep[];
    wrong: (row: SessionMishap, measured: string, hole: number | null, at?: SessionStep) => void;
  };
  let { open = $bindable(), doc, step, places = [], wrong }: Props = $props();

  const id = $props.id();

  let chosen = $state.raw<SessionMishap>();
  let measured = $state('');
  let fault = $state('');
  /** Of the step at hand, or asked for. */
  let hole = $state('');
  /** Which of the places. */
  let which = $state('');
  let rows = $derived(mishapsAt(doc, step));
  let part = $derived(doc.closures.find((one) => one.id === step.closure));
  let holes = $derived(part?.holes ?? []);
  let asked = $derived<Record<string, string>>({
    place: `Where does it lie, from the ${part?.measured_from ?? 'top edge'}?`,
    slit: 'How long is the slit now?',
  });
  const asksHole = (row: SessionMishap): boolean =>
    row.of_a_hole && step.hole === null && !step.key.startsWith('test') && holes.length > 0;
  $effect(() => {
    if (!open) {
      chosen = undefined;
      measured = fault = hole = which = '';
    }
  });

  function choose(row: SessionMishap): void {
    if (row.asks || asksHole(row) || places.length) chosen = row;
    else tell(row);
  }
  function tell(row: SessionMishap): void {
    const at = places.find((one) => one.id === which);
    if (places.length && !at) {
      fault = 'Say which one it is.';
      return;
    }
    if (asksHole(row) && !hole) {
      fault = 'Say which hole it is.';
      return;
    }
    if (row.asks && !/^\s*\d/.test(measured)) {
      fault = 'Write a length, such as 22.5 or 7/8 in.';
      return;
    }
    wrong(row, measured.trim(), asksHole(row) ? Number(hole) : (at ?? step).hole, at);
    open = false;
  }
</script>

<Dialog bind:open title="What went wrong?">
  {#if chosen}
    <p class="flex items-center gap-3 text-lg font-semibold">
      {#if MISHAPS[chosen.key]}<LineDrawing drawing={MISHAPS[chosen.key] ?? {}} size="h-16" />{/if}
      {chosen.says}
    </p>
    <form
      class="mt-3"
      onsubmit={(event) => {
        event.preventDefault();
        if (chosen) tell(chosen);
      }}
    >
      {#if places.length}
        <label class="mb-3 block" for="{id}-which">Which one?</label>
        <select id="{id}-which" class="select mb-3 w-48 bg-base-100 text-lg" bind:value={which}>
          <option value="">Choose…</option>
          {#each places as one (one.id)}<option value={one.id}>{one.part.split(': ').at(-1)}</option>{/each}
        </select>
      {/if}
      {#if asksHole(chosen)}
        <label class="mb-3 block" for="{id}-hole">Which hole?</label>
        <select id="{id}-hole" class="select mb-3 w-48 bg-base-100 text-lg" bind:value={hole}>
          <option value="">Choose…</option>
          {#each holes as one (one.number)}<option value={String(one.at)}>{part?.noun} {one.number}</option
            >{/each}
        </select>
      {/if}
      {#if chosen.asks}
        <label for="{id}-measured" class="block">{asked[chosen.asks ?? '']}</label>
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
    <p class="text-xl font-semibold text-warning">Don't move the fabric.</p>
    <p class="text-secondary">You were at: {step.does}</p>
    <ul class="mt-3 grid grid-cols-2 gap-2 sm:grid-cols-3">
      {#each rows as row (row.key)}
        {@const drawing = MISHAPS[row.key] ?? MISHAPS['something_else']}
        <li>
          <button
            class="flex h-full min-h-18 w-full cursor-pointer flex-col items-center gap-1 rounded border border-base-300 px-2 py-2 text-center leading-tight hover:bg-base-200"
            data-mishap={row.key}
            onclick={() => choose(row)}
          >
            {#if drawing}<LineDrawing {drawing} size="h-16" />{/if}
            <span>{row.says}</span>
          </button>
        </li>
      {/each}
    </ul>
    <p class="mt-3 text-sm text-secondary">Your machine's own manual wins over anything said here.</p>
  {/if}
</Dialog>
