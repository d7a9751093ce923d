<script lang="ts">
  // What the workroom is called; its address stays when that changes.
  import { tick } from 'svelte';
  import { refusal } from '../../api/ask';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';

  let typing = $state<string>();
  let fault = $state('');
  let input = $state<HTMLInputElement>();
  let opener = $state<HTMLButtonElement>();

  async function open(): Promise<void> {
    typing = workroom.data?.name ?? '';
    await tick();
    input?.select();
  }

  async function close(): Promise<void> {
    typing = undefined;
    fault = '';
    await tick();
    opener?.focus();
  }

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const answer = await workroom.change({ name: typing ?? '' });
    const { faults, failed } = refusal(answer);
    fault = faults['workroom.name'] ?? failed;
    if (answer.kind !== 'data') return;
    await queries.invalidateQueries({ queryKey: ['workrooms'] });
    await close();
  }
</script>

{#if typing === undefined}
  <div class="flex flex-wrap items-end gap-x-4">
    <h1 class="text-4xl font-semibold wrap-anywhere">{workroom.data?.name ?? 'The workroom'}</h1>
    <button bind:this={opener} class="btn btn-ghost btn-sm" disabled={!workroom.data} onclick={open}
      >Rename</button
    >
  </div>
{:else}
  <form class="flex flex-wrap items-end gap-2" onsubmit={save}>
    <label class="flex grow flex-col text-sm text-secondary"
      >Name of the workroom
      <input
        bind:this={input}
        class={['input w-full bg-base-100 text-2xl text-base-content', fault && 'input-error']}
        aria-invalid={fault ? 'true' : undefined}
        bind:value={typing}
        onkeydown={(event) => event.key === 'Escape' && close()}
      />
    </label>
    <button class="btn btn-primary">Save</button>
    <button type="button" class="btn" onclick={close}>Cancel</button>
  </form>
  {#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
{/if}
{#if workroom.data?.sample}
  <p class="mt-1 text-secondary">An example to try things on. Nothing here reaches your own workroom.</p>
{/if}
