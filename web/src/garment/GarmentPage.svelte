<script lang="ts">
  // All closures of one garment: where the holes go, what is settled, and what is left to sew.
  import { client, type GarmentPage } from '../api/client';
  import { room } from '../api/room.svelte';
  import { navigate, route } from '../router';
  import PageBar from '../shell/PageBar.svelte';
  import SmallRun from '../stations/placket/SmallRun.svelte';

  let id = $derived(Number(route.params.id));
  let garment = $state.raw<GarmentPage>();
  let missing = $state(false);
  let failed = $state('');

  void room.load();

  async function look(): Promise<void> {
    try {
      const answer = await client.GET('/api/garments/{id}', { params: { path: { id } } });
      garment = answer.data;
      missing = answer.response.status === 404;
      failed = '';
    } catch {
      failed = 'The server does not answer. Trying again…';
      setTimeout(() => void look(), 2000);
    }
  }
  $effect(() => {
    void id;
    void look();
  });
  $effect(() => {
    document.title = `${garment?.name ?? 'Garment'}: Nimble Eyelet`;
  });

  async function mirror(closure: GarmentPage['closures'][number]): Promise<void> {
    if (!garment) return;
    const names = garment.closures.map((other) => other.name);
    const swapped = closure.name.replace(/\b(left|right)\b/i, (side) =>
      side.toLowerCase() === 'left' ? 'right' : 'left',
    );
    const name = names.includes(swapped) ? `${closure.name}, mirrored` : swapped;
    const body = { garment: garment.name, name, like: closure.id, mirror: true };
    const answer = await client.POST('/api/closures', { body });
    if (answer.data) {
      await navigate('/closures/:id/:station', {
        params: { id: String(answer.data.id), station: 'placket' },
      });
    } else failed = answer.error?.detail ?? '';
  }
</script>

<div class="min-h-screen bg-base-100 text-base-content">
  <PageBar />
  <main class="mx-auto max-w-4xl px-4 py-6">
    {#if failed}<p role="alert" class="border-l-4 border-warning pl-3">{failed}</p>{/if}
    {#if missing}
      <h1 class="text-2xl font-semibold">This garment is not here any more.</h1>
      <p class="mt-2"><a class="link" href="/">Back to the workroom</a></p>
    {:else if garment}
      <div class="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h1 class="text-4xl font-semibold wrap-anywhere">{garment.name}</h1>
        <a class="btn" href="/api/garments/{garment.id}/file" download="garment-{garment.id}.json"
          >As a file</a
        >
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
                href="/closures/{closure.id}/placket">{closure.name}</a
              >
              {#if closure.trouble}
                <p class="font-semibold text-warning">{closure.trouble}</p>
              {:else}
                <p>
                  {closure.holes}
                  {closure.holes === 1 ? 'hole' : 'holes'} of {closure.opening.text}, {closure.overlap}
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
            No closure yet: begin one in the <a class="link" href="/">workroom</a>.
          </li>
        {/each}
      </ul>
    {:else}
      <p role="status">Fetching the garment…</p>
    {/if}
  </main>
</div>
