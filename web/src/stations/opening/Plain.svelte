<script lang="ts">
  // Openings for what is no button: a cord, a ribbon, a belt, a hook.
  import { client, type PlainAsked, type PlainOpening } from '../../api/client';
  import { room } from '../../api/room.svelte';
  import Because from '../../ui/Because.svelte';

  let { ruler }: { ruler: PlainAsked['ruler'] } = $props();

  const id = $props.id();
  let kind = $state<PlainAsked['kind']>('cord');
  let size = $state('');
  let found = $state<PlainOpening>();
  let fault = $state('');
  let chosen = $derived(room.catalogue?.plain.find((item) => item.key === kind));
  let asked = 0;

  async function look(): Promise<void> {
    const turn = ++asked;
    if (!size.trim()) {
      found = undefined;
      fault = '';
      return;
    }
    try {
      const answer = await client.POST('/api/plain-openings', { body: { kind, size, ruler } });
      if (turn !== asked) return;
      found = answer.data;
      fault = answer.error?.faults?.[0]?.allowed ?? answer.error?.detail ?? '';
    } catch {
      fault = 'The server does not answer; what you typed stays here.';
    }
  }
</script>

<details class="mt-5">
  <summary class="cursor-pointer underline decoration-dotted">An opening that is not for a button</summary>
  <div class="mt-2 flex flex-wrap items-start gap-4">
    <label class="flex flex-col text-sm text-secondary"
      >For a
      <select class="select bg-base-100 text-base text-base-content" bind:value={kind} onchange={look}>
        {#each room.catalogue?.plain ?? [] as item (item.key)}<option value={item.key}>{item.name}</option
          >{/each}
      </select>
    </label>
    <div class="flex w-36 flex-col">
      <label for={id} class="text-sm text-secondary">{chosen?.note ?? 'Size'}</label>
      <input
        {id}
        class={['input bg-base-100 px-2 text-lg', fault && 'input-error']}
        aria-invalid={fault ? 'true' : undefined}
        bind:value={size}
        oninput={look}
      />
      {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
    </div>
    {#if found}<p class="text-3xl font-semibold" data-plain>{found.opening.text}</p>{/if}
  </div>
  {#if found}<div class="mt-2"><Because reasons={found.because} /></div>{/if}
</details>
