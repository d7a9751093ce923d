<script lang="ts">
  // The slit of a test hole, measured from a photo, where the hole has two satin sides to measure between.
  import type { Closure } from '../../api/client';
  import FromPhoto from '../../closure/FromPhoto.svelte';
  import type { Seen } from './seen.svelte';

  let { closure, seen }: { closure: Closure; seen: Seen } = $props();
</script>

{#if closure.sheet.swatch.by_photo}
  <FromPhoto
    whats={['hole']}
    paths={['swatch.measured']}
    closure={closure.id}
    use={(...read) => seen.byPhoto(...read)}
    small
  />
{/if}
