<script lang="ts">
  // Steps that waited on another device, and were saved to a file there.
  import { workroom } from '../../api/workroom.svelte';
  import { takeIn } from '../../outbox/handed';

  let said = $state('');

  async function open(file: File): Promise<void> {
    said = await takeIn(await file.text(), workroom.slug);
    void workroom.refresh();
  }
</script>

<label class="flex flex-col text-sm text-secondary"
  >Steps that a device kept
  <input
    type="file"
    accept=".json,application/json"
    class="file-input mt-1 w-full bg-base-100"
    onchange={(event) => {
      const file = event.currentTarget.files?.[0];
      if (file) void open(file);
      event.currentTarget.value = '';
    }}
  />
</label>
{#if said}<p role="status" class="mt-2" data-waited>{said}</p>{/if}
