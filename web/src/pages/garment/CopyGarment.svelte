<script lang="ts">
  // The same buttonholes once more: for another size its edges are longer or shorter, for another fabric that is chosen.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal } from '../../api/ask';
  import { client, type GarmentPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';
  import { begun } from '../../closure/begun.svelte';
  import FormField from '../../ui/FormField.svelte';
  import { clothFigures } from '../workroom/cloth';

  let { garment }: { garment: GarmentPage } = $props();

  let name = $state<string>();
  let template = $state(false);
  let longer = $state<string | undefined>('');
  let cloth = $state<string | undefined>('');
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  const shelf = createQuery(() => ({
    queryKey: ['picks', workroom.slug, 'cloth'],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/picks/{section}', {
          params: { path: { slug: workroom.slug, section: 'cloth' } },
        }),
      ),
    enabled: workroom.slug !== '',
  }));
  let items = $derived(shelf.data?.items ?? []);
  let cloths = $derived([
    { key: '', name: 'the same' },
    ...items.map((item) => ({ key: item.name, name: item.name })),
    ...(workroom.catalogue?.cloth_kinds ?? []).map((kind) => ({
      key: `kind:${kind.key}`,
      name: `another, ${kind.name}`,
    })),
  ]);

  async function copy(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const body = {
      name: name ?? garment.name,
      longer: longer ?? '',
      template,
      plan: cloth ? clothFigures(cloth, items, workroom.catalogue) : {},
    };
    const params = { path: { slug: workroom.slug, id: garment.id } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/garments/{id}/copies', { params, body }));
    ({ faults, failed } = refusal(answer));
    failed ||= Object.entries(faults).find(([field]) => !field.startsWith('garment.'))?.[1] ?? '';
    if (answer.kind !== 'data') return;
    begun.say('garment', answer.data.garment.id, answer.data.left_behind);
    void workroom.refresh();
    await go(workroom.at(`/garments/${answer.data.garment.id}`));
  }
</script>

<form class="flex flex-wrap items-start gap-3" onsubmit={copy}>
  <FormField
    label="Name"
    path="garment.name"
    bind:value={() => name ?? garment.name, (text) => (name = text)}
    fault={faults['garment.name'] ?? ''}
    wide
  />
  <FormField
    label="Edges longer by"
    path="garment.longer"
    bind:value={longer}
    fault={faults['garment.longer'] ?? ''}
    hint="−20 mm: shorter"
  />
  <FormField label="Fabric" path="garment.cloth" bind:value={cloth} choices={cloths} />
  {#if failed}<p role="alert" class="w-full font-semibold text-error">{failed}</p>{/if}
  <p class="w-full text-sm text-secondary">
    Plans only: what was tested, sewn and measured stays here. Measure again what must have a button.
  </p>
  {#if !garment.template}
    <label class="flex min-h-11 w-full cursor-pointer items-center gap-3">
      <input type="checkbox" class="checkbox checkbox-sm" bind:checked={template} />
      Keep the copy as a template
    </label>
  {/if}
  <button class="btn btn-primary"
    >{garment.template ? 'Start this garment' : template ? 'Keep the template' : 'Copy this garment'}</button
  >
</form>
