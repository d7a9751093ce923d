<script lang="ts">
  // Whoever may not change this is told so, before they try.
  import { workroom } from '../api/workroom.svelte';

  let {
    device = '',
  }: { /** What is said on a paired device; nothing where it may do all of this. */ device?: string } =
    $props();
  let you = $derived(workroom.data?.you);
  let says = $derived(
    you?.role === 'looks_on'
      ? 'You are looking on: you can change nothing here.'
      : you?.kind === 'device'
        ? device
        : '',
  );
</script>

{#if says}<p class="no-print mb-2 border-l-4 border-primary pl-3 text-secondary" data-looking-on>
    {says}
  </p>{/if}
