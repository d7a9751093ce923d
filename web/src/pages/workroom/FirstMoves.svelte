<script lang="ts">
  // An empty workroom teaches its first three moves.
  import { workroom } from '../../api/workroom.svelte';

  let { machines }: { machines: boolean } = $props();
</script>

<section class="mt-6 max-w-prose" aria-labelledby="first-moves">
  <h2 id="first-moves" class="text-xl font-semibold">The first three moves</h2>
  <ol class="mt-2 list-decimal space-y-3 pl-6 text-lg">
    <li class={machines ? 'text-secondary line-through' : ''}>
      <a class="link" href={workroom.at('/machines/new')}>Say which machine you sew on</a>: what is on its
      dials, and which feet lie in the box. Nothing can be set before that is known.
    </li>
    <li>
      Begin with a garment and one of its closures, such as <em>coat</em> and <em>front</em>. Type the button
      as it lies in your hand; the rest follows.
    </li>
    <li>
      Say how long the edge is. When the holes lie well, print the strip, 1 to 1, and pin it to the cloth.
    </li>
  </ol>
</section>
