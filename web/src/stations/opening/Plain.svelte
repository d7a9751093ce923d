<script lang="ts">
  // Openings for what is no button: a cord, a ribbon, a belt, a hook.
  import { client, type PlainAsked, type PlainOpening } from '../../api/client';
  import { room } from '../../api/room.svelte';
  import Because from '../../ui/Because.svelte';
  import FormField from '../../ui/FormField.svelte';

  let { ruler }: { ruler: PlainAsked['ruler'] } = $props();

  let kind = $state<PlainAsked['kind']>('cord');
  let size = $state('');
  let arrangement = $state<NonNullable<PlainAsked['arrangement']>>('single');
  let span = $state('');
  let count = $state('');
  let found = $state<PlainOpening>();
  let faults = $state<Record<string, string>>({});
  let chosen = $derived(room.catalogue?.plain.find((item) => item.key === kind));
  let asked = 0;

  async function look(): Promise<void> {
    const turn = ++asked;
    if (!size.trim()) {
      found = undefined;
      faults = {};
      return;
    }
    try {
      const answer = await client.POST('/api/plain-openings', {
        body: { kind, size, ruler, arrangement, span, count },
      });
      if (turn !== asked) return;
      found = answer.data;
      faults = Object.fromEntries((answer.error?.faults ?? []).map((fault) => [fault.field, fault.allowed]));
    } catch {
      faults = { 'plain.size': 'The server does not answer; what you typed stays here.' };
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
    <FormField label={chosen?.note ?? 'Size'} bind:value={size} fault={faults['plain.size']} changed={look} />
    <FormField
      label="How they come"
      bind:value={arrangement}
      choices={room.catalogue?.arrangements ?? []}
      changed={look}
    />
    {#if arrangement !== 'single'}
      <FormField
        label="First to last"
        bind:value={span}
        fault={faults['plain.span']}
        hint="middle to middle"
        changed={look}
      />
    {/if}
    {#if arrangement === 'row'}
      <FormField label="How many" bind:value={count} fault={faults['plain.count']} changed={look} />
    {/if}
    {#if found}<p class="text-3xl font-semibold" data-plain>{found.opening.text}</p>{/if}
  </div>
  {#if found && found.places.length > 1}
    <p class="mt-2 max-w-prose" data-plain-row>
      {found.count} of them, {found.pitch?.text} from middle to middle; from the first: {found.places
        .map((place) => place.text)
        .join(', ')}.
    </p>
  {/if}
  {#if found}<div class="mt-2"><Because reasons={found.because} /></div>{/if}
</details>
