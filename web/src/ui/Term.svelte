<script module lang="ts">
  const load = () => import('./TermBody.svelte');
</script>

<script lang="ts">
  // A word of the craft: a tap says in one sentence what it means.
  import { workroom } from '../api/workroom.svelte';
  import { later } from './later.svelte';

  let { of, as }: { of: string; as?: string } = $props();

  let term = $derived(workroom.catalogue?.terms.find((other) => other.key === of));
  const body = later(load);
  let open = $state(false);

  async function first(): Promise<void> {
    if (await body.fetch()) open = true;
  }
</script>

<!-- Without a space behind the word. -->
<!-- prettier-ignore -->
{#if term && body.part}<body.part name={term.name} note={term.note} as={as ?? term.name} bind:open
/>{:else if term}<button
  type="button"
  class="cursor-help underline decoration-dotted underline-offset-2"
  aria-haspopup="dialog"
  aria-expanded="false"
  onclick={first}>{as ?? term.name}</button
>{:else}{as}{/if}
