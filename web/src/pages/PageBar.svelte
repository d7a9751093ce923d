<script lang="ts">
  // The bar over the pages that are not about one closure: which workroom, and its pages.
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../api/ask';
  import { client } from '../api/client';
  import { workroom } from '../api/workroom.svelte';
  import { go, route } from '../router';
  import Help from '../help/Help.svelte';
  import { mayChange, version } from '../version.svelte';
  import DisplayMenu from '../ui/DisplayMenu.svelte';
  import Menu from '../ui/Menu.svelte';
  import type { MenuGroup } from '../ui/menu';
  import Mark from '../ui/Mark.svelte';

  const all = createQuery(() => ({
    queryKey: ['workrooms'],
    queryFn: () => read(client.GET('/api/workrooms')),
  }));
  /** Where nobody signs in, the page says how others are let in. */
  let account = $derived(all.data?.you.name ?? (all.data?.you.kind === 'own' ? 'Share' : 'Account'));
  let groups = $derived<MenuGroup[]>([
    {
      title: 'Workrooms',
      items: (all.data?.workrooms ?? []).map((room) => ({
        key: room.slug,
        name: room.sample ? `${room.name} (the example)` : room.name,
        here: room.slug === workroom.slug,
        pick: () => void go(`/w/${room.slug}`),
      })),
    },
    { items: [{ key: 'all', name: 'All workrooms', pick: () => void go('/') }] },
  ]);
  let pages = $derived([
    { href: workroom.at(), name: 'Workroom' },
    { href: workroom.at('/stash'), name: 'Stash' },
    { href: workroom.at('/shelves/cloths'), name: 'Shelves' },
    { href: workroom.at('/swatches'), name: 'Swatch book' },
    { href: workroom.at('/preferences'), name: 'Preferences' },
  ]);
</script>

<header class="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-base-300 px-4 py-2">
  <a href="/" class="flex items-center gap-2 font-serif text-lg font-semibold">
    <Mark />
    <span class="max-sm:sr-only">Nimble Eyelet</span>
  </a>
  {#if workroom.slug && route.pathname !== '/'}
    <Menu label="Another workroom: now {workroom.data?.name ?? ''}" {groups}>
      {#snippet trigger()}
        <span class="max-w-[40vw] truncate text-base">{workroom.data?.name ?? workroom.slug}</span>
      {/snippet}
    </Menu>
    <nav class="flex flex-wrap gap-x-4" aria-label="Pages">
      {#each pages as page (page.href)}
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
  {/if}
  {#if version.waits}
    <button class="btn ml-auto btn-sm" onclick={() => void mayChange()}>Take the new version</button>
  {/if}
  <a class={['max-w-36 truncate text-sm link', !version.waits && 'ml-auto']} href="/account">{account}</a>
  <a class="text-sm link" href="/about">About</a>
  <Help />
  <DisplayMenu />
</header>
