<script lang="ts">
  // The jaws and keys of the stand-in, and why a reading did not come.
  import { caliper } from './caliper.svelte';

  void caliper.look();
  let jaws = $derived(caliper.state?.jaws?.text ?? '');
</script>

{#if caliper.note}<p role="alert" class="mt-1 text-sm font-semibold text-error">{caliper.note}</p>{/if}
{#if caliper.state?.stand_in}
  <details class="mt-2" data-caliper>
    <summary class="cursor-pointer text-sm underline decoration-dotted"
      >Practice caliper: open its jaws</summary
    >
    <div class="mt-1 flex flex-wrap items-end gap-2">
      <label class="flex w-28 flex-col text-sm text-secondary"
        >Between the jaws
        <input
          class="input bg-base-100 text-base text-base-content"
          value={jaws}
          onchange={(event) => caliper.move({ jaws: event.currentTarget.value })}
        />
      </label>
      <button class="btn" onclick={() => caliper.move({ key: 'unit' })}>mm / in</button>
      <button class="btn" aria-pressed={caliper.state.zeroed} onclick={() => caliper.move({ key: 'zero' })}
        >Zero</button
      >
    </div>
    <p class="mt-1 text-sm text-secondary">
      It reads in {caliper.state.unit === 'in' ? 'inches' : 'millimetres'}{caliper.state.zeroed
        ? ', less the place where it was zeroed'
        : ''}, and its hand trembles a little. Alt C reads it into the field you are in.
    </p>
  </details>
{/if}
