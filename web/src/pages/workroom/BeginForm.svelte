<script lang="ts">
  // A new closure: what goes through, on what, with what was used last filled in; or like another, or its
  // mirror image. What is half typed stays in the browser.
  import { untrack } from 'svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal } from '../../api/ask';
  import { keep, recall } from '../../api/browser_store';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { go } from '../../router';
  import Fold from '../../ui/Fold.svelte';
  import FormField from '../../ui/FormField.svelte';
  import { Beginning, BLANK } from './beginning';

  const FIRST = ['use', 'place', 'cloth'];
  let key = $derived(`begin:${workroom.slug}`);
  let typed = $state(untrack(() => ({ ...BLANK, ...recall<typeof BLANK>(key) })));
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let garments = $derived(workroom.data?.garments ?? []);
  const shelf = createQuery(() => ({
    queryKey: ['picks', workroom.slug, 'cloth'],
    queryFn: () =>
      read(
        client.GET('/api/workrooms/{slug}/picks/{section}', {
          params: { path: { slug: workroom.slug, section: 'cloth' } },
        }),
      ),
    enabled: workroom.slug !== '',
  }));
  let choice = $derived(new Beginning(typed, shelf.data?.items ?? []));

  $effect(() => {
    const now = $state.snapshot(typed);
    keep(key, now.garment || now.name ? now : undefined);
  });

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { garment, name, like, mirror } = $state.snapshot(typed);
    const body = { garment, name, ...(like ? { like: Number(like), mirror } : { plan: choice.plan() }) };
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures', { params, body }));
    ({ faults, failed } = refusal(answer));
    failed ||= Object.entries(faults).find(([field]) => !field.startsWith('closure.'))?.[1] ?? '';
    if (answer.kind !== 'data') return;
    begun.say('closure', answer.data.id, answer.data.left_behind);
    typed = { ...BLANK };
    keep(key, undefined);
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/cloth`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }
</script>

{#snippet questions(asked: typeof choice.asked)}
  {#each asked as field (field.name)}
    <FormField
      label={field.label}
      path="begin.{field.name}"
      bind:value={() => field.value, (key) => (typed[field.name] = key ?? '')}
      choices={field.choices}
      hint={field.hint ?? ''}
    />
  {/each}
{/snippet}

<form onsubmit={begin}>
  <h2 class="text-xl font-semibold">New buttonholes</h2>
  {#each [{ key: 'garment', label: 'Garment', field: 'closure.garment', hint: '' }, { key: 'name', label: 'Buttonholes for', field: 'closure.name', hint: 'front' }] as const as item (item.key)}
    {@const fault = faults[item.field]}
    <label class="mt-3 flex flex-col text-sm text-secondary"
      >{item.label}
      <input
        class={['input w-full bg-base-100 text-lg text-base-content', fault && 'input-error']}
        list={item.key === 'garment' ? 'garments' : undefined}
        placeholder={item.hint}
        bind:value={typed[item.key]}
        aria-invalid={fault ? 'true' : undefined}
      />
      {#if fault}<span role="alert" class="font-semibold text-error">{fault}</span>{/if}
    </label>
  {/each}
  <datalist id="garments">
    {#each garments as item (item.id)}<option value={item.name}></option>{/each}
  </datalist>
  <div class="mt-3 space-y-3">
    <FormField
      label="Start from"
      path="begin.like"
      bind:value={typed.like}
      choices={[
        { key: '', name: 'the choices below' },
        ...garments.flatMap((item) =>
          item.closures.map((closure) => ({
            key: String(closure.id),
            name: `like ${item.name}: ${closure.name}`,
          })),
        ),
      ]}
    />
    {#if typed.like}
      <label class="flex cursor-pointer gap-2"
        ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={typed.mirror} />mirrored, for the
        other side</label
      >
    {:else}
      {@const first = choice.asked.filter((field) => FIRST.includes(field.name))}
      {@render questions(first)}
      <Fold name="begin-more" title="More choices">
        <div class="space-y-3">
          {@render questions(choice.asked.filter((field) => !FIRST.includes(field.name)))}
        </div>
      </Fold>
    {/if}
  </div>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <button class="btn mt-4 btn-primary">Make these buttonholes</button>
</form>
