<script lang="ts">
  // What else can be seen on a test hole, axis by axis.
  import type { Sheet } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import type { Seen, Symptom } from './seen.svelte';

  let { swatch, seen }: { swatch: Sheet['swatch']; seen: Seen } = $props();

  let axes = $derived(
    (workroom.catalogue?.axes ?? [])
      .map((axis) => ({
        key: axis.key,
        items: swatch.symptoms
          .filter((symptom) => symptom.axis === axis.key)
          .map((symptom) => ({
            key: symptom.key as Symptom,
            name: workroom.catalogue?.symptoms.find((item) => item.key === symptom.key)?.name ?? symptom.key,
          })),
      }))
      .filter((axis) => axis.items.length > 0),
  );
</script>

{#each axes as axis (axis.key)}
  <fieldset class="mt-1 grid gap-x-4 sm:grid-cols-[6rem_1fr]">
    <legend class="float-left text-sm font-semibold sm:w-24">{axis.key}</legend>
    <div class="flex flex-wrap gap-x-5 gap-y-1">
      {#each axis.items as item (item.key)}
        <label class="flex min-h-8 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            value={item.key}
            bind:group={seen.form.symptoms}
          />{item.name}
        </label>
      {/each}
    </div>
  </fieldset>
{/each}
