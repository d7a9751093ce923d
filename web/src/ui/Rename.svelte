<script lang="ts">
  // The heading of a page, and the way to call what it shows otherwise.
  import { tick } from 'svelte';

  type Props = {
    name: string;
    /** What the field is called. */ label: string;
    disabled?: boolean;
    /** Saves the name; answers with what is wrong, or nothing. */ save: (name: string) => Promise<string>;
  };
  let { name, label, disabled = false, save }: Props = $props();

  let typing = $state<string>();
  let fault = $state('');
  let input = $state<HTMLInputElement>();
  let opener = $state<HTMLButtonElement>();

  async function open(): Promise<void> {
    typing = name;
    await tick();
    input?.select();
  }

  async function close(): Promise<void> {
    typing = undefined;
    fault = '';
    await tick();
    opener?.focus();
  }

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    fault = await save(typing ?? '');
    if (!fault) await close();
  }
</script>

{#if typing === undefined}
  <div class="flex flex-wrap items-end gap-x-4">
    <h1 class="text-4xl font-semibold wrap-anywhere">{name}</h1>
    <button bind:this={opener} class="btn btn-ghost btn-sm" {disabled} onclick={open}>Rename</button>
  </div>
{:else}
  <form class="flex flex-wrap items-end gap-2" onsubmit={submit}>
    <label class="flex grow flex-col text-sm text-secondary"
      >{label}
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
