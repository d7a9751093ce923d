<script lang="ts">
  // More of a screen, folded away until somebody opens it; it stays as it was left.
  import type { Snippet } from 'svelte';
  import { foldOpen, rememberFold } from './everything.svelte';

  let { name, title, children }: { name: string; title: string; children: Snippet } = $props();

  let open = $derived(foldOpen(name));
</script>

<details
  class="max-w-full min-w-0 open:basis-full"
  {open}
  data-fold={name}
  ontoggle={(event) => {
    open = event.currentTarget.open;
    rememberFold(name, open);
  }}
>
  <summary class="min-h-11 cursor-pointer py-2.5 text-secondary">{title}</summary>
  <div class="pb-2">{@render children()}</div>
</details>
