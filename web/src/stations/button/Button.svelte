<script lang="ts">
  import { client } from '../../api/client';
  import { room } from '../../api/room.svelte';
  import Field from '../../ui/Field.svelte';
  import Pick from '../../ui/Pick.svelte';
  import Shelf from '../../ui/Shelf.svelte';
  import type { StationProps } from '../stations';
  import ButtonPicture from './ButtonPicture.svelte';
  import Measuring from './Measuring.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let kept = $state('');
  let name = $derived(work.text('button.name').trim());

  async function keepOnShelf(): Promise<void> {
    await work.save();
    const answer = await client.POST('/api/buttons', { body: { closure_id: closure.id, name } });
    if (answer.data) {
      room.workroom = answer.data;
      kept = `“${name}” is on the shelf.`;
    } else if (answer.error) {
      work.faults['button.name'] = answer.error.faults?.[0]?.allowed ?? answer.error.detail;
    }
  }
</script>

<div class="grid gap-x-8 gap-y-5 xl:grid-cols-[auto_1fr]">
  <div>
    <p class="answer" data-answer>{sheet.button.half_perimeter.text}</p>
    <p class="mt-1 max-w-xs text-secondary">
      is H, half the outline that has to pass: {sheet.button.passes} ({sheet.button.formula}).
    </p>
  </div>
  <ButtonPicture {closure} />
</div>

<div class="mt-5 space-y-4">
  <Shelf {work} room="button" label="Take from the shelf" items={room.workroom?.buttons ?? []} />
  <Pick
    {work}
    path="button.shape"
    label="Shape"
    choices={(room.catalogue?.shapes ?? []).map((item) => ({ ...item, note: '' }))}
  />
  <div class="flex flex-wrap gap-x-4 gap-y-3">
    {#if !sheet.button.measured.includes('outline')}
      <Field
        {work}
        path="button.diameter"
        label={sheet.button.across}
        hint="= {sheet.button.lignes} L"
        large
      />
    {/if}
    {#if sheet.button.measured.includes('width')}
      <Field
        {work}
        path="button.width"
        label={closure.plan.button.shape === 'square' ? 'Shorter side' : 'Smallest width'}
        hint="empty: as wide all round"
        placeholder={sheet.button.smallest.text}
        large
      />
    {/if}
    {#if sheet.button.measured.includes('thickness')}
      <Field {work} path="button.thickness" label="Thickness" hint="without the shank" large />
    {/if}
  </div>
  <Measuring
    {work}
    {closure}
    across={sheet.button.across}
    wide={!sheet.button.measured.includes('outline')}
    thick={sheet.button.measured.includes('thickness')}
  />
  {#if sheet.button.measured.includes('outline')}
    <Field
      {work}
      path="button.outline"
      label="Corner points, once round, in {closure.unit}"
      hint="x y pairs with commas between, such as 0 0, 20 0, 20 12, 0 12; empty: square"
      placeholder="0 0, 20 0, 20 12, 0 12"
      wide
    />
  {/if}
  <Pick {work} path="button.attachment" label="Sewn on through" choices={room.catalogue?.attachments ?? []} />
  {#if closure.plan.button.attachment !== 'shank'}
    <div class="flex flex-wrap gap-x-4 gap-y-3">
      <Field {work} path="button.hole_spacing" label="Hole spacing" hint="middle to middle" />
      <Field {work} path="button.hole_diameter" label="Hole diameter" />
    </div>
  {/if}
  <div class="flex flex-wrap items-end gap-3">
    <Field {work} path="button.name" label="Name on the shelf" wide />
    <button class="btn" disabled={!name} onclick={keepOnShelf}>Keep on the shelf</button>
    <span role="status" class="text-sm text-secondary">{kept}</span>
  </div>
</div>
