<script lang="ts">
  // The tool of a step, drawn; its name stands beside it.
  import LineDrawing from './LineDrawing.svelte';
  import { TOOLS } from './tools';

  let { name, size = 'h-28' }: { name: string; size?: string } = $props();

  let drawing = $derived(TOOLS[name]);
</script>

{#if drawing}<LineDrawing {drawing} {size} />{/if}
