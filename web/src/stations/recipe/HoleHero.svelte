<script lang="ts">
  // The hole as it will be sewn, stitch by stitch: it plays once when it comes into sight, and again when asked.
  import { untrack } from 'svelte';
  import { Pause, Play } from '@lucide/svelte';
  import HolePicture from './HolePicture.svelte';
  import type { Sewn } from './stitches.svelte';

  let { sewn, style, length }: { sewn: Sewn; style: string; length: string } = $props();

  const TALLEST = 200;
  const STILL = '(prefers-reduced-motion: reduce)';
  let width = $state(0);
  let hole = $derived(sewn.hole);
  let scale = $derived(
    hole && width ? Math.min(width / (hole.overall + 8), TALLEST / (hole.width.mm + 5)) : 0,
  );
  let seconds = $derived(Math.max(5, Math.round((hole?.seconds ?? 0) / 5) * 5));
  let begun = false;

  $effect(() => {
    if (!hole || begun) return;
    begun = true;
    if (!window.matchMedia(STILL).matches)
      untrack(() => {
        sewn.at = 0;
        sewn.speed = Math.max(4, Math.ceil((hole?.seconds ?? 0) / 4));
        sewn.play();
      });
  });
</script>

<div
  class="relative flex h-56 items-center justify-center overflow-hidden rounded-lg"
  style:background="var(--cloth)"
  bind:clientWidth={width}
  data-hero
>
  {#if hole && scale}
    <HolePicture
      {hole}
      at={sewn.at}
      {scale}
      label="The hole as it will be sewn: {hole.cover.map((side) => `${side.name} ${side.words}`).join(', ')}"
    />
    <p class="absolute right-18 bottom-2 left-4 text-base-content first-letter:uppercase">
      {style} · {length} · about {seconds} seconds
    </p>
    <button
      class="btn absolute right-3 bottom-3 btn-circle btn-primary"
      aria-label={sewn.playing ? 'Stop playing' : 'Play again'}
      onclick={() => (sewn.playing ? sewn.pause() : sewn.play())}
      >{#if sewn.playing}<Pause size={18} />{:else}<Play size={18} />{/if}</button
    >
  {:else if sewn.failed}<p role="alert" class="text-error">{sewn.failed}</p>
  {:else}<p role="status">Laying down the stitches…</p>{/if}
</div>
