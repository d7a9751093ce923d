<script lang="ts">
  // For those who know none of the figures: three small tests at the table.
  import { ask, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import type { ClosureWork } from '../../closure/work.svelte';
  import { workroom } from '../../api/workroom.svelte';
  import Fold from '../../ui/Fold.svelte';
  import FormField from '../../ui/FormField.svelte';

  let { work }: { work: ClosureWork } = $props();

  const TESTS = [
    {
      test: 'weigh',
      title: 'Weigh a square',
      how: 'Cut a square of a scrap and put it on letter or kitchen scales.',
      fields: { grams: 'Grams', side: 'Side of the square' },
      path: 'cloth.weight',
    },
    {
      test: 'fold',
      title: 'Fold it',
      how: 'Fold the fabric three times: eight layers. Press it flat under a ruler and measure the stack.',
      fields: { folded: 'Height of the stack', layers: 'Layers in it' },
      path: 'cloth.thickness',
    },
    {
      test: 'pull',
      title: 'Pull it',
      how: 'Mark two points across the fabric, pull as far as it goes without force, measure again.',
      fields: { marked: 'Marks apart', pulled: 'Pulled to' },
      path: 'cloth.stretch',
    },
  ] as const;

  let typed = $state<Record<string, string>>({ layers: '8', marked: '100mm' });
  let found = $state<Record<string, string>>({});
  let faults = $state<Record<string, string>>({});

  async function look(test: (typeof TESTS)[number]): Promise<void> {
    const names = Object.keys(test.fields);
    delete found[test.test];
    for (const name of names) delete faults[`feel.${name}`];
    if (names.some((name) => !typed[name]?.trim())) return;
    const params = { path: { slug: workroom.slug } };
    const body = { ...$state.snapshot(typed), test: test.test };
    const answer = await ask(client.POST('/api/workrooms/{slug}/feel', { params, body }));
    const said = refusal(answer);
    Object.assign(faults, said.failed ? { [`feel.${names[0]}`]: said.failed } : said.faults);
    const value = answer.kind === 'data' && Object.values(answer.data)[0];
    if (value) found[test.test] = value;
  }
</script>

<Fold name="fabric-feel" title="I don't know these figures">
  <div class="mt-2 grid gap-x-8 gap-y-4 xl:grid-cols-3">
    {#each TESTS as test (test.test)}
      <div class="border-l-4 border-base-300 pl-3">
        <h3 class="text-base font-semibold">{test.title}</h3>
        <p class="text-sm">
          {test.how}
          {#if test.test === 'pull'}<a
              class="link"
              href="/api/stretch-scale.pdf"
              target="_blank"
              rel="noopener">Or print a scale to pull it along.</a
            >{/if}
        </p>
        <div class="mt-1 flex flex-wrap gap-3">
          {#each Object.entries(test.fields) as [name, label] (name)}
            <FormField
              {label}
              path={`feel.${name}`}
              bind:value={typed[name]}
              fault={faults[`feel.${name}`] ?? ''}
              changed={() => look(test)}
            />
          {/each}
        </div>
        {#if found[test.test]}
          <button
            class="btn mt-2 btn-sm"
            onclick={() => {
              work.type(test.path, found[test.test] ?? '');
              work.saver.soon(0);
            }}
            >Use {found[test.test]}{test.test === 'weigh'
              ? ' g/m²'
              : test.test === 'pull'
                ? ' %'
                : ''}</button
          >
        {/if}
      </div>
    {/each}
    <div class="border-l-4 border-base-300 pl-3">
      <h3 class="text-base font-semibold">Press it</h3>
      <p class="text-sm">
        Lay a cloth over a scrap. Press with a warm iron for three seconds without steam. Look at it against
        the light.
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button class="btn btn-sm" onclick={() => work.typeAll({ 'cloth.iron': 'yes' })}
          >It is as it was</button
        >
        <button class="btn btn-sm" onclick={() => work.typeAll({ 'cloth.iron': 'no' })}
          >It shines, sticks or shrinks</button
        >
      </div>
    </div>
  </div>
</Fold>
