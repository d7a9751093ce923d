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
  import Stack from '../../drawn/Stack.svelte';
  import Fold from '../../ui/Fold.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let recipe = $derived(sheet.recipe);
  let plan = $derived(closure.plan);
  let thread = $derived(
    workroom.field('thread.fibre')?.choices.find((item) => item.key === plan['thread.fibre'])?.name ?? '',
  );
  let kind = $derived(workroom.catalogue?.cloth_kinds.find((item) => item.key === plan['cloth.kind']));

  let machines = $derived([
    ...workroom.machines,
    ...(workroom.data?.machines ?? []).filter(
      (item) => item.id === closure.machine.id && !workroom.machines.includes(item),
    ),
  ]);

  /** Another kind begins with what is typical for it; what was measured is typed over that. */
  function begin(key: string): void {
    const usual = workroom.catalogue?.cloth_figures.find((item) => item.key === key);
    if (!usual) return;
    work.typeAll({
      'cloth.kind': key,
      'cloth.weight': usual.weight,
      'cloth.thickness': usual.thickness,
      'cloth.stretch': usual.stretch,
      'cloth.frays': '',
      'cloth.iron': '',
      'cloth.washed': '',
    });
  }
</script>

<div class="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
  <div class="min-w-0">
    <p class="answer" data-answer>{kind?.name ?? ''}</p>
    <p class="mt-1 text-secondary">
      {plan['cloth.layers']} layers, {recipe.stack.text} at the hole, on {closure.machine.name}
    </p>
    <div class="mt-4 flex flex-wrap items-start gap-x-4 gap-y-3">
      <Shelf {work} section="cloth" label="From your shelf" />
      <Pick {work} path="cloth.kind" listed picked={begin} />
      <Field {work} path="cloth.layers" hint="at the hole" />
      <Field {work} path="cloth.thickness" label="One layer" hint="usual for its kind" />
      <Field {work} path="cloth.stretch" hint="along the hole" />
      <Pick
        {work}
        path="machine.id"
        label="Machine"
        listed
        choices={machines.map((item) => ({
          key: String(item.id),
          name: `${item.name}, ${item.kind_name}`,
          note: '',
        }))}
      />
    </div>
  </div>
  <div class="min-w-0 rounded-lg bg-base-200 p-4">
    <Stack layers={recipe.stack_parts} stack={recipe.stack} />
  </div>
</div>
<Feel {work} />
{#if recipe.getting_ready.length > 0}
  <section aria-label="Before you mark" class="mt-3 max-w-prose" data-getting-ready>
    <h2 class="text-lg font-semibold">Before you mark</h2>
    <ul class="ml-5 list-disc">
      {#each recipe.getting_ready as says (says)}<li>{says}</li>{/each}
    </ul>
  </section>
{/if}

<div class="folds">
  <Fold name="fabric-more" title="Interfacing, seams, care and name">
    <div class="flex flex-wrap items-start gap-x-4 gap-y-3">
      <Field {work} path="cloth.interfacing" hint="0: none" />
      <Field {work} path="cloth.seams" hint="more layers at the hole" />
      <Field {work} path="cloth.weight" />
      {#each ['cloth.frays', 'cloth.iron', 'cloth.washed'] as path (path)}
        <Pick {work} {path} listed empty="as its kind does" />
      {/each}
      <Field {work} path="cloth.name" label="What you call the fabric" wide />
      <Field {work} path="closure.name" label="What these buttonholes are for" wide />
    </div>
  </Fold>
  <Fold name="fabric-thread" title="Thread: {plan['thread.name'] || thread}">
    <div class="flex flex-wrap items-start gap-x-4 gap-y-3">
      <Shelf {work} section="thread" label="From your shelf" />
      <Pick {work} path="thread.fibre" listed />
      <Field {work} path="thread.tex" label="Thread, tex" hint="or 270 dtex, Nm 80/2, Ne 40/2, No. 120" />
      <Field {work} path="thread.bobbin" hint="20 m, 1.2 g, half, about a third" />
      <Field {work} path="thread.name" label="What you call the thread" wide />
    </div>
    <p class="mt-1 text-sm text-secondary">
      {recipe.thread_thickness.text} thick. This thread is also {recipe.thread_in.join(', ')}. <Term
        of="tex"
        as="What is tex?"
      />
    </p>
  </Fold>
  <Fold name="fabric-drawer" title="Stabilisers you have"><Drawer {work} /></Fold>
</div>
