<script lang="ts">
  // A word of the craft: a tap says in one sentence what it means.
  import { Popover } from 'bits-ui';
  import { workroom } from '../api/workroom.svelte';

  let { of, as }: { of: string; as?: string } = $props();

  let term = $derived(workroom.catalogue?.terms.find((other) => other.key === of));
</script>

<!-- Without a space behind the word. -->
<!-- prettier-ignore -->
{#if term}<Popover.Root
  ><Popover.Trigger class="cursor-help underline decoration-dotted underline-offset-2"
    >{as ?? term.name}</Popover.Trigger
  ><Popover.Portal>
    <Popover.Content
      sideOffset={4}
      class="z-30 max-w-72 rounded border border-base-300 bg-base-100 px-3 py-2 text-base text-base-content shadow-lg outline-none"
      aria-label={term.name}
      ><strong>{term.name}</strong>: {term.note}</Popover.Content
    >
  </Popover.Portal></Popover.Root
>{:else}{as}{/if}
