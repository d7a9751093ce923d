<script lang="ts">
  // What it is sewn on, and with what: cloth, thread, machine, and the stabilisers at hand.
  import Term from '../../ui/Term.svelte';
  import { workroom } from '../../api/workroom.svelte';
  import Field from '../../closure/Field.svelte';
  import Pick from '../../closure/Pick.svelte';
  import Shelf from '../../closure/Shelf.svelte';
  import type { StationProps } from '../../closure/station';
  import Drawer from './Drawer.svelte';
  import Feel from './Feel.svelte';
  import StackPicture from './StackPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let recipe = $derived(sheet.recipe);
  let plan = $derived(closure.plan);
  let kind = $derived(workroom.catalogue?.cloth_kinds.find((item) => item.key === plan['cloth.kind']));

  let machines = $derived([
    ...workroom.machines,
    ...(workroom.data?.machines ?? []).filter(
      (item) => item.id === closure.machine.id && !workroom.machines.includes(item),
    ),
  ]);

  /** Another kind begins with the figures that are typical for it; what was measured is typed over them. */
  function begin(key: string): void {
    const usual = workroom.catalogue?.cloth_figures.find((item) => item.key === key);
    if (!usual) return;
    work.typeAll({
      'cloth.kind': key,
      'cloth.weight': usual.weight,
      'cloth.thickness': usual.thickness,
      'cloth.stretch': usual.stretch,
    });
  }
</script>

<p class="answer" data-answer>{kind?.name ?? ''}</p>
<p class="text-secondary">
  {plan['cloth.layers']} layers, {recipe.stack.text} thick at the hole, on {closure.machine.name}
</p>

<div class="mt-4 flex flex-wrap gap-x-5 gap-y-3">
  <Shelf {work} section="cloth" label="Cloth" />
  <Shelf {work} section="thread" label="Thread" />
  <Pick
    {work}
    path="machine.id"
    label="Machine"
    listed
    choices={machines.map((item) => ({
      key: String(item.id),
      name: `${item.name}, ${item.kind_name}`,
      note: `Length from ${item.length_from}.`,
    }))}
  />
</div>

<h2 class="mt-6 text-lg font-semibold">The cloth</h2>
<div class="mt-2 flex flex-wrap gap-x-4 gap-y-3">
  <Pick {work} path="cloth.kind" listed picked={begin} />
  <Field {work} path="cloth.layers" hint="of this cloth" />
  <Field {work} path="cloth.seams" hint="further ones at the hole" />
  <Field {work} path="cloth.thickness" label="One layer" hint="typical for its kind" />
  <Field {work} path="cloth.interfacing" hint="0: none" />
  <Field {work} path="cloth.weight" />
  <Field {work} path="cloth.stretch" hint="along the hole" />
  {#each ['cloth.frays', 'cloth.iron', 'cloth.washed'] as path (path)}
    <Pick {work} {path} listed empty="as its kind does" />
  {/each}
  <Field {work} path="cloth.name" label="What you call the cloth" wide />
</div>
<div class="mt-3"><StackPicture {recipe} /></div>
{#if recipe.getting_ready.length > 0}
  <section aria-label="Before you mark" class="mt-3 max-w-prose" data-getting-ready>
    <h2 class="text-lg font-semibold">Before you mark</h2>
    <ul class="ml-5 list-disc">
      {#each recipe.getting_ready as says (says)}<li>{says}</li>{/each}
    </ul>
  </section>
{/if}
<Feel {work} />

<h2 class="mt-6 text-lg font-semibold">The thread</h2>
<div class="mt-2 flex flex-wrap gap-x-4 gap-y-3">
  <Pick {work} path="thread.fibre" listed />
  <Field {work} path="thread.tex" label="Thread, tex" hint="or 270 dtex, Nm 80/2, Ne 40/2, No. 120" />
  <Field {work} path="thread.bobbin" hint="20 m, 1.2 g, half, about a third" />
  <Field {work} path="thread.name" label="What you call the thread" wide />
</div>
<p class="mt-1 text-sm text-secondary">
  {recipe.thread_thickness.text} thick. Beside <Term of="tex" as="tex" /> this thread is also
  {recipe.thread_in.join(', ')}.
</p>

<Drawer {work} />
<div class="mt-6"><Field {work} path="closure.name" label="What you call the closure" wide /></div>
