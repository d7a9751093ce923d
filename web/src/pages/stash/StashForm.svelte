<script lang="ts">
  // A button of the box as typed. What is typed stays in the browser until it is saved.
  import { untrack } from 'svelte';
  import { ask, refusal } from '../../api/ask';
  import { client, type Choice, type StashButton } from '../../api/client';
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
    shank: '',
    shank_width: '',
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

  let picked = $derived(typed.colour.startsWith('#'));
  let colours = $derived<Choice[]>([
    ...(workroom.catalogue?.colours ?? []),
    ...(picked ? [{ key: typed.colour, name: 'picked', note: typed.colour }] : []),
  ]);
  /** What it is drawn in now. */
  let ink = $derived(
    picked ? typed.colour : (colours.find((one) => one.key === typed.colour)?.note ?? '#ece4d4'),
  );

  type Asked = {
    name: keyof typeof BLANK;
    label: string;
    choices?: Choice[] | undefined;
    hint?: string;
    wide?: boolean;
  };
  let called = $derived<Asked[]>([
    { name: 'name', label: 'Name', wide: true },
    { name: 'owned', label: 'How many' },
    { name: 'shape', label: 'Shape', choices: workroom.catalogue?.shapes ?? [] },
    { name: 'colour', label: 'Colour', choices: colours },
    { name: 'attachment', label: 'Sewn on through', choices: workroom.catalogue?.attachments ?? [] },
  ]);
  const when = (so: boolean, ...fields: Asked[]): Asked[] => (so ? fields : []);
  let measured = $derived<Asked[]>([
    asks('outline')
      ? {
          name: 'outline',
          label: `Corner points, in ${workroom.data?.unit ?? 'mm'}`,
          hint: 'x y pairs with commas between, once round',
          wide: true,
        }
      : { name: 'diameter', label: form?.across ?? 'Diameter' },
    ...when(asks('width'), { name: 'width', label: 'Smallest width' }),
    ...when(asks('thickness'), { name: 'thickness', label: 'Thickness' }),
    ...when(
      typed.attachment !== 'shank',
      { name: 'hole_spacing', label: 'Hole spacing' },
      { name: 'hole_diameter', label: 'Hole diameter' },
    ),
    ...when(
      typed.attachment === 'shank',
      { name: 'shank', label: 'Height of its shank' },
      { name: 'shank_width', label: 'Width of its shank' },
    ),
    { name: 'note', label: 'Note', wide: true },
  ]);

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
  {#each [called, measured] as fields, row (row)}
    <div class={['flex flex-wrap gap-x-4 gap-y-3', row > 0 && 'mt-3']}>
      {#each fields as field (field.name)}
        <FormField
          label={field.label}
          path="button.{field.name}"
          bind:value={typed[field.name]}
          fault={fault(field.name)}
          choices={field.choices}
          hint={field.hint ?? ''}
          wide={field.wide ?? false}
          {changed}
        />
        {#if field.name === 'colour'}
          <label class="flex flex-col gap-0.5 text-sm text-secondary"
            >Any colour
            <input
              type="color"
              class="h-10 w-14 cursor-pointer rounded border border-base-300 bg-base-100 p-1"
              value={ink}
              data-pick-colour
              onchange={(event) => {
                typed.colour = event.currentTarget.value;
                changed();
              }}
            />
          </label>
        {/if}
      {/each}
    </div>
  {/each}
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <div class="mt-3 flex gap-2">
    <button class="btn btn-primary" disabled={busy}>{button ? 'Save' : 'Put it in the box'}</button>
    <button type="button" class="btn" onclick={leave}>Leave it</button>
  </div>
</form>
