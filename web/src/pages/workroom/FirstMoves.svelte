<script lang="ts">
  // An empty workroom teaches its first three moves.
  import { workroom } from '../../api/workroom.svelte';

  let { machines }: { machines: boolean } = $props();
</script>

<section class="mt-6 max-w-prose" aria-labelledby="first-moves">
  <h2 id="first-moves" class="text-xl font-semibold">Three steps to begin</h2>
  <ol class="mt-2 list-decimal space-y-3 pl-6 text-lg">
    <li>Type above what needs buttonholes. Press Enter to keep it.</li>
    <li>Measure how thick your button is.</li>
    <li class={machines ? 'text-secondary line-through' : ''}>
      <a class="link" href={workroom.at('/machines/new')}>Describe your sewing machine.</a>
    </li>
  </ol>
</section>
