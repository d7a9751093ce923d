<script lang="ts">
  // The bar over the pages that are not about one closure.
  import { Moon, Sun } from '@lucide/svelte';
  import { route } from '../router';
  import { theme } from './theme.svelte';

  const PAGES = [
    { href: '/', name: 'Workroom' },
    { href: '/stash', name: 'Stash' },
    { href: '/habits', name: 'House habits' },
  ];
</script>

<header class="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-base-300 px-4 py-2">
  <a href="/" class="flex items-center gap-2 font-serif text-lg font-semibold">
    <img src="/mark.svg" alt="" width="26" height="26" class="rounded" />
    <span class="max-sm:sr-only">Nimble Eyelet</span>
  </a>
  <nav class="flex flex-wrap gap-x-4" aria-label="Pages">
    {#each PAGES as page (page.href)}
      {@const here = route.pathname === page.href}
      <a
        href={page.href}
        aria-current={here ? 'page' : undefined}
        class={[
          'border-b-2 py-0.5',
          here ? 'border-primary font-semibold' : 'border-transparent hover:border-primary',
        ]}>{page.name}</a
      >
    {/each}
  </nav>
  <a class="ml-auto text-sm link max-sm:hidden" href="/api/docs" target="_blank">The interface for programs</a
  >
  <button
    class="btn btn-square btn-ghost btn-sm max-sm:ml-auto"
    aria-label={theme.dark ? 'Daylight' : 'Lamplight'}
    onclick={() => theme.toggle()}
  >
    {#if theme.dark}<Sun size={18} />{:else}<Moon size={18} />{/if}
  </button>
</header>
