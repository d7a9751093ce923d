<script lang="ts">
  // All closures of one garment: where the holes go, what is settled, and what is left to sew.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, gone, read, words } from '../../api/ask';
  import { client, type GarmentPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { go, route } from '../../router';
  import Garment from '../../drawn/Garment.svelte';
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
      <a class="btn" href={workroom.file(`/garments/${garment.id}/file`)} download>Save to a file</a>
    </div>
    <ul class="mt-4 grid gap-5 sm:grid-cols-2">
      {#each garment.closures as closure (closure.id)}
        {@const tied = closure.stages.filter((stage) => stage.state === 'tied').length}
        {@const stale = closure.stages.filter((stage) => stage.state === 'stale')}
        <li class="flex gap-4 rounded-lg border border-base-300 p-4">
          <a href={workroom.at(`/closures/${closure.id}/placket`)} aria-hidden="true" tabindex="-1">
            <Garment part={closure.drawn} name={closure.name} size="h-44 w-40" />
          </a>
          <div class="flex min-w-0 grow flex-col gap-1">
            <a
              class="font-serif text-2xl leading-tight wrap-anywhere hover:underline"
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
            <p class="text-sm wrap-anywhere text-secondary">{closure.button}, on {closure.machine}</p>
            <p class="text-sm text-secondary">
              {tied} of {closure.stages.length} decided, {closure.done} of {closure.steps} steps done
            </p>
            {#if stale.length > 0}
              <p class="text-sm text-warning">Look again: {stale.map((stage) => stage.word).join(', ')}</p>
            {/if}
            <progress
              class="progress w-full progress-primary"
              value={closure.done}
              max={Math.max(closure.steps, 1)}
              aria-label="Steps done"
            ></progress>
            <button class="btn mt-auto self-start btn-sm" onclick={() => mirror(closure)}
              >Copy, mirrored</button
            >
          </div>
        </li>
      {:else}
        <li class="text-secondary">
          No buttonholes yet. Begin some in the <a class="link" href={workroom.at()}>workroom</a>.
        </li>
      {/each}
    </ul>
    <Supplies whose="garments" id={garment.id} record />
  {:else}
    <p role="status">Loading the garment…</p>
  {/if}
</Page>
