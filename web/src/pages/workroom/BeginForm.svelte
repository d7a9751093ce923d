<script lang="ts">
  // A new closure: what goes through, on what, with what was used last filled in; or like another, or its
  // mirror image. What is half typed stays in the browser.
  import { untrack } from 'svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal } from '../../api/ask';
  import { keep, recall } from '../../api/browser_store';
  import { client, type PlanChange } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';
  import FormField from '../../ui/FormField.svelte';

  const BLANK = {
    garment: '',
    name: '',
    like: '',
    mirror: false,
    shape: 'rounded',
    machine: '',
    cloth: '',
    use: '',
    place: 'front',
    overlap: '',
  };
  let key = $derived(`begin:${workroom.slug}`);
  let typed = $state(untrack(() => ({ ...BLANK, ...recall<typeof BLANK>(key) })));
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let garments = $derived(workroom.data?.garments ?? []);
  let last = $derived(workroom.data?.last);
  let catalogue = $derived(workroom.catalogue);
  let machine = $derived(typed.machine || String(last?.machine ?? workroom.data?.machines[0]?.id ?? ''));
  let use = $derived(typed.use || (last?.fields['placket.use'] ?? 'shirt'));
  /** A bar tack is sewn elsewhere than a hole. */
  let opens = $derived(catalogue?.measured.find((item) => item.key === typed.shape)?.opens ?? true);
  let places = $derived((catalogue?.places ?? []).filter((item) => item.tacked !== opens));
  let place = $derived(
    places.some((item) => item.key === typed.place) ? typed.place : (places[0]?.key ?? 'front'),
  );
  let overlap = $derived(typed.overlap || (last?.fields['placket.overlap'] ?? 'right'));
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
  let cloths = $derived([
    ...(last ? [{ key: '', name: `as last: ${last.fields['cloth.name'] || 'the cloth used last'}` }] : []),
    ...(shelf.data?.items ?? []).map((item) => ({ key: item.name, name: item.name })),
    ...(catalogue?.cloth_kinds ?? []).map((kind) => ({
      key: `kind:${kind.key}`,
      name: `another, ${kind.name}`,
    })),
  ]);

  $effect(() => {
    const now = $state.snapshot(typed);
    keep(key, now.garment || now.name ? now : undefined);
  });

  /** The figures of the cloth chosen: off the shelf, typical for its kind, or as used last. */
  function cloth(): Record<string, string | null> {
    const chosen = typed.cloth || (last ? '' : (cloths[0]?.key ?? ''));
    const item = shelf.data?.items.find((other) => other.name === chosen);
    if (item)
      return Object.fromEntries(Object.entries(item.fields).map(([field, text]) => [`cloth.${field}`, text]));
    const usual = catalogue?.cloth_figures.find((kind) => `kind:${kind.key}` === chosen);
    return usual
      ? {
          'cloth.kind': usual.key,
          'cloth.weight': usual.weight,
          'cloth.thickness': usual.thickness,
          'cloth.stretch': usual.stretch,
        }
      : {};
  }

  function plan(): PlanChange {
    return {
      ...last?.fields,
      ...cloth(),
      'button.shape': typed.shape,
      'placket.use': use,
      'placket.place': place,
      'placket.overlap': overlap,
      ...(machine ? { 'machine.id': Number(machine) } : {}),
    };
  }

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { garment, name, like, mirror } = $state.snapshot(typed);
    const body = { garment, name, ...(like ? { like: Number(like), mirror } : { plan: plan() }) };
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures', { params, body }));
    ({ faults, failed } = refusal(answer));
    failed ||= Object.entries(faults).find(([field]) => !field.startsWith('closure.'))?.[1] ?? '';
    if (answer.kind !== 'data') return;
    typed = { ...BLANK };
    keep(key, undefined);
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/cloth`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }
</script>

<form onsubmit={begin}>
  <h2 class="text-xl font-semibold">Begin a closure</h2>
  {#each [{ key: 'garment', label: 'Garment', field: 'closure.garment', hint: '' }, { key: 'name', label: 'Closure', field: 'closure.name', hint: 'front placket' }] as const as item (item.key)}
    {@const fault = faults[item.field]}
    <label class="mt-3 flex flex-col text-sm text-secondary"
      >{item.label}
      <input
        class={['input w-full bg-base-100 text-lg text-base-content', fault && 'input-error']}
        list={item.key === 'garment' ? 'garments' : undefined}
        placeholder={item.hint}
        bind:value={typed[item.key]}
        aria-invalid={fault ? 'true' : undefined}
      />
      {#if fault}<span role="alert" class="font-semibold text-error">{fault}</span>{/if}
    </label>
  {/each}
  <datalist id="garments">
    {#each garments as item (item.id)}<option value={item.name}></option>{/each}
  </datalist>
  <div class="mt-3 space-y-3">
    <FormField
      label="Start from"
      path="begin.like"
      bind:value={typed.like}
      choices={[
        { key: '', name: 'what is said here' },
        ...garments.flatMap((item) =>
          item.closures.map((closure) => ({
            key: String(closure.id),
            name: `like ${item.name}: ${closure.name}`,
          })),
        ),
      ]}
    />
    {#if typed.like}
      <label class="flex cursor-pointer gap-2"
        ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={typed.mirror} />its mirror image,
        for the other side</label
      >
    {:else}
      <FormField
        label="What goes through"
        path="begin.shape"
        bind:value={typed.shape}
        choices={catalogue?.shapes ?? []}
      />
      <FormField
        label="Machine"
        path="begin.machine"
        bind:value={() => machine, (key) => (typed.machine = key ?? '')}
        choices={(workroom.data?.machines ?? []).map((item) => ({ key: String(item.id), name: item.name }))}
      />
      <FormField label="Cloth" path="begin.cloth" bind:value={typed.cloth} choices={cloths} />
      <FormField
        label="Kind of garment"
        path="begin.use"
        bind:value={() => use, (key) => (typed.use = key ?? '')}
        choices={catalogue?.uses ?? []}
      />
      <FormField
        label="Place on it"
        path="begin.place"
        bind:value={() => place, (key) => (typed.place = key ?? '')}
        choices={places}
        hint={places.find((item) => item.key === place)?.note ?? ''}
      />
      <FormField
        label="Lap, as worn"
        path="begin.overlap"
        bind:value={() => overlap, (key) => (typed.overlap = key ?? '')}
        choices={catalogue?.overlaps ?? []}
      />
    {/if}
  </div>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <button class="btn mt-4 btn-primary">Begin</button>
</form>
