<script lang="ts">
  // How long: of a slit that something goes through, or of a tack.
  import type { StationProps } from '../../closure/station';
  import SlitLength from './SlitLength.svelte';
  import TackLength from './TackLength.svelte';

  let props: StationProps = $props();
</script>

{#if props.sheet.button.opens}<SlitLength {...props} />{:else}<TackLength {...props} />{/if}
