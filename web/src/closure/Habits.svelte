<script lang="ts">
  // The questions of a section on which people were taught differently, but for those that its station asks elsewhere: a
  // new one is asked here by itself.
  import { workroom } from '../api/workroom.svelte';
  import Field from './Field.svelte';
  import Pick from './Pick.svelte';
  import type { ClosureWork } from './work.svelte';

  let {
    work,
    section,
    elsewhere = [],
    listed = false,
  }: { work: ClosureWork; section: string; elsewhere?: string[]; listed?: boolean } = $props();

  let fields = $derived(
    (workroom.catalogue?.fields ?? []).filter(
      ({ habit, path }) => habit && path.startsWith(`${section}.`) && !elsewhere.includes(path),
    ),
  );
</script>

{#each fields as { path, choices } (path)}
  {#if choices.length > 0}<Pick {work} {path} {listed} />{:else}<Field {work} {path} />{/if}
{/each}
