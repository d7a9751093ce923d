<script lang="ts">
  // What says what a word means: fetched when somebody first asks.
  import { Popover } from 'bits-ui';

  type Props = { name: string; note: string; as: string; open: boolean };
  let { name, note, as, open = $bindable() }: Props = $props();
</script>

<!-- Without a space behind the word. -->
<!-- prettier-ignore -->
<Popover.Root bind:open
  ><Popover.Trigger class="cursor-help underline decoration-dotted underline-offset-2"
    >{as}</Popover.Trigger
  ><Popover.Portal>
    <Popover.Content
      sideOffset={4}
      class="z-30 max-w-72 rounded border border-base-300 bg-base-100 px-3 py-2 text-base text-base-content shadow-lg outline-none"
      aria-label={name}
      ><strong>{name}</strong>: {note}</Popover.Content
    >
  </Popover.Portal></Popover.Root
>
