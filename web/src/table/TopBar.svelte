<script lang="ts">
  // The bar over the table: where one is, whether all is saved, what can be undone, in which unit.
  import { History as Clock, Redo2, Undo2 } from '@lucide/svelte';
  import type { StageWord } from '../api/client';
  import { workroom } from '../api/workroom.svelte';
  import type { ClosureWork } from '../closure/work.svelte';
  import { go } from '../router';
  import Dialog from '../ui/Dialog.svelte';
  import Help from '../help/Help.svelte';
  import DisplayMenu from '../ui/DisplayMenu.svelte';
  import Menu from '../ui/Menu.svelte';
  import type { MenuGroup } from '../ui/menu';
  import Beside from '../ui/Beside.svelte';
  import History from './History.svelte';
  import Mark from '../ui/Mark.svelte';

  let { work, station }: { work: ClosureWork; station: StageWord } = $props();

  let history = $state(false);
  /** The tick that undo would rather withdraw. */
  let withdrawing = $state.raw<{ id: string; says: string }>();

  let saved = $derived(
    {
      away: work.away === 'sign_in' ? 'Not saved: sign in again' : 'Not saved: no connection',
      asked: 'Waiting for your choice',
      refused: `${work.refused} not saved`,
      saving: 'Saving…',
      saved: 'All saved',
    }[work.state],
  );
  let unwell = $derived(['away', 'asked', 'refused'].includes(work.state));
  let undoes = $derived(work.last ? `withdraw: ${work.last.says}` : work.closure?.undo);
  let garments = $derived(
    (workroom.data?.garments ?? []).filter(
      (garment) =>
        (!garment.archived && !garment.template) ||
        garment.closures.some((closure) => closure.id === work.id),
    ),
  );
  let places = $derived<MenuGroup[]>([
    ...garments.map((garment) => ({
      title: garment.name,
      items: garment.closures.map((closure) => ({
        key: String(closure.id),
        name: closure.name,
        here: closure.id === work.id,
        pick: () => void go(workroom.at(`/closures/${closure.id}/${station}`)),
      })),
    })),
    {
      items: [{ key: 'all', name: 'The workroom and new buttonholes', pick: () => void go(workroom.at()) }],
    },
  ]);

  /** Undo speaks of the plan; right after a tick it offers to withdraw that instead. */
  export function undo(): void {
    if (work.last) withdrawing = work.last;
    else if (work.closure?.undo) void work.moves.undo();
  }

  function withdraw(): void {
    if (withdrawing) work.withdraw(withdrawing.id);
    withdrawing = undefined;
  }

  /** A closure keeps its own unit, and the ruler that comes with it. */
  async function showIn(unit: string): Promise<void> {
    // What was typed was meant in the unit of then.
    await work.saver.save();
    work.type('closure.unit', unit);
    await work.saver.save();
  }
</script>

<header class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 px-4 py-1.5">
  <a href={workroom.at()} class="flex items-center gap-2 font-serif text-lg font-semibold">
    <Mark />
    <span class="max-sm:sr-only">{workroom.data?.name ?? 'Nimble Eyelet'}</span>
  </a>
  {#if work.closure}
    <Menu label="Other buttonholes: now {work.closure.garment.name}, {work.closure.name}" groups={places}>
      {#snippet trigger()}
        <span class="flex max-w-[52vw] text-base font-normal lg:max-w-xl"
          ><span class="min-w-16 shrink-3 truncate">{work.closure?.garment.name}</span><span>:&nbsp;</span
          ><strong class="min-w-0 shrink truncate">{work.closure?.name}</strong></span
        >
      {/snippet}
    </Menu>
    {#if work.closure.machine.practice && !workroom.data?.sample}
      <span
        class="rounded border-2 border-dashed border-base-content px-2 text-sm font-semibold"
        data-practice>Practice machine</span
      >
    {/if}
    <span role="status" class={['text-sm', unwell ? 'font-semibold text-error' : 'text-secondary']}
      >{saved}</span
    >
    <Beside place="closure:{work.id}" />
    <div class="ml-auto flex items-center gap-1">
      <button
        class="btn btn-square btn-ghost btn-sm"
        title={undoes ? `Undo (Ctrl Z): ${undoes}` : 'Nothing to undo'}
        aria-label={undoes ? `Undo: ${undoes}` : 'Undo'}
        disabled={!undoes}
        onclick={undo}><Undo2 size={18} /></button
      >
      <button
        class="btn btn-square btn-ghost btn-sm"
        title={work.closure.redo ? `Redo (Ctrl Shift Z): ${work.closure.redo}` : 'Nothing to redo'}
        aria-label={work.closure.redo ? `Redo: ${work.closure.redo}` : 'Redo'}
        disabled={!work.closure.redo}
        onclick={() => work.moves.redo()}><Redo2 size={18} /></button
      >
      <button
        class="btn btn-square btn-ghost btn-sm"
        title="History"
        aria-label="History"
        onclick={() => (history = true)}><Clock size={18} /></button
      >
      <Help stage={station} />
      <label class="sr-only" for="unit">Lengths in</label>
      <select
        id="unit"
        class="select w-auto bg-base-100 select-sm"
        value={work.closure.unit}
        onchange={(event) => showIn(event.currentTarget.value)}
      >
        <option value="mm">mm</option>
        <option value="cm">cm</option>
        <option value="in">inches</option>
      </select>
      <DisplayMenu />
    </div>
  {/if}
</header>

<History {work} bind:open={history} />
<Dialog
  bind:open={() => withdrawing !== undefined, (open) => !open && (withdrawing = undefined)}
  title="Withdraw what was just done?"
>
  <p>“{withdrawing?.says}” stays in the log, as withdrawn. The plan is not touched.</p>
  {#snippet actions()}
    <button class="btn" onclick={() => (withdrawing = undefined)}>It was done</button>
    <button class="btn btn-primary" onclick={withdraw}>Withdraw it</button>
  {/snippet}
</Dialog>
