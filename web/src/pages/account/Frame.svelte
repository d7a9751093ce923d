<script lang="ts">
  // The frame of a page for whoever has not come in yet: one question, and nothing else.
  import { onMount, type Snippet } from 'svelte';
  import Mark from '../../ui/Mark.svelte';

  let { title, failed = '', children }: { title: string; failed?: string; children: Snippet } = $props();
  let main = $state<HTMLElement>();
  $effect(() => {
    document.title = `${title}: Nimble Eyelet`;
  });
  onMount(() => main?.focus({ preventScroll: true }));
</script>

<div class="min-h-screen bg-base-100 px-4 py-10 text-base-content">
  <p class="mx-auto flex max-w-md items-center gap-2 font-serif text-lg font-semibold">
    <Mark /> Nimble Eyelet
  </p>
  <main id="main" bind:this={main} tabindex="-1" class="mx-auto mt-6 max-w-md outline-none">
    <h1 class="text-4xl font-semibold">{title}</h1>
    {#if failed}<p role="alert" class="mt-3 border-l-4 border-warning pl-3">{failed}</p>{/if}
    {@render children()}
  </main>
</div>
