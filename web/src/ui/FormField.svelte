<script lang="ts">
  // A labelled input of a form that is saved as a whole.
  import { dialect } from './dialect.svelte';

  let {
    label,
    path,
    value = $bindable(),
    fault = '',
    hint = '',
    choices,
    wide = false,
    changed,
  }: {
    label: string;
    /** What it fills in, such as machine.max_width. */
    path: string;
    value: string | undefined;
    fault?: string;
    hint?: string;
    choices?: { key: string; name: string }[] | undefined;
    wide?: boolean;
    changed?: () => void;
  } = $props();

  const id = $props.id();
  let typing = $state(false);
</script>

<div class={['flex flex-col gap-0.5', wide ? 'w-full max-w-md' : choices ? 'max-w-full min-w-36' : 'w-36']}>
  <label for={id} class="text-sm text-secondary">{label}</label>
  {#if choices}
    <select
      {id}
      data-path={path}
      class="select w-full bg-base-100 pr-8 pl-2 text-ellipsis"
      bind:value
      onchange={() => changed?.()}
    >
      {#each choices as choice (choice.key)}<option value={choice.key}>{choice.name}</option>{/each}
    </select>
  {:else}
    <input
      {id}
      data-path={path}
      type="text"
      autocomplete="off"
      spellcheck="false"
      class={['input w-full bg-base-100 px-2 text-lg', fault && 'input-error']}
      aria-invalid={fault ? 'true' : undefined}
      aria-describedby={fault || hint ? `${id}-note` : undefined}
      value={typing ? value : dialect.figure(value ?? '')}
      oninput={(event) => {
        typing = true;
        value = event.currentTarget.value;
        changed?.();
      }}
      onblur={() => (typing = false)}
    />
  {/if}
  {#if fault}
    <p id="{id}-note" role="alert" class="text-sm font-semibold text-error">{fault}</p>
  {:else if hint}
    <p id="{id}-note" class="text-sm text-secondary">{hint}</p>
  {/if}
</div>
