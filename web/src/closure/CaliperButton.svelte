<script lang="ts">
  // Reads the caliper into the field beside it.
  import { Ruler } from '@lucide/svelte';
  import { caliper } from './caliper.svelte';

  let { field, label }: { field: string; label: string } = $props();

  void caliper.look();

  function read(): void {
    const target = document.getElementById(field);
    if (target instanceof HTMLInputElement) void caliper.read(target);
  }
</script>

{#if caliper.state?.there}
  <button
    class="btn btn-square btn-ghost"
    title="Read the caliper (Alt C)"
    aria-label="Read the caliper: {label}"
    onmousedown={(event) => event.preventDefault()}
    onclick={read}><Ruler size={18} /></button
  >
{/if}
