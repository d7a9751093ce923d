<script lang="ts">
  // Where each button goes when the holes lie otherwise than planned: through the hole, and by the plan.
  import type { Sheet } from '../../api/client';

  let { places }: { places: NonNullable<Sheet['attach']['places']> } = $props();
</script>

<div class="mt-4 border-l-4 border-warning pl-3" data-places>
  <p class="font-semibold">The holes lie otherwise than planned. {places.says}</p>
  <table class="mt-1 text-sm">
    <thead class="text-left text-secondary">
      <tr>
        <th scope="col" class="pr-4 font-normal">Button</th>
        <th scope="col" class="pr-4 font-normal">through the hole</th>
        <th scope="col" class="pr-4 font-normal">from the plan</th>
        <th scope="col" class="font-normal">difference</th>
      </tr>
    </thead>
    <tbody>
      {#each places.rows as row (row.number)}
        <tr>
          <th scope="row" class="pr-4 text-left">{row.number}</th>
          <td class="pr-4">{row.through.text}</td>
          <td class="pr-4">{row.planned.text}</td>
          <td>{row.difference.mm === 0 ? 'none' : row.difference.text}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
