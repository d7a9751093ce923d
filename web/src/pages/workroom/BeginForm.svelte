<script lang="ts">
  // A new closure: blank, like another, or the mirror image of one. What is half typed stays in the
  // browser.
  import { untrack } from 'svelte';
  import { ask, refusal } from '../../api/ask';
  import { keep, recall } from '../../api/browser_store';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';

  const BLANK = { garment: '', name: '', like: '', mirror: false };
  let key = $derived(`begin:${workroom.slug}`);
  let typed = $state(untrack(() => ({ ...BLANK, ...recall<typeof BLANK>(key) })));
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let garments = $derived(workroom.data?.garments ?? []);

  $effect(() => {
    const now = $state.snapshot(typed);
    keep(key, now.garment || now.name ? now : undefined);
  });

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { garment, name, like, mirror } = $state.snapshot(typed);
    const body = { garment, name, ...(like ? { like: Number(like), mirror } : {}) };
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(client.POST('/api/workrooms/{slug}/closures', { params, body }));
    ({ faults, failed } = refusal(answer));
    if (faults['machine.id']) failed = faults['machine.id'];
    if (answer.kind !== 'data') return;
    typed = { ...BLANK };
    keep(key, undefined);
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/button`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }
</script>

<form onsubmit={begin}>
  <h2 class="text-xl font-semibold">Begin a closure</h2>
  {#each [{ key: 'garment', label: 'Garment', field: 'closure.garment', hint: '' }, { key: 'name', label: 'Closure', field: 'closure.name', hint: 'front placket' }] as const as item (item.key)}
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
  <label class="mt-3 flex flex-col text-sm text-secondary"
    >Start from
    <select class="select w-full bg-base-100 text-base text-base-content" bind:value={typed.like}>
      <option value="">a plain shirt button in light cloth</option>
      {#each garments as item (item.id)}
        {#each item.closures as closure (closure.id)}<option value={String(closure.id)}
            >like {item.name}: {closure.name}</option
          >{/each}
      {/each}
    </select>
  </label>
  {#if typed.like}
    <label class="mt-2 flex cursor-pointer gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={typed.mirror} />its mirror image, for
      the other side</label
    >
  {/if}
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <button class="btn mt-4 btn-primary">Begin</button>
</form>
