<script lang="ts">
  // A button of the box as typed. What is typed stays in the browser until it is saved.
  import { untrack } from 'svelte';
  import { ask, refusal } from '../../api/ask';
  import { client, type StashButton } from '../../api/client';
  import { keep, recall } from '../../api/browser_store';
  import { workroom } from '../../api/workroom.svelte';
  import FormField from '../../ui/FormField.svelte';

  let {
    button,
    saved,
    close,
  }: { button?: StashButton; saved: (button: StashButton) => void; close: () => void } = $props();

  const BLANK = {
    name: '',
    shape: 'flat',
    attachment: 'four_holes',
    diameter: '',
    thickness: '',
    width: '',
    hole_spacing: '',
    hole_diameter: '',
    outline: '',
    owned: '',
    colour: 'shell',
    note: '',
  };
  const key = untrack(() => `stash:${button?.id ?? 'new'}`);
  let typed = $state(recall<typeof BLANK>(key) ?? untrack(() => ({ ...BLANK, ...button?.fields })));
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let busy = $state(false);

  const changed = () => keep(key, $state.snapshot(typed));
  const fault = (name: string) => faults[`button.${name}`] ?? '';
  let form = $derived(workroom.catalogue?.measured.find((shape) => shape.key === typed.shape));
  const asks = (part: 'thickness' | 'width' | 'outline') => form?.parts.includes(part) ?? false;

  function leave(): void {
    keep(key, undefined);
    close();
  }

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    const body = $state.snapshot(typed);
    const { slug } = workroom;
    const answer = await ask(
      button
        ? client.PUT('/api/workrooms/{slug}/stash/{id}', {
            params: { path: { slug, id: button.id }, header: { 'If-Match': `"${button.revision}"` } },
            body,
          })
        : client.POST('/api/workrooms/{slug}/stash', { params: { path: { slug } }, body }),
    );
    busy = false;
    ({ faults, failed } = refusal(answer));
    if (answer.kind !== 'data') return;
    keep(key, undefined);
    saved(answer.data);
  }
</script>

<form
  class="border-l-4 border-primary py-1 pl-4"
  onsubmit={save}
  aria-label={button ? `Change ${button.fields.name}` : 'A new button'}
>
  <div class="flex flex-wrap gap-x-4 gap-y-3">
    <FormField label="Name" path="button.name" bind:value={typed.name} fault={fault('name')} wide {changed} />
    <FormField
      label="How many"
      path="button.owned"
      bind:value={typed.owned}
      fault={fault('owned')}
      {changed}
    />
    <FormField
      label="Shape"
      path="button.shape"
      bind:value={typed.shape}
      fault={fault('shape')}
      choices={workroom.catalogue?.shapes ?? []}
      {changed}
    />
    <FormField
      label="Colour"
      path="button.colour"
      bind:value={typed.colour}
      choices={workroom.catalogue?.colours ?? []}
      {changed}
    />
    <FormField
      label="Sewn on through"
      path="button.attachment"
      bind:value={typed.attachment}
      choices={workroom.catalogue?.attachments ?? []}
      {changed}
    />
  </div>
  <div class="mt-3 flex flex-wrap gap-x-4 gap-y-3">
    {#if asks('outline')}
      <FormField
        label="Corner points, in {workroom.data?.unit ?? 'mm'}"
        path="button.outline"
        bind:value={typed.outline}
        fault={fault('outline')}
        hint="x y pairs with commas between, once round"
        wide
        {changed}
      />
    {:else}
      <FormField
        label={form?.across ?? 'Diameter'}
        path="button.diameter"
        bind:value={typed.diameter}
        fault={fault('diameter')}
        {changed}
      />
    {/if}
    {#if asks('width')}
      <FormField
        label="Smallest width"
        path="button.width"
        bind:value={typed.width}
        fault={fault('width')}
        {changed}
      />
    {/if}
    {#if asks('thickness')}<FormField
        label="Thickness"
        path="button.thickness"
        bind:value={typed.thickness}
        fault={fault('thickness')}
        {changed}
      />{/if}
    {#if typed.attachment !== 'shank'}
      <FormField
        label="Hole spacing"
        path="button.hole_spacing"
        bind:value={typed.hole_spacing}
        fault={fault('hole_spacing')}
        {changed}
      />
      <FormField
        label="Hole diameter"
        path="button.hole_diameter"
        bind:value={typed.hole_diameter}
        fault={fault('hole_diameter')}
        {changed}
      />
    {/if}
    <FormField label="Note" path="button.note" bind:value={typed.note} fault={fault('note')} wide {changed} />
  </div>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <div class="mt-3 flex gap-2">
    <button class="btn btn-primary" disabled={busy}>{button ? 'Save' : 'Put it in the box'}</button>
    <button type="button" class="btn" onclick={leave}>Leave it</button>
  </div>
</form>
