<script lang="ts">
  // Reads the caliper into the field somebody is in. The stand-in also shows its jaws and keys.
  import { Ruler } from '@lucide/svelte';
  import { tinykeys } from 'tinykeys';
  import { client, type Caliper } from '../api/client';

  let caliper = $state.raw<Caliper>();
  let note = $state('');
  let jaws = $state('');
  let last: HTMLInputElement | undefined;

  async function look(): Promise<void> {
    try {
      const answer = await client.GET('/api/caliper');
      if (answer.data) show(answer.data);
    } catch {
      // Asked again with the next reading.
    }
  }
  void look();

  function show(state: Caliper): void {
    caliper = state;
    jaws = state.jaws?.text ?? '';
  }

  /** A field that lengths are typed into: the one with the focus, else the one that had it last. */
  function field(): HTMLInputElement | undefined {
    const active = document.activeElement;
    if (active instanceof HTMLInputElement && active.type === 'text' && !active.closest('[data-caliper]'))
      last = active;
    return last?.isConnected ? last : undefined;
  }

  async function read(): Promise<void> {
    const target = field();
    if (!target) {
      note = 'Click into a field first: the reading goes there.';
      return;
    }
    try {
      const answer = await client.POST('/api/caliper/reading');
      note = answer.data ? '' : (answer.error?.detail ?? '');
      if (!answer.data) return;
      target.focus();
      target.value = answer.data.text;
      target.dispatchEvent(new Event('input', { bubbles: true }));
    } catch {
      note = 'The server does not answer.';
    }
  }

  async function move(body: { jaws?: string; key?: 'unit' | 'zero' }): Promise<void> {
    const answer = await client.PUT('/api/caliper', { body });
    if (answer.data) show(answer.data);
    note = answer.error?.faults?.[0]?.allowed ?? answer.error?.detail ?? '';
  }

  $effect(() =>
    tinykeys(window, {
      'Alt+KeyC': (event) => {
        event.preventDefault();
        void read();
      },
    }),
  );
</script>

<svelte:document
  onfocusin={(event) => {
    const target = event.target;
    if (target instanceof HTMLInputElement && target.type === 'text' && !target.closest('[data-caliper]'))
      last = target;
  }}
/>

{#if caliper?.there}
  <section class="mt-5" aria-label="Caliper" data-caliper>
    <h2 class="text-base font-semibold">Caliper</h2>
    <button
      class="btn mt-1 w-full bg-base-100 btn-sm"
      title="Alt C"
      onmousedown={(event) => event.preventDefault()}
      onclick={read}
    >
      <Ruler size={16} aria-hidden="true" /> Read caliper
    </button>
    {#if note}<p role="alert" class="mt-1 text-sm font-semibold text-error">{note}</p>{/if}
    {#if caliper.stand_in}
      <details class="mt-1">
        <summary class="cursor-pointer text-sm underline decoration-dotted"
          >It is a stand-in: open its jaws</summary
        >
        <div class="mt-1 flex flex-wrap items-end gap-2">
          <label class="flex w-24 flex-col text-sm text-secondary"
            >Between the jaws
            <input
              class="input input-sm bg-base-100 text-base text-base-content"
              bind:value={jaws}
              onchange={() => move({ jaws })}
            />
          </label>
          <button class="btn bg-base-100 btn-sm" onclick={() => move({ key: 'unit' })}>mm / in</button>
          <button
            class="btn bg-base-100 btn-sm"
            aria-pressed={caliper.zeroed}
            onclick={() => move({ key: 'zero' })}>Zero</button
          >
        </div>
        <p class="mt-1 text-sm text-secondary">
          It reads in {caliper.unit === 'in' ? 'inches' : 'millimetres'}{caliper.zeroed
            ? ', less the place where it was zeroed'
            : ''}, and its hand trembles a little.
        </p>
      </details>
    {/if}
  </section>
{/if}
