<script lang="ts">
  // Ten seconds for a hole that was sewn: fine, or what differs. What differs is learned from.
  type Props = {
    differs: (seen: { measured?: string; looks?: Record<string, string> }) => void;
    mishap: () => void;
  };
  let { differs, mishap }: Props = $props();

  const id = $props.id();
  const BEADS = [
    { key: '', name: 'as it should' },
    { key: 'bare', name: 'bare fabric shows' },
    { key: 'thin', name: 'a little thin' },
    { key: 'crowded', name: 'a little crowded' },
    { key: 'piled_up', name: 'piled up' },
  ];
  let open = $state(false);
  let measured = $state('');
  let away = $state('');
  let back = $state('');
  let said = $state('');
  let fault = $state('');

  function note(event: SubmitEvent): void {
    event.preventDefault();
    fault = '';
    if (measured && !/^\s*\d/.test(measured)) {
      fault = 'Write a length, such as 22.5 or 7/8 in.';
      return;
    }
    const looks = Object.fromEntries(
      Object.entries({ bead_away: away, bead_back: back }).filter(([, grade]) => grade),
    );
    if (!measured && Object.keys(looks).length === 0) return;
    differs({
      ...(measured ? { measured: measured.trim() } : {}),
      ...(Object.keys(looks).length ? { looks } : {}),
    });
    const wrong = Object.keys(looks).length > 0;
    said = wrong
      ? 'Noted. Look a second time, in daylight. Still wrong? Then put it right.'
      : 'Noted. It counts as a test hole does.';
    measured = away = back = '';
  }
</script>

{#if open}
  <form class="flex flex-wrap items-end gap-3 text-base" onsubmit={note}>
    <label class="flex flex-col" for="{id}-slit"
      >Its slit
      <input
        id="{id}-slit"
        data-measures
        inputmode="decimal"
        class={['input w-28 bg-base-100', fault && 'input-error']}
        aria-invalid={fault ? 'true' : undefined}
        bind:value={measured}
      />
    </label>
    <label class="flex flex-col"
      >Side sewn away
      <select class="select bg-base-100" bind:value={away}>
        {#each BEADS as bead (bead.key)}<option value={bead.key}>{bead.name}</option>{/each}
      </select>
    </label>
    <label class="flex flex-col"
      >Side sewn back
      <select class="select bg-base-100" bind:value={back}>
        {#each BEADS as bead (bead.key)}<option value={bead.key}>{bead.name}</option>{/each}
      </select>
    </label>
    <button class="btn">Note it</button>
    <button type="button" class="btn btn-ghost" onclick={mishap}>It has to be put right</button>
    {#if fault}<p role="alert" class="w-full font-semibold text-error">{fault}</p>{/if}
    {#if said}<p role="status" class="w-full">{said}</p>{/if}
  </form>
{:else}
  <button class="btn" onclick={() => (open = true)}>It differs</button>
{/if}
