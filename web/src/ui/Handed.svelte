<script lang="ts">
  // An address that is handed on: to copy, and said once.
  import { announce } from './announce.svelte';

  let { title, address }: { title: string; address: string } = $props();

  async function copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(address);
      announce('Copied.');
    } catch {
      announce('Select it and copy it yourself.');
    }
  }
</script>

<div class="mt-3 rounded-lg border border-base-300 p-3" role="status" data-handed>
  <p class="text-secondary">{title}</p>
  <p class="flex flex-wrap items-center gap-3">
    <code class="min-w-0 grow wrap-anywhere select-all">{address}</code>
    <button class="btn btn-sm" onclick={copy}>Copy address</button>
  </p>
</div>
