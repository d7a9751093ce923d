<script lang="ts">
  // A garment: its drawing with all the buttonholes of one part, the parts with how far each is, what to buy, and what to
  // remember of it.
  import { tick } from 'svelte';
  import { ask, words } from '../../api/ask';
  import { client, type GarmentPage } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { go, route } from '../../router';
  import Garment from '../../drawn/Garment.svelte';
  import { announce } from '../../ui/announce.svelte';
  import Fold from '../../ui/Fold.svelte';
  import Rename from '../../ui/Rename.svelte';
  import Page from '../Page.svelte';
  import CopyGarment from './CopyGarment.svelte';
  import GarmentNote from './GarmentNote.svelte';
  import GarmentPhotos from './GarmentPhotos.svelte';
  import { GarmentWork } from './garment.svelte';
  import Part from './Part.svelte';
  import Supplies from '../../closure/Supplies.svelte';

  type Closure = GarmentPage['closures'][number];
  const work = new GarmentWork(() => Number((route.params as { id: string }).id));
  let garment = $derived(work.page);
  let chosen = $state<number>();
  let shown = $derived(garment?.closures.find((one) => one.id === chosen) ?? garment?.closures[0]);
  let fabrics = $derived([...new Set(garment?.closures.map((one) => one.cloth).filter(Boolean))].join(', '));
  /** The part deleted last: it can be put back at once. */
  let removed = $state.raw<{ id: number; name: string }>();
  let back = $state<HTMLButtonElement>();

  async function mirror(closure: Closure): Promise<void> {
    if (!garment) return;
    const names = garment.closures.map((other) => other.name);
    const swapped = closure.name.replace(/\b(left|right)\b/i, (side) =>
      side.toLowerCase() === 'left' ? 'right' : 'left',
    );
    const name = names.includes(swapped) ? `${closure.name}, mirrored` : swapped;
    const body = { garment: garment.name, name, like: closure.id, mirror: true };
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures', { params, body }));
    work.failed = words(answer);
    if (answer.kind !== 'data') return;
    begun.say('closure', answer.data.id, answer.data.left_behind);
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/placket`));
  }

  async function remove(closure: Closure): Promise<void> {
    const path = { slug: workroom.slug, id: closure.id };
    const header = { 'If-Match': `"${closure.version}"` };
    const answer = await ask(
      client.DELETE('/api/workrooms/{slug}/closures/{id}', { params: { path, header } }),
    );
    work.failed = words(answer);
    if (answer.kind !== 'data') return;
    removed = closure;
    announce(`${closure.name} is deleted. You can put it back.`);
    await work.refresh();
    await tick();
    back?.focus();
  }

  async function putBack(): Promise<void> {
    if (!removed) return;
    const path = { slug: workroom.slug, kind: 'closure' as const, id: removed.id };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/waste-basket/{kind}/{id}', { params: { path } }),
    );
    work.failed = words(answer);
    if (answer.kind !== 'data') return;
    removed = undefined;
    await work.refresh();
  }

  /** Whether this device hands files on to other applications. */
  const shares =
    navigator.canShare?.({ files: [new File([], 'a.pdf', { type: 'application/pdf' })] }) ?? false;

  async function share(): Promise<void> {
    if (!garment) return;
    try {
      const answer = await fetch(workroom.file(`/garments/${garment.id}/sheets.pdf`));
      if (!answer.ok) throw new Error(answer.statusText);
      const file = new File([await answer.blob()], `${garment.name}.pdf`, { type: 'application/pdf' });
      await navigator.share({ files: [file], title: garment.name });
    } catch (error) {
      // Somebody thought better of it.
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        work.failed = 'It could not be shared. Save it to a file instead.';
    }
  }

  async function archive(archived: boolean): Promise<void> {
    work.failed = await work.change({ archived });
  }
</script>

<Page
  title={garment?.name ?? 'Garment'}
  wide
  failed={work.trouble}
  missing={work.missing ? 'This garment is not here any more.' : ''}
>
  {#if garment}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-6 lg:grid-cols-2 lg:grid-rows-[auto_1fr]">
      <section class="flex flex-col">
        {#key garment.id}
          <Rename
            name={garment.name}
            label="Name of the garment"
            disabled={!workroom.may('plan')}
            save={(name) => work.change({ name })}
          />
        {/key}
        <p class="wrap-anywhere text-secondary">{fabrics}</p>
        {#if shown}
          <figure class="mt-4 flex flex-col items-center">
            <Garment part={shown.drawn} name={shown.name} size="h-[min(34rem,58vh)] max-sm:h-72" />
            {#if garment.closures.length > 1}<figcaption class="text-secondary">{shown.name}</figcaption>{/if}
          </figure>
        {/if}
      </section>
      <section class="lg:col-start-2 lg:row-span-2 lg:row-start-1">
        {#if begun.of('garment', garment.id)}
          <p role="status" class="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
            <span class="wrap-anywhere">{begun.of('garment', garment.id)}</span>
            <button class="btn btn-ghost btn-sm" onclick={() => begun.close()}>Close</button>
          </p>
        {/if}
        {#if garment.template}
          <div class="mb-4 border-l-4 border-primary pl-3" data-template>
            <p class="mb-2 font-semibold">A template: start a garment from it.</p>
            {#key garment.id}<CopyGarment {garment} />{/key}
          </div>
        {/if}
        {#if garment.archived}
          <p role="status" class="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
            <span>This garment is archived.</span>
            <button class="btn btn-sm" onclick={() => archive(false)}>Back to the garments</button>
          </p>
        {/if}
        {#if removed}
          <p role="status" class="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-primary pl-3">
            <span class="wrap-anywhere">“{removed.name}” is deleted.</span>
            <button bind:this={back} class="btn btn-sm" onclick={putBack}>Put it back</button>
          </p>
        {/if}
        <ul class="divide-y divide-base-300 border-y border-base-300" data-parts>
          {#each garment.closures as closure (closure.id)}
            <Part
              {closure}
              template={garment.template}
              shown={garment.closures.length > 1 && closure.id === shown?.id}
              show={() => (chosen = closure.id)}
              mirror={() => mirror(closure)}
              remove={() => remove(closure)}
            />
          {:else}
            <li class="py-3 text-secondary">
              No buttonholes yet. Begin some in the <a class="link" href={workroom.at()}>workroom</a>.
            </li>
          {/each}
        </ul>
        <p class="mt-3 flex flex-wrap gap-2">
          <a class="btn" href={workroom.file(`/garments/${garment.id}/sheets.pdf`)} target="_blank"
            >Print all sheets</a
          >
          <a class="btn" href={workroom.file(`/garments/${garment.id}/file`)} download>Save to a file</a>
          {#if shares}<button class="btn" onclick={share}>Share</button>{/if}
          {#if !garment.archived && workroom.may('plan')}
            <button class="btn btn-ghost" onclick={() => archive(true)}>Archive</button>
          {/if}
        </p>
        {#if garment.closures.length > 0 && !garment.template && workroom.may('plan')}
          {#key garment.id}
            <div class="mt-2">
              <Fold name="copy-garment" title="Copy for another size or fabric"
                ><CopyGarment {garment} /></Fold
              >
            </div>
          {/key}
        {/if}
        {#if !garment.template}<Supplies whose="garments" id={garment.id} record />{/if}
      </section>
      <section>
        {#key garment.id}
          <GarmentNote {work} />
          <GarmentPhotos {work} />
        {/key}
      </section>
    </div>
  {:else}
    <p role="status">Loading the garment…</p>
  {/if}
</Page>
