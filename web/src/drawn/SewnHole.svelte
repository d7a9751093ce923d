<script lang="ts">
  // A sewn hole by its stitches, to be laid into a drawing in millimetres; its thread in three strokes under one light.
  import { drawnHole, type HoleFigures } from './hole';

  let {
    hole,
    thread = 0.3,
    cut = true,
  }: {
    hole: HoleFigures;
    /** How wide the thread lies, mm. */ thread?: number;
    /** Whether its slit is open. */ cut?: boolean;
  } = $props();

  let drawn = $derived(drawnHole(hole));
  let wide = $derived(Math.max(thread * 1.5, hole.across / 40));
</script>

<g fill="none" stroke-linejoin="round" stroke-linecap="round">
  <g
    transform="translate({hole.across * 0.04} {hole.across * 0.06})"
    opacity="0.16"
    stroke="var(--color-base-content)"
  >
    {#each drawn.satin as path (path)}<path d={path} stroke-width={wide * 1.3} />{/each}
  </g>
  {#each drawn.satin as path (path)}
    <path d={path} stroke="var(--thread-edge)" stroke-width={wide * 1.15} />
    <path d={path} stroke="var(--thread)" stroke-width={wide * 0.8} />
    <path d={path} stroke="var(--thread-light)" stroke-width={wide * 0.18} opacity="0.75" />
  {/each}
  {#each drawn.straight as path (path)}
    <path d={path} stroke="var(--thread)" stroke-width={wide} stroke-dasharray="{wide * 5} {wide * 1.6}" />
  {/each}
  {#if cut}
    <path d={drawn.slit} fill="var(--slit)" stroke="var(--cloth-edge)" stroke-width={wide * 0.25} />
  {:else}
    <path
      d="M{-hole.length / 2} 0H{hole.length / 2}"
      stroke="var(--color-base-content)"
      stroke-width={wide * 0.5}
      stroke-dasharray="{wide * 2} {wide * 1.4}"
      opacity="0.7"
    />
  {/if}
</g>
