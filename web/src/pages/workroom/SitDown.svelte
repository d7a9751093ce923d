<script lang="ts">
  // Sit down at a machine: which closures are sewn on it in one go.
  import { ask, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';
  import { underWay } from '../../api/under_way';

  const asked = underWay();
  let chosen = $state<number[]>([]);
  let failed = $state('');
  let open = $derived(asked.data?.sessions ?? []);
  let machines = $derived(
    (workroom.data?.machines ?? [])
      .map((machine) => ({
        ...machine,
        closures: (workroom.data?.garments ?? [])
          .filter((garment) => !garment.archived && !garment.template)
          .flatMap((garment) =>
            garment.closures
              .filter((one) => one.machine_id === machine.id)
              .map((one) => ({ id: one.id, name: `${garment.name}: ${one.name}` })),
          ),
      }))
      .filter((machine) => machine.closures.length > 0 && !open.some((one) => one.machine_id === machine.id)),
  );

  async function begin(ids: number[]): Promise<void> {
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/sessions', { params, body: { closures: ids } }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    void workroom.refresh();
    await go(workroom.at(`/sessions/${answer.data.id}`));
  }
</script>

{#if open.length > 0}
  <section class="mt-5" aria-labelledby="sessions">
    <h2 id="sessions" class="text-xl font-semibold">At the machine</h2>
    {#each open as one (one.id)}
      <p class="flex flex-wrap items-center gap-3 border-b border-base-300 py-3">
        <span class="min-w-48 flex-1 wrap-anywhere"
          ><strong>{one.machine}</strong>{one.by ? ` (${one.by} sews)` : ''}: {one.closures.join(', ')}</span
        >
        <a
          class="btn btn-primary"
          aria-label="Go on at {one.machine}"
          href={workroom.at(`/sessions/${one.id}`)}>Go on</a
        >
      </p>
    {/each}
  </section>
{/if}
{#if machines.length > 0}
  <details class="mt-5" data-sit-down>
    <summary class="cursor-pointer font-serif text-xl font-semibold">Start sewing at a machine</summary>
    {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
    {#each machines as machine (machine.id)}
      {@const ids = chosen.filter((id) => machine.closures.some((one) => one.id === id))}
      <fieldset class="mt-2">
        <legend class="font-semibold">{machine.name}</legend>
        {#each machine.closures as one (one.id)}
          <label class="flex min-h-11 cursor-pointer items-center gap-3 wrap-anywhere">
            <input type="checkbox" class="checkbox" value={one.id} bind:group={chosen} />
            {one.name}
          </label>
        {/each}
        <button class="btn btn-sm" disabled={ids.length === 0} onclick={() => begin(ids)}
          >{ids.length > 1 ? `Sew ${ids.length} in one session` : 'Begin a session'}</button
        >
      </fieldset>
    {/each}
  </details>
{/if}
