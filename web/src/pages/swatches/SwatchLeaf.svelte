<script lang="ts">
  // One test hole of the book, as it lies on its page.
  import type { Snippet } from 'svelte';
  import type { SwatchLeaf } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import PhotoPanel from '../../closure/PhotoPanel.svelte';
  import DrawnHole from '../../ui/DrawnHole.svelte';

  let { leaf, children }: { leaf: SwatchLeaf; children?: Snippet } = $props();

  let open = $state(false);
  const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });
  let where = $derived(
    [leaf.cloth || leaf.cloth_kind, leaf.thread || leaf.thread_tex, leaf.machine].filter(Boolean).join(', '),
  );
</script>

<article class="flex flex-wrap gap-x-5 gap-y-2" data-leaf={leaf.id}>
  {#if leaf.photo}
    <img
      src="/api/workrooms/{workroom.slug}/swatches/{leaf.id}/photo/small.jpg?{leaf.photo.key}"
      alt="The test hole as it was sewn"
      loading="lazy"
      class="h-24 w-auto"
    />
  {/if}
  <DrawnHole drawn={leaf.drawn} />
  <div class="min-w-60 grow basis-0">
    <p class="text-lg leading-snug font-semibold wrap-anywhere">
      {leaf.verdict ?? 'not tried through'}{#if leaf.measured}<span class="font-normal"
          >, slit {leaf.measured.text}</span
        >{/if}
      {#if leaf.accepted}<span class="badge badge-primary">accepted</span>{/if}
      {#if leaf.simulated}<span class="badge">simulated</span>{/if}
      {#if leaf.imported}<span class="badge">from another book</span>{/if}
    </p>
    <p class="wrap-anywhere">{where}</p>
    <p class="text-sm text-secondary">
      {leaf.settings.map((one) => `${one.name} ${one.text}`).join('; ')}; {leaf.stabiliser}
    </p>
    {#if leaf.seen.length}<p class="text-sm">{leaf.seen.join('; ')}</p>{/if}
    {#if leaf.note}<p class="text-sm wrap-anywhere">“{leaf.note}”</p>{/if}
    <p class="mt-1 flex flex-wrap items-center gap-x-4 text-sm">
      <span class="text-secondary">{leaf.sewn_at ? day.format(new Date(leaf.sewn_at)) : ''}</span>
      {#if leaf.closure}
        <a class="link wrap-anywhere" href={workroom.at(`/closures/${leaf.closure.id}/swatch`)}
          >{leaf.garment?.name}: {leaf.closure.name}</a
        >
      {/if}
      <a class="link" href="/api/workrooms/{workroom.slug}/swatches/{leaf.id}.pdf" target="_blank"
        >Page for the scrap</a
      >
      <button class="link" aria-expanded={open} onclick={() => (open = !open)}
        >{leaf.photo ? 'Photo' : 'Add a photo'}</button
      >
      {@render children?.()}
    </p>
  </div>
  {#if open}<PhotoPanel entry={leaf.id} drawn={leaf.drawn} photo={leaf.photo} />{/if}
</article>
