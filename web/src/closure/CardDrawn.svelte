<script lang="ts">
  // The printed card, and where on it the thing lies that is measured.
  import type { What } from './from_photo.svelte';

  let { what }: { what: What } = $props();

  const TOP = [17, 29, 41, 53, 65, 77, 89, 101, 113];
  const SIDE = [17, 31.5, 46, 60.5, 75];
  const DISCS = [
    [5, 5],
    [125, 5],
    [125, 87],
    [5, 87],
  ];
</script>

<svg viewBox="-9 -7 148 106" class="mx-auto block h-auto w-full max-w-80" aria-hidden="true">
  <rect x="-9" y="-7" width="148" height="106" rx="1.5" fill="#fff" stroke="#c9c5ba" />
  <g fill="#262626">
    {#each DISCS as [x, y] (`${x} ${y}`)}<circle cx={x} cy={y} r="4" />{/each}
    {#each TOP as x (x)}<circle cx={x} cy="5" r="1.2" /><circle cx={x} cy="87" r="1.2" />{/each}
    {#each SIDE as y (y)}<circle cx="5" cy={y} r="1.2" /><circle cx="125" cy={y} r="1.2" />{/each}
    <rect x="55" y="11" width="41" height="46" />
    <rect x="55" y="59" width="41" height="16" />
  </g>
  <g fill="none" stroke="#262626" stroke-width="0.5">
    <rect x="12" y="11" width="42" height="46" />
    <rect x="12" y="59" width="42" height="16" />
    <rect x="98" y="11" width="20" height="63" fill={what === 'hole' ? '#b9c4dd' : 'none'} />
    <path d="M15 67H51M15 80H115" />
    <path d="M58 67H93" stroke="#fff" />
  </g>
  {#if what === 'hole'}
    <rect x="106" y="30" width="4" height="24" rx="0.6" fill="#2a3c80" />
    <path d="M108 32.5V51.5" stroke="#fff" stroke-width="0.7" />
  {:else if what === 'edge'}
    <rect x="24" y="65.2" width="18" height="3.6" rx="1" fill="#2a3c80" />
  {:else}
    <circle cx="33" cy="34" r="10" fill="#2a3c80" />
    {#each [-1.8, 1.8] as x (x)}{#each [-1.8, 1.8] as y (y)}<circle
          cx={33 + x}
          cy={34 + y}
          r="1"
          fill="#fff"
        />{/each}{/each}
  {/if}
</svg>
