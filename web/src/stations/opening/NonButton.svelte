<script lang="ts">
  // Openings for what is no button: a cord, a ribbon, a belt, a hook.
  import { ask, refusal } from '../../api/ask';
  import { client, type NonButtonAsked, type NonButtonOpening } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Because from '../../ui/Because.svelte';
  import FormField from '../../ui/FormField.svelte';

  let { ruler }: { ruler: NonButtonAsked['ruler'] } = $props();

  let kind = $state<NonButtonAsked['kind']>('cord');
  let size = $state('');
  let arrangement = $state<NonNullable<NonButtonAsked['arrangement']>>('single');
  let span = $state('');
  let count = $state('');
  let found = $state<NonButtonOpening>();
  let faults = $state<Record<string, string>>({});
  let chosen = $derived(workroom.catalogue?.non_buttons.find((item) => item.key === kind));
  let asked = 0;

  async function look(): Promise<void> {
    const turn = ++asked;
    if (!size.trim()) {
      found = undefined;
      faults = {};
      return;
    }
    const params = { path: { slug: workroom.slug } };
    const body = { kind, size, ruler, arrangement, span, count };
    const answer = await ask(client.POST('/api/workrooms/{slug}/plain-openings', { params, body }));
    if (turn !== asked) return;
    found = answer.kind === 'data' ? answer.data : undefined;
    const said = refusal(answer);
    faults = said.failed ? { 'plain.size': said.failed } : said.faults;
  }
</script>

<details class="mt-5">
  <summary class="cursor-pointer underline decoration-dotted">An opening that is not for a button</summary>
  <div class="mt-2 flex flex-wrap items-start gap-4">
    <label class="flex flex-col text-sm text-secondary"
      >For a
      <select class="select bg-base-100 text-base text-base-content" bind:value={kind} onchange={look}>
        {#each workroom.catalogue?.non_buttons ?? [] as item (item.key)}<option value={item.key}
            >{item.name}</option
          >{/each}
      </select>
    </label>
    <FormField
      label={chosen?.note ?? 'Size'}
      bind:value={size}
      fault={faults['plain.size'] ?? ''}
      changed={look}
    />
    <FormField
      label="How they come"
      bind:value={arrangement}
      choices={workroom.catalogue?.arrangements ?? []}
      changed={look}
    />
    {#if arrangement !== 'single'}
      <FormField
        label="First to last"
        bind:value={span}
        fault={faults['plain.span'] ?? ''}
        hint="middle to middle"
        changed={look}
      />
    {/if}
    {#if arrangement === 'row'}
      <FormField label="How many" bind:value={count} fault={faults['plain.count'] ?? ''} changed={look} />
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
