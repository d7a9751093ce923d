<script lang="ts">
  // A hole of the row, measured before the next: what it shows is learned, as from a test hole.
  import { readLength } from '../../closure/reading';

  let { measure }: { measure: (measured: string) => void } = $props();

  const id = $props.id();
  let text = $state('');
  let fault = $state('');
  let said = $state('');

  async function note(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    fault = said = '';
    if (!text.trim()) return;
    fault = await readLength(text);
    if (fault) return;
    measure(text);
    said = 'Noted: what machine and foot add is known better now.';
    text = '';
  }
</script>

<form class="flex flex-wrap items-center gap-2 pb-2 pl-10 text-sm" onsubmit={note}>
  <label for="{id}-slit" class="text-secondary">Its slit, if you measured it</label>
  <input
    id="{id}-slit"
    data-measures
    class={['input input-sm w-24 bg-base-100 px-2', fault && 'input-error']}
    aria-invalid={fault ? 'true' : undefined}
    bind:value={text}
  />
  <button class="btn btn-sm">Note it</button>
  {#if fault}<span role="alert" class="font-semibold text-error">{fault}</span>{/if}
  {#if said}<span role="status">{said}</span>{/if}
</form>
