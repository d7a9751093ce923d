<script lang="ts">
  // How far a button may lie off its place, for each needle and width of this machine; the best choice is marked.
  import type { ButtonStitches } from '../../api/client';

  let { map, needle, width }: { map: ButtonStitches['map']; needle: number; width: number } = $props();

  let sizes = $derived([...new Set(map.cells.map((cell) => cell.size))]);
  let widths = $derived(
    [...new Set(map.cells.map((cell) => cell.width.mm))].sort((one, other) => one - other),
  );
  const at = (size: number, mm: number) =>
    map.cells.find((cell) => cell.size === size && cell.width.mm === mm)?.forgives ?? 0;
  const most = $derived(Math.max(map.best.forgives, 0.01));
</script>

<div class="mt-5 overflow-x-auto" data-forgiven>
  <table class="text-sm">
    <caption class="pb-1 text-left"
      >How far the button may lie off before the needle strikes, mm. Best: needle {map.best.size} at width {map
        .best.width.mm}.</caption
    >
    <thead>
      <tr>
        <th scope="col" class="pr-3 text-left font-normal text-secondary">Needle</th>
        {#each widths as mm (mm)}<th scope="col" class="px-2 font-normal">{mm}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each sizes as size (size)}
        <tr>
          <th scope="row" class={['pr-3 text-left', size === needle ? 'font-semibold' : 'font-normal']}
            >{size}</th
          >
          {#each widths as mm (mm)}
            {@const forgives = at(size, mm)}
            {@const best = size === map.best.size && mm === map.best.width.mm}
            {@const here = size === needle && mm === width}
            <td class="p-0">
              <span
                class={[
                  'block min-w-12 px-2 py-1 text-center',
                  best && 'font-semibold underline',
                  here && 'outline-2 -outline-offset-2 outline-primary',
                  forgives === 0 && 'text-warning',
                ]}
                style:background="color-mix(in srgb, var(--color-accent) {Math.round(
                  (forgives / most) * 35,
                )}%, transparent)">{forgives === 0 ? 'strikes' : forgives.toFixed(2)}{best ? ' ✓' : ''}</span
              >
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
