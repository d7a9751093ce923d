<script lang="ts">
  // One test hole of the book, as it lies on its page.
  import type { Snippet } from 'svelte';
  import type { SwatchLeaf } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import PhotoPanel from '../../closure/PhotoPanel.svelte';
  import DrawnHole from '../../ui/DrawnHole.svelte';
  import Fold from '../../ui/Fold.svelte';

  let { leaf, children }: { leaf: SwatchLeaf; children?: Snippet } = $props();

  let open = $state(false);
  const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });
  let where = $derived(
    [leaf.cloth || leaf.cloth_kind, leaf.thread || leaf.thread_tex, leaf.machine].filter(Boolean).join(', '),
  );
</script>

<article class="flex h-full flex-col gap-2" data-leaf={leaf.id}>
  <div class="flex min-h-24 items-center gap-3">
    <DrawnHole drawn={leaf.drawn} scale={8} />
    {#if leaf.photo}
      <img
        src="/api/workrooms/{workroom.slug}/swatches/{leaf.id}/photo/small.jpg?{leaf.photo.key}"
        alt="The test hole as it was sewn"
        loading="lazy"
        class="h-24 w-auto"
      />
    {/if}
  </div>
  <p class="font-serif text-2xl leading-tight wrap-anywhere">
    {leaf.verdict ?? 'not tried yet'}{#if leaf.measured}, {leaf.measured.text}{/if}
  </p>
  <p class="wrap-anywhere">
    {where}
    {#if leaf.accepted}<span class="badge badge-primary">in use</span>{/if}
    {#if leaf.simulated}<span class="badge">practice</span>{/if}
    {#if leaf.imported}<span class="badge">from another book</span>{/if}
  </p>
  {#if leaf.note}<p class="wrap-anywhere">“{leaf.note}”</p>{/if}
  <Fold name="leaf" title="How it was sewn">
    <dl class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-0.5 text-[0.95rem]">
      {#each [...leaf.settings, { name: 'under it', text: leaf.stabiliser ?? 'nothing' }] as one (one.name)}
        <dt class="text-secondary">{one.name}</dt>
        <dd class="wrap-anywhere">{one.text}</dd>
      {/each}
    </dl>
    {#if leaf.seen.length}<p class="mt-1 text-[0.95rem]">{leaf.seen.join('; ')}</p>{/if}
  </Fold>
  <p class="mt-auto flex flex-wrap items-center gap-x-4 text-sm">
    <span class="text-secondary">{leaf.sewn_at ? day.format(new Date(leaf.sewn_at)) : ''}</span>
    {#if leaf.closure}
      <a class="link wrap-anywhere" href={workroom.at(`/closures/${leaf.closure.id}/swatch`)}
        >{leaf.garment?.name}: {leaf.closure.name}</a
      >
    {/if}
    <a class="link" href="/api/workrooms/{workroom.slug}/swatches/{leaf.id}.pdf" target="_blank"
      >Page for the scrap</a
    >
    <button class="min-h-8 link" aria-expanded={open} onclick={() => (open = !open)}
      >{leaf.photo ? 'Photo' : 'Add a photo'}</button
    >
    {@render children?.()}
  </p>
  {#if open}<PhotoPanel entry={leaf.id} drawn={leaf.drawn} photo={leaf.photo} />{/if}
</article>
