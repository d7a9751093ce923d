<script lang="ts">
  import { QueryClientProvider } from '@tanstack/svelte-query';
  import { Router } from 'sv-router';
  import { route } from './router';
  import { queries } from './api/queries';
  import { workroom } from './api/workroom.svelte';
  import TourCard from './help/TourCard.svelte';
  import DryBanner from './session/DryBanner.svelte';
  import { drying } from './session/drying.svelte';
  import SignInBar from './pages/SignInBar.svelte';
  import Announcer from './ui/Announcer.svelte';
  import { mayChange } from './version.svelte';

  let slug = $derived((route.params as { slug?: string }).slug ?? '');
  $effect(() => {
    if (slug) workroom.enter(slug);
  });
  drying.start();
  let shown = route.pathname;
  $effect(() => {
    if (route.pathname === shown) return;
    shown = route.pathname;
    void mayChange();
  });
</script>

<a href="#main" class="skip-link">To the page</a>
<QueryClientProvider client={queries}>
  <Router />
</QueryClientProvider>
<DryBanner />
<TourCard />
<SignInBar />
<Announcer />
