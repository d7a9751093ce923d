<script lang="ts">
  // What is sewn in this session, how far each is, and what else on this machine could be.
  import type { Session, SessionChange } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import SmallRun from '../../ui/SmallRun.svelte';

  let { doc, change }: { doc: Session; change: (body: SessionChange) => Promise<boolean> } = $props();

  let ids = $derived(doc.closures.map((one) => one.id));
  let others = $derived(
    (workroom.data?.garments ?? []).flatMap((garment) =>
      garment.closures
        .filter((one) => one.machine_id === doc.machine.id && !ids.includes(one.id))
        .map((one) => ({ id: one.id, name: `${garment.name}: ${one.name}` })),
    ),
  );
</script>

<h2 class="mt-7 text-xl font-semibold">What is sewn</h2>
<ul class="mt-1 max-w-3xl">
  {#each doc.closures as one (one.id)}
    <li class="flex flex-wrap items-center gap-3 border-b border-dashed border-base-300 py-2">
      <SmallRun places={one.holes.map((hole) => hole.at)} length={one.run_length} />
      <span class="min-w-40 flex-1 wrap-anywhere">
        <a class="font-semibold hover:underline" href={workroom.at(`/closures/${one.id}/sewing`)}
          >{one.garment}: {one.name}</a
        >
        <span class="block text-sm text-secondary">
          {#if one.waits}Waits: {one.waits}{:else}{one.done} of {one.steps} steps, {one.holes.filter(
              (hole) => hole.sewn,
            ).length} of
            {one.holes.length}
            {one.noun}s sewn{/if}
        </span>
      </span>
      {#if !doc.ended_at && ids.length > 1}
        <button
          class="btn text-secondary btn-ghost btn-sm"
          aria-label="Take out {one.garment}: {one.name}"
          onclick={() => change({ closures: ids.filter((id) => id !== one.id), wish: [] })}>Take out</button
        >
      {/if}
    </li>
  {/each}
</ul>
{#if !doc.ended_at && others.length > 0}
  <label class="mt-2 flex flex-wrap items-center gap-2 text-secondary"
    >Another one
    <select
      class="select w-full max-w-md bg-base-100 text-base-content"
      value=""
      onchange={(event) => {
        const id = Number(event.currentTarget.value);
        event.currentTarget.value = '';
        if (id) void change({ closures: [...ids, id] });
      }}
    >
      <option value="">Choose…</option>
      {#each others as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </select>
  </label>
{/if}
