<script lang="ts">
  // A labelled input that a browser may fill in: a name, an email address, a password.
  import { Eye, EyeOff } from '@lucide/svelte';
  import type { HTMLInputAttributes } from 'svelte/elements';

  type Props = {
    label: string;
    path: string;
    value: string;
    secret?: boolean;
    fault?: string | undefined;
    hint?: string;
    autocomplete: HTMLInputAttributes['autocomplete'];
    inputmode?: HTMLInputAttributes['inputmode'];
    /** Whose password it is, for whatever keeps passwords, where no field says it. */
    whose?: string;
  };
  let {
    label,
    path,
    value = $bindable(),
    secret = false,
    fault = '',
    hint = '',
    autocomplete,
    inputmode,
    whose,
  }: Props = $props();
  const id = $props.id();
  let seen = $state(false);
</script>

{#if whose !== undefined}
  <input
    class="hidden"
    type="text"
    autocomplete="username"
    value={whose}
    readonly
    tabindex="-1"
    aria-hidden="true"
  />
{/if}
<div class="mt-3 flex flex-col gap-0.5">
  <label for={id} class="text-sm text-secondary">{label}</label>
  <div class="flex gap-1">
    <input
      {id}
      data-path={path}
      type={secret && !seen ? 'password' : 'text'}
      {autocomplete}
      {inputmode}
      autocapitalize="none"
      spellcheck="false"
      maxlength="200"
      class={['input input-lg w-full bg-base-100 px-3', fault && 'input-error']}
      aria-invalid={fault ? 'true' : undefined}
      aria-describedby={fault || hint ? `${id}-note` : undefined}
      bind:value
    />
    {#if secret}
      <button
        type="button"
        class="btn btn-square btn-ghost btn-lg"
        aria-label="Show the password"
        aria-pressed={seen}
        onclick={() => (seen = !seen)}
        >{#if seen}<EyeOff size={20} />{:else}<Eye size={20} />{/if}</button
      >
    {/if}
  </div>
  {#if fault}
    <p id="{id}-note" role="alert" class="text-sm font-semibold text-error">{fault}</p>
  {:else if hint}
    <p id="{id}-note" class="text-sm text-secondary">{hint}</p>
  {/if}
</div>
