<script lang="ts">
  import { QueryClientProvider } from '@tanstack/svelte-query';
  import { Router } from 'sv-router';
  import { route } from './router';
  import { queries } from './api/queries';
  import { workroom } from './api/workroom.svelte';
  import Announcer from './ui/Announcer.svelte';

  let slug = $derived((route.params as { slug?: string }).slug ?? '');
  $effect(() => {
    if (slug) workroom.enter(slug);
  });
</script>

<a href="#main" class="skip-link">To the page</a>
<QueryClientProvider client={queries}>
  <Router />
</QueryClientProvider>
<Announcer />
