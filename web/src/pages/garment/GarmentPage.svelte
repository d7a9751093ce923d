<script lang="ts">
  // All closures of one garment: where the holes go, what is settled, and what is left to sew.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, gone, read, words } from '../../api/ask';
  import { client, type GarmentPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { go, route } from '../../router';
  import SmallRun from '../../ui/SmallRun.svelte';
  import Page from '../Page.svelte';
  import Supplies from '../../closure/Supplies.svelte';

  let id = $derived(Number((route.params as { id: string }).id));
  const asked = createQuery(() => ({
    queryKey: ['garment', workroom.slug, id],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/garments/{id}', { params: { path: { slug: workroom.slug, id } } }),
      ),
    enabled: workroom.slug !== '',
  }));
  let garment = $derived(asked.data);
  let failed = $state('');

  async function mirror(closure: GarmentPage['closures'][number]): Promise<void> {
    if (!garment) return;
    const names = garment.closures.map((other) => other.name);
    const swapped = closure.name.replace(/\b(left|right)\b/i, (side) =>
      side.toLowerCase() === 'left' ? 'right' : 'left',
    );
    const name = names.includes(swapped) ? `${closure.name}, mirrored` : swapped;
    const body = { garment: garment.name, name, like: closure.id, mirror: true };
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures', { params, body }));
    failed = words(answer);
    if (answer.kind !== 'data') return;
    begun.say(answer.data);
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/placket`));
  }
</script>

<Page
  title={garment?.name ?? 'Garment'}
  failed={failed ||
    (asked.failureCount && !gone(asked.error) ? 'The server does not answer. Trying again…' : '')}
  missing={gone(asked.error) ? 'This garment is not here any more.' : ''}
>
  {#if garment}
    <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <h1 class="text-4xl font-semibold wrap-anywhere">{garment.name}</h1>
      <a class="btn" href={workroom.file(`/garments/${garment.id}/file`)} download>As a file</a>
    </div>
    <ul class="mt-5">
      {#each garment.closures as closure (closure.id)}
        {@const tied = closure.stages.filter((stage) => stage.state === 'tied').length}
        {@const stale = closure.stages.filter((stage) => stage.state === 'stale')}
        <li class="flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-dashed border-base-300 py-4">
          <SmallRun places={closure.places} length={closure.run_length} />
          <div class="min-w-48 flex-1">
            <a
              class="text-xl font-semibold wrap-anywhere hover:underline"
              href={workroom.at(`/closures/${closure.id}/placket`)}>{closure.name}</a
            >
            {#if closure.trouble}
              <p class="font-semibold text-warning">{closure.trouble}</p>
            {:else}
              <p>
                {closure.holes}
                {closure.noun}{closure.holes === 1 ? '' : 's'} of {closure.opening.text}, {closure.overlap}
              </p>
            {/if}
            <p class="text-sm text-secondary wrap-anywhere">{closure.button}; sewn on {closure.machine}</p>
          </div>
          <div class="w-44">
            <p>{tied} of {closure.stages.length} knots tied</p>
            {#if stale.length > 0}
              <p class="text-sm text-warning">look again: {stale.map((stage) => stage.word).join(', ')}</p>
            {/if}
            <p class="text-sm text-secondary">{closure.done} of {closure.steps} steps done</p>
            <progress
              class="progress w-full progress-primary"
              value={closure.done}
              max={Math.max(closure.steps, 1)}
              aria-label="Steps done"
            ></progress>
          </div>
          <button class="btn btn-sm" onclick={() => mirror(closure)}>Its mirror image</button>
        </li>
      {:else}
        <li class="text-secondary">
          No closure yet: begin one in the <a class="link" href={workroom.at()}>workroom</a>.
        </li>
      {/each}
    </ul>
    <Supplies whose="garments" id={garment.id} record />
  {:else}
    <p role="status">Fetching the garment…</p>
  {/if}
</Page>
