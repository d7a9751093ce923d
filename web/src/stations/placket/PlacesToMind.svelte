<script lang="ts">
  // Where something has to lie, and where nothing may.
  import { workroom } from '../../api/workroom.svelte';
  import Rows from '../../closure/Rows.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';

  let { work, sewn }: { work: ClosureWork; sewn: string } = $props();

  const WEIGHTS = [
    { key: '0', name: 'exactly there' },
    ...['1', '3', '9'].map((key, index) => ({
      key,
      name: ['near, a little', 'near', 'near, strongly'][index] ?? '',
    })),
  ];
</script>

<div class="mt-4 grid gap-x-8 gap-y-4 2xl:grid-cols-2">
  <Rows
    {work}
    list="placket.pins"
    title="Points to pin: the button stops the gaping"
    columns={[
      { key: 'at', label: 'From the top' },
      { key: 'label', label: 'Which point', text: true },
      { key: 'weight', label: 'How firmly', choices: WEIGHTS },
      { key: 'holds', label: 'What it holds', choices: workroom.catalogue?.holds ?? [] },
    ]}
    add="Pin"
  />
  <Rows
    {work}
    list="placket.keep_outs"
    title="Stretches to keep clear"
    columns={[
      { key: 'from', label: 'From' },
      { key: 'to', label: 'To; empty: a seam', open: true },
      { key: 'label', label: 'What is there', text: true },
      {
        key: 'kind',
        label: `Whether a ${sewn.toLowerCase()} can be there`,
        choices: workroom.catalogue?.obstacles ?? [],
      },
    ]}
    add="Keep clear"
  />
</div>
