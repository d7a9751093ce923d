<script lang="ts">
  // What a dial could be set to instead, one mark and two to either side, each with the hole as it would be sewn.
  import { createQueries } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client, type Sheet } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import HolePicture from './HolePicture.svelte';

  type Item = Sheet['recipe']['settings'][number];
  type Props = { work: ClosureWork; item: Item; version: string };
  let { work, item, version }: Props = $props();

  const AWAY = [-2, -1, 1, 2];
  const WIDE = 150;
  let dial = $derived(item.dial);
  let values = $derived(
    dial
      ? AWAY.map((by) => Number((dial.value + by * dial.step).toFixed(3))).filter(
          (value) => value > dial.least + 1e-9 && (dial.most === null || value <= dial.most + 1e-9),
        )
      : [],
  );
  const typed = (value: number) => (item.key === 'tension' ? String(value) : `${value}mm`);
  const drawn = createQueries(() => ({
    queries: values.map((value) => ({
      queryKey: ['trial', work.slug, work.id, version, item.key, value],
      queryFn: () =>
        read(
          client.POST('/api/workrooms/{slug}/closures/{id}/stitches', {
            params: { path: { slug: workroom.slug, id: work.id } },
            body: { [item.key]: typed(value) },
          }),
        ),
      staleTime: Infinity,
    })),
  }));

  function take(value: number): void {
    work.type(item.field ?? '', typed(value));
    work.saver.soon(0);
  }
</script>

<div class="flex flex-wrap gap-2" data-other-values={item.key}>
  {#each values as value, index (value)}
    {@const hole = drawn[index]?.data}
    <button
      class="cursor-pointer rounded border-2 border-base-300 p-1 text-center hover:border-primary"
      onclick={() => take(value)}
      aria-label="Set {item.label.toLowerCase()} to {value}"
    >
      <span class="flex h-14 items-center justify-center overflow-hidden" style:width="{WIDE}px">
        {#if hole}<HolePicture
            {hole}
            at={hole.points.length / 2}
            scale={Math.min(WIDE / (hole.overall + 5), 56 / (hole.width.mm + 5))}
            label="{item.label} {value}"
          />{/if}
      </span>
      <span class="font-semibold">{value}</span>
      <span class="text-sm text-secondary">{hole?.cover[0]?.words ?? ''}</span>
    </button>
  {/each}
</div>
