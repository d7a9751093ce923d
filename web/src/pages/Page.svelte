<script lang="ts">
  // The frame of a page: its bar, its title, and what is the matter when nothing can be shown.
  import { onMount, type Snippet } from 'svelte';
  import { workroom } from '../api/workroom.svelte';
  import StillSet from '../session/StillSet.svelte';
  import { route } from '../router';
  import LookingOn from '../ui/LookingOn.svelte';
  import PageBar from './PageBar.svelte';

  let {
    title,
    wide = false,
    failed = '',
    missing = '',
    children,
  }: { title: string; wide?: boolean; failed?: string; missing?: string; children: Snippet } = $props();

  let main = $state<HTMLElement>();
  $effect(() => {
    document.title = `${title}: Nimble Eyelet`;
  });
  // A page that was gone to is read from its beginning.
  onMount(() => main?.focus({ preventScroll: true }));
</script>

<div class="min-h-screen bg-base-100 text-base-content">
  <PageBar />
  <main
    id="main"
    bind:this={main}
    tabindex="-1"
    class={['mx-auto px-4 py-5 outline-none', wide ? 'max-w-7xl' : 'max-w-4xl']}
  >
    {#if (route.params as { slug?: string }).slug}<LookingOn
        device="This device sews and tests. Plan where you signed in."
      />{/if}
    {#if failed}<p role="alert" class="mb-3 border-l-4 border-warning pl-3">{failed}</p>{/if}
    {#if missing}
      <h1 class="text-2xl font-semibold">{missing}</h1>
      <p class="mt-2">
        <a class="link" href={workroom.at()}>Back to the workroom</a>, or look in the
        <a class="link" href={workroom.at('/deleted')}>deleted things</a>.
      </p>
    {:else}
      {@render children()}
    {/if}
  </main>
  <!-- It comes late: at the foot of the page it moves nothing. -->
  <div class="sticky bottom-0 z-10"><StillSet /></div>
</div>
