<script lang="ts">
  // What the server did not take stays here until somebody sends it again or says that it did not happen.
  import { waits, type Press } from './press';
  import { corrects } from './correcting.svelte';
  import type { Outbox } from './outbox.svelte';

  type Props = {
    outbox: Outbox;
    /** Takes it back into the form it was said in. */ correct?: (press: Press) => void;
  };
  let { outbox, correct }: Props = $props();

  /** What it says, without the stop at its end. */
  const named = (press: Press): string => (press.says || 'Taken back').replace(/\.$/, '');
  let failing = $derived(outbox.presses.filter((press) => waits(press) && outbox.failing.includes(press.n)));
</script>

{#each [...outbox.refused, ...failing] as press (press.id)}
  <div
    role="alert"
    class="mb-3 flex w-full flex-wrap items-center gap-x-3 border-l-4 border-warning bg-base-200 px-3 py-2 text-base"
    data-refused
  >
    <span class="min-w-60 grow"
      >Not saved: “{named(press)}”. {press.refused ?? 'Saving it failed. The next try is in a minute.'}</span
    >
    <button class="btn min-h-11" onclick={() => outbox.sendAgain(press)}>Send it again</button>
    {#if correct && corrects(press)}
      <button class="btn min-h-11" onclick={() => correct(press)}>Correct it</button>
    {/if}
    <button class="btn min-h-11 btn-ghost" onclick={() => outbox.drop(press)}>It did not happen</button>
  </div>
{/each}
