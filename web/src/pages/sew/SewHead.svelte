<script lang="ts">
  // Over the step: whose hole it is, how far the holes are, what the machine is set to, and whether all of it is told.
  import { X } from '@lucide/svelte';
  import type { Snippet } from 'svelte';
  import type { Session, SessionClosure, SessionStep } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Beside from '../../ui/Beside.svelte';
  import SignIn from '../../ui/SignIn.svelte';
  import Refused from '../../outbox/Refused.svelte';
  import type { SessionWork } from '../../session/session.svelte';

  type Props = {
    work: SessionWork;
    doc: Session;
    closure: SessionClosure | undefined;
    now: SessionStep | undefined;
    children: Snippet;
  };
  let { work, doc, closure, now, children }: Props = $props();

  let what = $derived([...new Set(doc.closures.map((closure) => `${closure.noun}s`))].join(' and '));
  let holes = $derived(doc.closures.reduce((sum, one) => sum + one.holes.length, 0));
  /** Places of the session that are still to be sewn, by machine or by hand: their sewing is a step that is left. */
  let toSew = $derived(
    work.steps.filter((step) => ['sew', 'worked'].includes(step.name) && step.hole !== null).length,
  );
  let shown = $derived(work.ledger);
  let nobody = $derived(
    work.outbox.away === 'sign_in' ? 'Sign in to save' : work.away ? 'No connection' : '',
  );
  let status = $derived(
    work.waiting > 0 ? `${nobody ? `${nobody}: ` : ''}${work.waiting} kept here` : nobody || 'All saved',
  );
</script>

<header
  class="flex flex-wrap items-center gap-x-5 gap-y-1 border-b max-sm:gap-x-3 border-base-300 px-4 py-2 sm:px-8"
>
  <p class="min-w-0 flex-1 truncate text-lg font-semibold max-sm:w-full max-sm:flex-none max-sm:text-base">
    {closure ? `${closure.garment}: ${closure.name}` : doc.machine.name}
  </p>
  <p class="text-lg max-sm:text-base" data-progress>{holes - toSew} of {holes} {what} sewn</p>
  <p
    class={['text-base', work.away ? 'font-semibold text-warning' : 'text-secondary']}
    role="status"
    data-status
  >
    {status}
  </p>
  <Beside place="session:{doc.id}" />
  {@render children()}
  <a class="btn btn-ghost max-sm:px-2" href={workroom.at(`/sessions/${doc.id}`)}
    ><X size={22} /> <span class="max-sm:sr-only">Leave</span></a
  >
  <div class="h-1.5 w-full rounded bg-base-300" aria-hidden="true">
    <div class="h-full rounded bg-primary" style:width="{holes ? ((holes - toSew) / holes) * 100 : 0}%"></div>
  </div>
  <details class="w-full text-base wrap-anywhere max-sm:text-sm">
    <summary class="cursor-pointer max-sm:truncate"
      >{doc.machine.name}: {shown.length ? `${shown.length} changed` : 'on its usual settings'}{doc.threaded
        ? `, ${doc.threaded}`
        : ''}</summary
    >
    <ul class="mt-1 flex flex-wrap gap-x-6 gap-y-1" data-ledger>
      {#each shown as entry (entry.key)}
        <li><span class="text-secondary">{entry.name}</span> <strong>{entry.now}</strong></li>
      {/each}
    </ul>
  </details>
  {#if work.outbox.away === 'sign_in'}
    <p role="alert" class="flex w-full flex-wrap items-center gap-x-3"><SignIn /></p>
  {/if}
  <Refused outbox={work.outbox} />
  {#if now === undefined}<span class="sr-only">All done.</span>{/if}
</header>
