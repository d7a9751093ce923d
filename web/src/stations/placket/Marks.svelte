<script lang="ts">
  // Every mark, each from the same end: what is measured with the tape.
  import type { Sheet } from '../../api/client';
  import { capital } from '../../ui/capital';

  type Props = {
    layout: NonNullable<Sheet['placket']>;
    sheet: Sheet;
    upright: boolean;
    fastens: boolean;
    picked: number;
    pick: (number: number) => void;
  };
  let { layout, sheet, upright, fastens, picked, pick }: Props = $props();

  let sewn = $derived(capital(sheet.button.sewn));

  $effect(() => {
    document.getElementById(`mark-${picked}`)?.scrollIntoView({ block: 'nearest' });
  });
</script>

<h2 class="mt-6 text-lg font-semibold">Marks, each from the {layout.measured_from}</h2>
<div class="overflow-x-auto">
  <table class="table max-w-3xl table-sm text-base">
    <thead>
      <tr>
        <th>{sewn}</th>
        <th>{upright ? 'Middle at' : 'Line at'}</th>
        {#if upright}<th>{sheet.button.opens ? 'Slit from' : 'From'}</th><th
            >{sheet.button.opens ? 'Slit to' : 'To'}</th
          >{#if fastens}<th>Button at</th>{/if}{:else}<th>Outer end beyond centre</th><th>Inner end</th>{/if}
        <th>Stitches to the edge</th>
        <th>Needle in at</th>
        <th>Gap above</th>
      </tr>
    </thead>
    <tbody>
      {#each layout.holes as hole (hole.number)}
        <tr id="mark-{hole.number}" class={picked === hole.number ? 'bg-primary/15' : ''}>
          <th>
            <button
              class="cursor-pointer underline decoration-dotted"
              aria-pressed={picked === hole.number}
              onclick={() => pick(hole.number)}>{hole.number}</button
            >
          </th>
          <td class="text-lg font-semibold"
            >{hole.at.text}{hole.pinned ? ` · ${hole.pinned}` : ''}{hole.sewn ? ' · sewn' : ''}</td
          >
          {#if upright}
            <td>{hole.open_from.text}</td><td>{hole.open_to.text}</td>{#if fastens}<td>{hole.button.text}</td
              >{/if}
          {:else}
            <td>{hole.out_outer.text}</td><td>{hole.inside.text} inside</td>
          {/if}
          <td>{hole.edge.text}</td>
          <td
            >{hole.starts
              .map((start) => `${start.at}: ${start.along.text}, edge ${start.from_edge.text}`)
              .join('; or ')}</td
          >
          <td>{hole.gap?.text ?? ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
