<script lang="ts">
  // Photos of a garment: small ones that open large, one more, and one deleted that can be put back.
  import { workroom } from '../../api/workroom.svelte';
  import { tick } from 'svelte';
  import type { GarmentWork } from './garment.svelte';

  let { work }: { work: GarmentWork } = $props();

  const id = $props.id();
  let photos = $derived(work.page?.photos ?? []);
  let busy = $state(false);
  let fault = $state('');
  let removed = $state('');
  let back = $state<HTMLButtonElement>();

  async function chosen(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const files = [...(event.currentTarget.files ?? [])];
    event.currentTarget.value = '';
    busy = true;
    fault = '';
    for (const file of files) fault = (await work.addPhoto(file)) || fault;
    busy = false;
  }

  async function remove(photo: string): Promise<void> {
    fault = await work.movePhoto(photo, false);
    if (fault) return;
    removed = photo;
    await tick();
    back?.focus();
  }

  async function putBack(): Promise<void> {
    fault = await work.movePhoto(removed, true);
    if (!fault) removed = '';
  }
</script>

<section class="mt-4" data-garment-photos aria-label="Photos">
  <ul class="flex flex-wrap gap-3">
    {#each photos as photo, index (photo.id)}
      <li class="flex flex-col items-start">
        <a href={work.photoAt(photo.id, 'large')} target="_blank" aria-label="Photo {index + 1}, large">
          <img
            src={work.photoAt(photo.id, 'small')}
            alt="{work.page?.name ?? ''}, photo {index + 1}"
            class="h-28 w-28 border border-base-300 object-cover"
          />
        </a>
        {#if workroom.may('plan')}<button
            class="btn btn-ghost btn-sm"
            aria-label="Delete photo {index + 1}"
            onclick={() => remove(photo.id)}>Delete</button
          >{/if}
      </li>
    {/each}
  </ul>
  {#if removed}
    <p role="status" class="mt-2 flex flex-wrap items-center gap-3">
      The photo is deleted.
      <button bind:this={back} class="btn btn-sm" onclick={putBack}>Put it back</button>
    </p>
  {/if}
  {#if workroom.may('sew')}<label class="btn mt-2 btn-sm" for="{id}-file"
      >{busy ? 'Taking it in…' : 'Add a photo'}</label
    >
    <input
      id="{id}-file"
      type="file"
      multiple
      accept="image/jpeg,image/png,image/webp"
      class="sr-only"
      disabled={busy}
      onchange={chosen}
    />{/if}
  {#if fault}<p role="alert" class="mt-1 text-sm font-semibold text-error">{fault}</p>{/if}
</section>
