<script lang="ts">
  // One thing the first answer rests on; tapped, it is changed where it stands.
  import { tick } from 'svelte';
  import type { FirstAnswer } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';

  type Props = {
    chip: FirstAnswer['chips'][number];
    choose: (path: string, value: string) => void;
  };
  let { chip, choose }: Props = $props();

  let open = $state(false);
  let control = $state<HTMLInputElement | HTMLSelectElement>();
  let choices = $derived(workroom.field(chip.path)?.choices ?? []);
  let guessed = $derived(chip.path === 'button.thickness' && ['usual', 'last'].includes(chip.origin));

  async function edit(): Promise<void> {
    open = true;
    await tick();
    control?.focus();
  }
  function done(value: string): void {
    open = false;
    if (value.trim()) choose(chip.path, value.trim());
  }
</script>

{#if open}
  <label class="flex items-center gap-2 text-sm"
    >{chip.label}
    {#if choices.length > 0}
      <select
        bind:this={control}
        class="select w-40 bg-base-100 text-base"
        onchange={(event) => done(event.currentTarget.value)}
        onblur={() => (open = false)}
      >
        <option value="">{chip.text}</option>
        {#each choices as choice (choice.key)}<option value={choice.key}>{choice.name}</option>{/each}
      </select>
    {:else}
      <input
        bind:this={control}
        class="input w-28 bg-base-100 text-base"
        value={chip.text}
        onkeydown={(event) => {
          if (event.key === 'Escape') open = false;
          if (event.key !== 'Enter') return;
          event.preventDefault();
          done(event.currentTarget.value);
        }}
        onblur={(event) => done(event.currentTarget.value === chip.text ? '' : event.currentTarget.value)}
      />
    {/if}
  </label>
{:else}
  <button
    type="button"
    class={[
      'min-h-11 cursor-pointer rounded-full border px-3 text-sm',
      guessed
        ? 'border-warning font-semibold text-warning'
        : chip.origin === 'said' || chip.origin === 'chosen'
          ? 'border-primary'
          : 'border-base-300',
    ]}
    data-chip={chip.path}
    data-origin={chip.origin}
    onclick={() => void edit()}
  >
    {#if guessed}{chip.text} thick? Measure it{:else}<span class="text-secondary">{chip.label}</span>
      {chip.text}{/if}
  </button>
{/if}
