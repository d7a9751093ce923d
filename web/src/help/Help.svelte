<script module lang="ts">
  const load = () => import('./HelpBody.svelte');
</script>

<script lang="ts">
  // Help for the screen one is on, by `?` or its button; `/` goes to the line that says what needs buttonholes.
  import { workroom } from '../api/workroom.svelte';
  import { go, route } from '../router';
  import { shortcuts } from '../table/shortcuts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { line } from './line.svelte';
  import { later } from '../ui/later.svelte';

  let { stage = '' }: { stage?: string } = $props();

  const body = later(load);
  let open = $state(false);

  async function show(): Promise<void> {
    if (await body.fetch()) open = true;
  }

  async function toTheLine(): Promise<void> {
    line.wanted = true;
    if (route.pathname !== workroom.at()) await go(workroom.at());
  }

  function key(event: KeyboardEvent): void {
    if (!shortcuts.single(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key !== '?' && (event.key !== '/' || !workroom.slug)) return;
    event.preventDefault();
    void (event.key === '?' ? show() : toTheLine());
  }
</script>

<svelte:window onkeydown={key} />

<button class="btn btn-ghost btn-sm" onclick={() => void show()}>Help <kbd class="kbd kbd-xs">?</kbd></button>
<Dialog bind:open title="Help">
  {#if body.part}<body.part {stage} close={() => (open = false)} />{/if}
</Dialog>
