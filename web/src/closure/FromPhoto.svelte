<script module lang="ts">
  const load = () => import('./PhotoDialog.svelte');
</script>

<script lang="ts">
  // Measured from a photo of the printed card: a button flat or on edge, or a test hole. The dialog is fetched when it
  // first opens.
  import { Camera } from '@lucide/svelte';
  import type { ComponentProps } from 'svelte';
  import { later } from '../ui/later.svelte';
  import type PhotoDialog from './PhotoDialog.svelte';

  type Props = Omit<ComponentProps<typeof PhotoDialog>, 'open'> & { small?: boolean };
  let { small = false, ...asked }: Props = $props();

  const dialog = later(load);
  let open = $state(false);

  async function begin(): Promise<void> {
    open = await dialog.fetch();
  }
</script>

<button
  type="button"
  class={['btn', small ? 'btn-square btn-ghost' : 'btn-sm']}
  title="Measure from a photo"
  aria-label={small ? 'Measure from a photo' : undefined}
  onclick={begin}
  data-from-photo
  ><Camera size={18} />{#if !small}From a photo{/if}</button
>

{#if dialog.part}
  <dialog.part bind:open {...asked} />
{/if}
