<script lang="ts">
  // How it makes a buttonhole: each kind with the order it sews in.
  import type { Catalogue } from '../../api/client';
  import type { Profile } from './profile.svelte';
  import OrderPicture from './OrderPicture.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  const changed = () => profile.changed();
  const fault = (name: string) => profile.faults[`machine.${name}`] ?? '';
</script>

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">How does it make a buttonhole?</legend>
  <div class="mt-2 grid gap-2 sm:grid-cols-2">
    {#each catalogue.machine_kinds as kind (kind.key)}
      <label
        class={[
          'flex cursor-pointer items-center gap-3 border-l-4 py-1 pl-3',
          kind.key === facts.kind ? 'border-primary' : 'border-base-300',
        ]}
      >
        <input
          type="radio"
          class="radio radio-sm"
          name="kind"
          checked={kind.key === facts.kind}
          onchange={() => {
            facts.kind = kind.key;
            changed();
          }}
        />
        <OrderPicture
          parts={catalogue.sews.find((order) => order.key === kind.key)?.parts ?? []}
          side={facts.first_side}
        />
        <span
          ><span class={kind.key === facts.kind ? 'font-semibold' : ''}>{kind.name}</span><br /><span
            class="text-sm text-secondary">{kind.note}</span
          ></span
        >
      </label>
    {/each}
  </div>
  {#if fault('kind')}<p role="alert" class="text-sm font-semibold text-error">{fault('kind')}</p>{/if}
</fieldset>
