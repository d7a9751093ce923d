<script lang="ts">
  // What a dialog is made of: fetched when the first one is opened.
  import { X } from '@lucide/svelte';
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    open = $bindable(),
    title,
    children,
    actions,
  }: { open: boolean; title: string; children: Snippet; actions?: Snippet | undefined } = $props();
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-neutral/40" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 flex max-h-[85vh] w-[min(36rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 flex-col rounded border border-base-300 bg-base-100 p-5 text-base-content shadow-xl outline-none"
    >
      <div class="flex items-start justify-between gap-4">
        <Dialog.Title level={2} class="text-xl font-semibold wrap-anywhere">{title}</Dialog.Title>
        <Dialog.Close class="btn btn-square btn-ghost btn-sm" aria-label="Close"><X size={18} /></Dialog.Close
        >
      </div>
      <div class="mt-2 min-h-0 overflow-y-auto">{@render children()}</div>
      {#if actions}<div class="mt-4 flex flex-wrap justify-end gap-2">{@render actions()}</div>{/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
