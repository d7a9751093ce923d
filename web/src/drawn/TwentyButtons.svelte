<script lang="ts">
  // A chance as twenty small buttons, so many of them in horn.
  let { filled }: { filled: number } = $props();
</script>

<svg
  viewBox="0 0 400 20"
  class="h-5 w-full max-w-md"
  preserveAspectRatio="xMinYMid"
  role="img"
  aria-label="{filled} of 20"
>
  {#each Array.from({ length: 20 }, (_, index) => index) as index (index)}
    <g transform="translate({index * 20 + 10} 10)">
      {#if index < filled}
        <circle r="7.4" fill="var(--shell)" stroke="var(--horn)" stroke-width="1.6" />
        {#each [[-2.2, -2.2], [2.2, -2.2], [-2.2, 2.2], [2.2, 2.2]] as [x, y] (`${x} ${y}`)}
          <circle cx={x} cy={y} r="1.1" fill="var(--slit)" />
        {/each}
      {:else}
        <circle r="7.4" fill="none" stroke="var(--color-base-300)" stroke-width="1.6" />
      {/if}
    </g>
  {/each}
</svg>
