<script lang="ts">
  // One cloth, thread or stabiliser; another kind of cloth fills in what is typical for it, to be typed over.
  import { untrack } from 'svelte';
  import { ask, refusal } from '../../api/ask';
  import { client, type Shelf, type ShelfName, type ShelfThing } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import FormField from '../../ui/FormField.svelte';

  let {
    kind,
    names,
    item,
    saved,
    leave,
  }: {
    kind: ShelfName;
    names: Shelf['names'];
    item?: ShelfThing;
    saved: () => Promise<void>;
    leave: () => void;
  } = $props();

  let catalogue = $derived(workroom.catalogue);
  const FIRST: Record<string, string> = $derived({
    kind: kind === 'stabilisers' ? 'tear_away' : 'light_woven',
    fibre: 'polyester',
  });
  const named = ({ key, name }: { key: string; name: string }) => ({ key, name });
  let typed = $state<Record<string, string>>(
    untrack(() =>
      Object.fromEntries(names.map(({ name }) => [name, item?.fields[name] ?? FIRST[name] ?? ''])),
    ),
  );
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  const ANSWERS = ['frays', 'iron', 'washed'];

  function choices(name: string) {
    if (name === 'kind')
      return kind === 'stabilisers'
        ? (workroom.data?.stabilisers ?? []).map(named)
        : (catalogue?.cloth_kinds ?? []);
    if (name === 'fibre') return catalogue?.fibres ?? [];
    return ANSWERS.includes(name)
      ? [{ key: '', name: 'as its kind does' }, ...(catalogue?.answers ?? [])]
      : undefined;
  }

  function changed(name: string): void {
    const usual =
      name === 'kind' &&
      kind === 'cloths' &&
      catalogue?.cloth_figures.find((figures) => figures.key === typed['kind']);
    if (usual)
      Object.assign(typed, { weight: usual.weight, thickness: usual.thickness, stretch: usual.stretch });
  }

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const body = $state.snapshot(typed);
    const path = { slug: workroom.slug, shelf: kind };
    const answer = await ask(
      item
        ? client.PUT('/api/workrooms/{slug}/shelves/{shelf}/{id}', {
            params: { path: { ...path, id: item.id }, header: { 'If-Match': `"${item.revision}"` } },
            body,
          })
        : client.POST('/api/workrooms/{slug}/shelves/{shelf}', { params: { path }, body }),
    );
    ({ faults, failed } = refusal(answer));
    if (answer.kind === 'data') await saved();
  }
</script>

<form class="mt-3 border-l-4 border-primary pl-4" onsubmit={save}>
  <div class="flex flex-wrap gap-x-4 gap-y-3">
    {#each names as { name, label, help } (name)}
      {@const of = choices(name)}
      <FormField
        {label}
        path={`shelf.${name}`}
        bind:value={typed[name]}
        fault={faults[`shelf.${name}`] ?? ''}
        hint={help}
        wide={name === 'name'}
        {...of ? { choices: of } : {}}
        changed={() => changed(name)}
      />
    {/each}
  </div>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <p class="mt-3 flex gap-2">
    <button class="btn btn-primary">Keep it</button>
    <button type="button" class="btn" onclick={leave}>Leave it</button>
  </p>
</form>
