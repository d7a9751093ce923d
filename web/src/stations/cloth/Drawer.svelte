<script lang="ts">
  // The stabilisers at hand: one drawer for the whole workroom.
  import { words } from '../../api/ask';
  import { workroom } from '../../api/workroom.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';

  let { work }: { work: ClosureWork } = $props();

  let failed = $state('');
  let drawer = $derived(workroom.data?.stabilisers ?? []);

  async function put(key: string, owned: boolean): Promise<void> {
    const kept = drawer.filter((item) => (item.key === key ? owned : item.owned)).map((item) => item.key);
    failed = words(await workroom.change({ stabilisers: kept }));
    await work.load();
  }
</script>

<fieldset>
  <legend class="sr-only">Stabilisers you have</legend>
  <p class="text-sm text-secondary">
    They count for the whole workroom. What is on
    <a class="link" href={workroom.at('/shelves/stabilisers')}>the shelf</a> is ticked already.
  </p>
  <div class="mt-1 flex flex-wrap gap-x-5">
    {#each drawer as item (item.key)}
      <label class="flex min-h-11 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          class="checkbox"
          checked={item.owned}
          onchange={(event) => put(item.key, event.currentTarget.checked)}
          disabled={item.yours.length > 0}
        /><span
          >{item.name}{#if item.yours.length > 0}<span class="block text-sm text-secondary"
              >{item.yours.join(', ')}</span
            >{/if}</span
        >
      </label>
    {/each}
  </div>
  {#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
</fieldset>
