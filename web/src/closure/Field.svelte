<script lang="ts">
  // A figure that is typed where it is read. What the server refuses stays typed, with the reason
  // beside it.
  import { workroom } from '../api/workroom.svelte';
  import Entry from '../ui/Entry.svelte';
  import CaliperButton from './CaliperButton.svelte';
  import Clash from './Clash.svelte';
  import type { ClosureWork } from './work.svelte';

  let {
    work,
    path,
    label: own,
    hint = '',
    placeholder = '',
    wide = false,
    large = false,
    measures = false,
  }: {
    work: ClosureWork;
    path: string;
    /** Where it is called otherwise than in the table of fields. */
    label?: string;
    hint?: string;
    placeholder?: string;
    wide?: boolean;
    large?: boolean;
    /** It is measured on something that lies on the table: the caliper reads into it. */
    measures?: boolean;
  } = $props();

  const id = $props.id();
  let label = $derived(own ?? workroom.heading(path));
  let fault = $derived(work.draft.fault(path));
  let conflict = $derived(work.conflicts.find((other) => other.path === path));
</script>

<div class={['flex flex-col gap-0.5', wide ? 'w-full max-w-md' : 'w-36']}>
  <label for={id} class="min-h-5 text-sm text-secondary">{label}</label>
  <div class="flex items-center gap-1">
    <Entry
      {id}
      data-path={path}
      data-measures={measures ? '' : undefined}
      class={[
        'input w-full bg-base-100 px-2',
        large ? 'input-lg text-2xl' : 'text-lg',
        fault && 'input-error',
      ]}
      value={work.text(path)}
      readonly={!workroom.may('plan')}
      {placeholder}
      aria-invalid={fault ? 'true' : undefined}
      aria-describedby={fault || hint ? `${id}-note` : undefined}
      type={(text) => work.type(path, text)}
      done={() => work.saver.soon(0)}
      forget={() => work.forget(path)}
    />
    {#if measures}<CaliperButton field={id} {label} />{/if}
  </div>
  {#if fault}
    <p id="{id}-note" role="alert" class="text-sm font-semibold text-error">{fault}</p>
  {:else if hint}
    <p id="{id}-note" class="text-sm text-secondary">{hint}</p>
  {/if}
  {#if conflict}<Clash {work} {conflict} />{/if}
</div>
