<script lang="ts">
  // An input that shows what is saved, but leaves alone what somebody is in the middle of typing.
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { dialect } from './dialect.svelte';

  let {
    value,
    type,
    done,
    forget,
    ...rest
  }: {
    value: string;
    type: (text: string) => void;
    done: () => void;
    forget?: () => void;
  } & Omit<HTMLInputAttributes, 'value' | 'type'> = $props();

  let draft = $state<string>();

  function key(event: KeyboardEvent): void {
    if (event.key === 'Enter') done();
    if (event.key === 'Escape' && forget) {
      forget();
      draft = undefined;
    }
  }
</script>

<input
  type="text"
  autocomplete="off"
  spellcheck="false"
  {...rest}
  value={draft ?? dialect.figure(value)}
  oninput={(event) => {
    draft = event.currentTarget.value;
    type(draft);
  }}
  onblur={() => {
    draft = undefined;
    done();
  }}
  onkeydown={key}
/>
