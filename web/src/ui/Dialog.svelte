<script module lang="ts">
  const load = () => import('./DialogBody.svelte');
</script>

<script lang="ts">
  // A dialog in our own look: the focus goes in, stays in, and comes back to where it was.
  import type { Snippet } from 'svelte';
  import { later } from './later.svelte';

  type Props = { open: boolean; title: string; children: Snippet; actions?: Snippet };
  let { open = $bindable(), title, children, actions }: Props = $props();

  const body = later(load);
  $effect(() => {
    if (open && !body.part) void body.fetch().then((there) => (open = there));
  });
</script>

{#if body.part}
  <body.part bind:open {title} {children} {actions} />
{/if}
