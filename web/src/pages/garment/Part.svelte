<script lang="ts">
  // One part of a garment: its row of holes, how far it is, and the way on.
  import type { GarmentPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import HoleRow from '../../drawn/HoleRow.svelte';

  type Props = {
    closure: GarmentPage['closures'][number];
    /** Whether it is drawn beside the list. */
    shown: boolean;
    /** Whether nobody sews it. */
    template: boolean;
    show: () => void;
    mirror: () => void;
    remove: () => void;
  };
  let { closure, shown, template, show, mirror, remove }: Props = $props();

  let stale = $derived(closure.stages.filter((stage) => stage.state === 'stale'));
  let on = $derived(closure.go_on);
  let way = $derived(on.finished || template ? 'Open' : 'Continue');
  let far = $derived(
    on.finished
      ? 'Finished.'
      : on.sewn
        ? `${on.sewn} sewn.`
        : closure.done
          ? `${closure.done} of ${closure.steps} steps done.`
          : 'Planned.',
  );
</script>

<li class={['py-3', shown && 'border-l-4 border-l-primary pl-3']} onfocusin={show}>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <button class="min-h-11 cursor-pointer" aria-label="Draw {closure.name}" onclick={show}>
      <HoleRow places={closure.drawn.places} length={closure.drawn.length} sewn={closure.drawn.sewn} />
    </button>
    <div class="min-w-0 flex-1 basis-52">
      <a
        class="font-serif text-2xl leading-tight wrap-anywhere hover:underline"
        href={workroom.at(`/closures/${closure.id}/placket`)}>{closure.name}</a
      >
      {#if closure.trouble}
        <p class="font-semibold text-warning">{closure.trouble}</p>
      {:else}
        <p class="wrap-anywhere">
          {closure.holes}
          {closure.noun}{closure.holes === 1 ? '' : 's'} of {closure.opening.text}, {closure.overlap}. {far}
        </p>
      {/if}
      <p class="text-sm wrap-anywhere text-secondary">{closure.button}, on {closure.machine}</p>
      {#if stale.length > 0}
        <p class="text-sm text-warning">Look again: {stale.map((stage) => stage.title).join(', ')}</p>
      {/if}
    </div>
    <a
      class={['btn', !on.finished && on.sewn > 0 && 'btn-primary']}
      aria-label="{way} {closure.name}"
      href={workroom.at(`/closures/${closure.id}/${on.station}`)}>{way}</a
    >
  </div>
  {#if !on.finished && closure.done > 0}<p class="mt-1 wrap-anywhere text-secondary">Next: {on.next}</p>{/if}
  {#if workroom.may('plan')}<p class="mt-1 flex flex-wrap gap-2">
      <button class="btn btn-ghost btn-sm" aria-label="Copy, mirrored: {closure.name}" onclick={mirror}
        >Copy, mirrored</button
      >
      <button class="btn text-secondary btn-ghost btn-sm" aria-label="Delete {closure.name}" onclick={remove}
        >Delete</button
      >
    </p>{/if}
</li>
