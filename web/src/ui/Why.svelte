<script lang="ts">
  // Why an answer is what it is, one tap away.
  import type { Reason } from '../api/client';
  import Because from './Because.svelte';
  import Fold from './Fold.svelte';

  let { name, reasons, title }: { name: string; reasons: Reason[]; title: string } = $props();
</script>

{#if reasons.length > 0}<Fold {name} {title}><Because {reasons} {title} /></Fold>{/if}
