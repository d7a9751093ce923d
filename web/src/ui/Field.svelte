<script lang="ts">
  // A figure that is typed where it is read. What the server refuses stays typed, with the reason
  // beside it.
  import Clash from './Clash.svelte';
  import Entry from './Entry.svelte';
  import type { ClosureState } from '../api/closure.svelte';

  let {
    work,
    path,
    label,
    hint = '',
    placeholder = '',
    wide = false,
    large = false,
  }: {
    work: ClosureState;
    path: string;
    label: string;
    hint?: string;
    placeholder?: string;
    wide?: boolean;
    large?: boolean;
  } = $props();

  const id = $props.id();
  let fault = $derived(work.faults[path]);
  let conflict = $derived(work.conflicts.find((other) => other.path === path));
</script>

<div class={['flex flex-col gap-0.5', wide ? 'w-full max-w-md' : 'w-36']}>
  <label for={id} class="text-sm text-secondary">{label}</label>
  <Entry
    {id}
    data-path={path}
    class={['input w-full bg-base-100 px-2', large ? 'input-lg text-2xl' : 'text-lg', fault && 'input-error']}
    value={work.text(path)}
    {placeholder}
    aria-invalid={fault ? 'true' : undefined}
    aria-describedby={fault || hint ? `${id}-note` : undefined}
    type={(text) => work.type(path, text)}
    done={() => work.saveSoon(0)}
    forget={() => work.forget(path)}
  />
  {#if fault}
    <p id="{id}-note" role="alert" class="text-sm font-semibold text-error">{fault}</p>
  {:else if hint}
    <p id="{id}-note" class="text-sm text-secondary">{hint}</p>
  {/if}
  {#if conflict}<Clash {work} {conflict} />{/if}
</div>
