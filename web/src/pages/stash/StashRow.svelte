<script lang="ts">
  // One kind of button in the box.
  import { Minus, Plus } from '@lucide/svelte';
  import type { Snippet } from 'svelte';
  import type { StashButton } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import BoxButton from './BoxButton.svelte';

  let {
    button,
    widest,
    open,
    toggle,
    count,
    takeOut,
    children,
  }: {
    button: StashButton;
    widest: number;
    open: boolean;
    toggle: () => void;
    count: (button: StashButton, by: number) => Promise<void>;
    takeOut: (button: StashButton) => Promise<void>;
    children: Snippet;
  } = $props();
</script>

<li class="border-b border-dashed border-base-300 py-2">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
    <BoxButton picture={button.picture} label="{button.fields.name}, {button.says}" of={widest} />
    <div class="min-w-40 flex-1">
      <p class="text-lg font-semibold wrap-anywhere">{button.fields.name}</p>
      <p class="text-secondary">{button.says}</p>
      {#if button.fields.note}<p class="text-sm wrap-anywhere">{button.fields.note}</p>{/if}
      {#if button.used.length > 0}
        <p class="text-sm">
          used in {#each button.used as use, index (use.id)}{index ? ', ' : ''}<a
              class="link wrap-anywhere"
              href={workroom.at(`/closures/${use.id}/button`)}>{use.garment}: {use.name}</a
            >{/each}
        </p>
      {/if}
    </div>
    <div class="flex items-center gap-1">
      <button
        class="btn btn-square btn-ghost btn-sm"
        aria-label="One {button.fields.name} fewer"
        disabled={button.owned === 0 || !workroom.may('plan')}
        onclick={() => count(button, -1)}><Minus size={16} /></button
      >
      <span class="w-12 text-center text-2xl font-semibold" aria-label="{button.owned} of them"
        >{button.owned}</span
      >
      <button
        class="btn btn-square btn-ghost btn-sm"
        aria-label="One {button.fields.name} more"
        disabled={!workroom.may('plan')}
        onclick={() => count(button, 1)}><Plus size={16} /></button
      >
    </div>
    {#if workroom.may('plan')}<div class="flex gap-1">
        <button
          class="btn btn-sm"
          aria-expanded={open}
          aria-label="Change {button.fields.name}"
          onclick={toggle}>Change</button
        >
        <button
          class="btn btn-ghost btn-sm"
          aria-label="Delete from stash: {button.fields.name}"
          onclick={() => takeOut(button)}>Delete from stash</button
        >
      </div>{/if}
  </div>
  {#if open}<div class="mt-3">{@render children()}</div>{/if}
</li>
