<script lang="ts">
  // The machines that are not on their usual settings, how each thing goes back, and one button once it is done.
  import { ask, words } from '../../api/ask';
  import { uuid } from '../../api/browser_store';
  import { client } from '../../api/client';
  import { queries } from '../../api/queries';
  import { underWay } from '../../api/under_way';
  import { workroom } from '../../api/workroom.svelte';
  import { announce } from '../../ui/announce.svelte';

  const asked = underWay();
  let machines = $derived(asked.data?.machines ?? []);
  type Left = (typeof machines)[number];
  /** What was said last: it can be taken back at once. */
  let told = $state.raw<{ entry: string; name: string }>();
  let failed = $state('');

  async function tell(
    body: { kind: 'machine_part' | 'withdrawal' } & Record<string, unknown>,
  ): Promise<string> {
    const entry = uuid();
    const now = new Date().toISOString();
    const answer = await ask(
      client.PUT('/api/workrooms/{slug}/journal/{entry}', {
        params: { path: { slug: workroom.slug, entry } },
        body: { ...body, happened_at: now, sent_at: now },
      }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return '';
    await queries.invalidateQueries({ queryKey: ['under-way', workroom.slug] });
    void queries.invalidateQueries({ queryKey: ['sessions', workroom.slug] });
    return entry;
  }

  async function putBack(machine: Left): Promise<void> {
    const moves = Object.fromEntries(machine.ledger.map((entry) => [entry.key, null]));
    const entry = await tell({ kind: 'machine_part', machine: machine.id, step: 'put-back', moves });
    if (!entry) return;
    told = { entry, name: machine.name };
    announce(`${machine.name} is on its usual settings.`);
  }

  async function takeBack(): Promise<void> {
    if (told && (await tell({ kind: 'withdrawal', about: told.entry }))) told = undefined;
  }
</script>

{#if machines.length > 0 || told}
  <section class="mb-6" aria-labelledby="left-set">
    <h2 id="left-set" class="border-b border-base-300 pb-1 text-2xl">Still to put back</h2>
    {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
    {#each machines as machine (machine.id)}
      <details class="mt-2 wrap-anywhere" data-left={machine.id}>
        <summary class="min-h-11 cursor-pointer py-2.5">
          <strong>{machine.name}</strong>
          <span class="text-secondary"
            >{machine.ledger.length} {machine.ledger.length === 1 ? 'thing' : 'things'}</span
          >
        </summary>
        <ul class="ml-5 list-disc space-y-1 pb-2 text-[0.95rem]">
          {#each machine.ledger as entry (entry.key)}<li>{entry.back}</li>{/each}
        </ul>
        <button class="btn" onclick={() => putBack(machine)}>It is all back</button>
      </details>
    {/each}
    {#if told}
      <p class="mt-2 flex flex-wrap items-center gap-3" role="status">
        {told.name} is on its usual settings.
        <button class="btn btn-sm" onclick={takeBack}>Undo</button>
      </p>
    {/if}
  </section>
{/if}
