<script lang="ts">
  // Buttons of one closure: laid by out of the stash, and counted again when they are sewn on.
  import type { components } from '../api/schema';

  let {
    item,
    fault,
    tell,
  }: {
    item: components['schemas']['Supply'];
    fault: string;
    tell: (path: 'reservation' | 'shelf-count', number: number) => Promise<boolean>;
  } = $props();

  const id = $props.id();
  let left = $state('');
  let wrong = $state('');

  async function count(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    wrong = /^\d{1,5}$/.test(left.trim()) ? '' : 'Write how many there are, as a whole number.';
    if (!wrong && (await tell('shelf-count', Number(left)))) left = '';
  }
</script>

<div class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
  {#if item.reserved}
    <button class="btn btn-sm" onclick={() => tell('reservation', 0)}>Put the {item.reserved} back</button>
  {:else if item.to_lay > 0}
    <button class="btn btn-sm" onclick={() => tell('reservation', item.to_lay)}
      >Lay {item.to_lay} by for this</button
    >
  {/if}
  <form class="flex items-end gap-2" onsubmit={count}>
    <label for={id} class="text-sm text-secondary">Left in the box, as counted</label>
    <input
      {id}
      class={['input input-sm w-16 bg-base-100 px-2', (wrong || fault) && 'input-error']}
      inputmode="numeric"
      aria-invalid={wrong || fault ? 'true' : undefined}
      aria-describedby={wrong || fault ? `${id}-fault` : undefined}
      bind:value={left}
    />
    <button class="btn btn-ghost btn-sm">Note it</button>
  </form>
  {#if wrong || fault}
    <p id="{id}-fault" role="alert" class="w-full text-sm font-semibold text-error">{wrong || fault}</p>
  {/if}
</div>
