<script lang="ts">
  // Two test holes side by side: what is otherwise stands out.
  import type { SwatchLeaf } from '../../api/client';
  import DrawnHole from '../../ui/DrawnHole.svelte';

  let { leaves }: { leaves: [SwatchLeaf, SwatchLeaf] } = $props();

  const rows = (leaf: SwatchLeaf): [string, string][] => [
    ['verdict', leaf.verdict ?? '—'],
    ['slit as measured', leaf.measured?.text ?? '—'],
    ['cloth', leaf.cloth || leaf.cloth_kind || '—'],
    ['thread', leaf.thread || leaf.thread_tex || '—'],
    ['machine', leaf.machine ?? '—'],
    ['foot', leaf.foot ?? '—'],
    ['style', leaf.style ?? '—'],
    ['needle', leaf.needle ?? '—'],
    ['under it', leaf.stabiliser ?? '—'],
    ...leaf.settings.map((one): [string, string] => [one.name, one.text]),
    ['seen', leaf.seen.join('; ') || '—'],
  ];
  let both = $derived(leaves.map((leaf) => new Map(rows(leaf))));
  let names = $derived([...new Set(both.flatMap((one) => [...one.keys()]))]);
</script>

<section aria-label="Side by side" class="mt-5 border-l-4 border-primary pl-4" data-compare>
  <h2 class="text-xl font-semibold">Side by side</h2>
  <div class="overflow-x-auto">
    <table class="mt-2 w-full text-left">
      <thead>
        <tr>
          <td></td>
          {#each leaves as leaf (leaf.id)}
            <th scope="col" class="px-2 pb-2 align-bottom font-normal"
              ><DrawnHole drawn={leaf.drawn} />{leaf.garment?.name ?? 'another book'}</th
            >
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each names as name (name)}
          {@const [one, other] = both.map((all) => all.get(name) ?? '—')}
          <tr class="border-t border-base-300 align-top">
            <th scope="row" class="py-1 pr-2 font-normal text-secondary">{name}</th>
            {#each [one, other] as text, side (side)}
              <td class={['px-2 py-1 wrap-anywhere', one !== other && 'font-semibold']}>{text}</td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
