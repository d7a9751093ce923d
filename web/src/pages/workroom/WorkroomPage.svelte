<script lang="ts">
  // All garments of the workroom with their closures, its machines, and a new closure.
  import { workroom } from '../../api/workroom.svelte';
  import Page from '../Page.svelte';
  import BeginForm from './BeginForm.svelte';
  import Garments from './Garments.svelte';
  import FirstAnswer from './FirstAnswer.svelte';
  import FirstMoves from './FirstMoves.svelte';
  import NameForm from './NameForm.svelte';
  import TakeInForm from './TakeInForm.svelte';
  import { readAhead } from '../../closure/ahead';
  import { underWay } from '../../api/under_way';
  import SitDown from './SitDown.svelte';
  import StillToPutBack from './StillToPutBack.svelte';
  import Fold from '../../ui/Fold.svelte';
  import WaitedForm from './WaitedForm.svelte';
  import UnderWay from './UnderWay.svelte';

  const under = underWay();
  /** All of the page is shown at once, so that nothing moves under the eye. */
  let shown = $derived(
    workroom.failed || (workroom.catalogue !== undefined && (under.isFetched || under.failureCount > 0)),
  );
  let garments = $derived(workroom.data?.garments ?? []);
  let machines = $derived(workroom.data?.machines ?? []);
  $effect(() => {
    if (shown && workroom.data && !workroom.failed) void readAhead(workroom.slug, workroom.data.garments);
  });
</script>

<Page
  title={workroom.data?.name ?? 'The workroom'}
  wide
  failed={workroom.failed ? 'The server does not answer. Trying again…' : ''}
  missing={workroom.missing ? 'This workroom is not here any more.' : ''}
>
  <div class={!shown ? 'invisible' : ''}>
    <NameForm />
    {#if workroom.may('plan')}<div class="mt-4"><FirstAnswer {shown} /></div>{/if}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_17rem]">
      <section>
        <UnderWay />
        <SitDown />
        {#if workroom.data && garments.length === 0 && workroom.may('plan')}<FirstMoves
            machines={machines.length > 0}
          />{/if}
        <Garments />
        <h2 class="mt-6 border-b border-base-300 pb-1 text-2xl">Machines</h2>
        <ul class="flex flex-wrap gap-x-8">
          {#each machines as machine (machine.id)}
            <li>
              <a
                class="flex flex-wrap items-baseline gap-x-3 py-2 text-lg hover:underline"
                href={workroom.at(`/machines/${machine.id}`)}
                ><span class="wrap-anywhere">{machine.name}</span>
                <span class="text-base text-secondary">{machine.kind_name}</span></a
              >
            </li>
          {/each}
        </ul>
        <p class="mt-3">
          <a class="btn btn-sm" href={workroom.at('/machines/new')}
            >{machines.length ? 'Add a machine' : 'Describe your machine'}</a
          >
        </p>
      </section>
      <div class="self-start">
        <StillToPutBack />
        {#if workroom.may('plan')}
          <Fold name="begin-form" title="Fill in a form instead"><BeginForm /></Fold>
          <Fold name="take-in" title="Open a garment from a file"><TakeInForm /></Fold>
          {#if workroom.data?.you.kind === 'account'}
            <Fold name="waited" title="Open steps that a device kept"><WaitedForm /></Fold>
          {/if}
        {/if}
        <p class="mt-3 flex flex-wrap gap-x-5">
          <a class="link inline-flex min-h-11 items-center" href={workroom.at('/people')}>People</a>
          <a class="link inline-flex min-h-11 items-center" href={workroom.at('/deleted')}>Deleted</a>
        </p>
      </div>
    </div>
  </div>
</Page>
