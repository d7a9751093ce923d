<script lang="ts">
  // Wherever one is: what is dry now.
  import { drying } from './drying.svelte';
</script>

{#if drying.dry}
  <p
    role="status"
    class="fixed inset-x-0 top-0 z-50 flex flex-wrap items-center justify-center gap-4 bg-primary px-4 py-3 text-xl text-primary-content"
    data-dry
  >
    <strong class="wrap-anywhere">Dry: {drying.dry.part}</strong>
    <button class="btn" onclick={() => drying.seen()}>All right</button>
  </p>
{/if}
