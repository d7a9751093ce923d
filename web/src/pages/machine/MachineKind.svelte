<script lang="ts">
  // How it makes a buttonhole: each kind with the order it sews in.
  import type { Catalogue } from '../../api/client';
  import type { Profile } from './profile.svelte';
  import OrderPicture from './OrderPicture.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  const changed = () => profile.changed();

  /** What this kind mostly does is filled in; whoever owns it corrects it. */
  function begin(kind: string): void {
    const { stops, reset, forgets } =
      catalogue.sews.find((order) => order.key === kind)?.usual ?? ({} as Record<string, string>);
    Object.assign(facts, {
      kind,
      stops: stops ?? facts.stops,
      reset: reset ?? facts.reset,
      forgets: forgets ?? facts.forgets,
    });
    changed();
  }
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
          value={kind.key}
          checked={kind.key === facts.kind}
          onchange={() => {
            begin(kind.key);
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
  <p class="mt-1 text-sm text-secondary">
    What that kind mostly does is filled in below: sew one hole on a scrap and correct it. The machine's own
    manual wins over any default here.
  </p>
  {#if fault('kind')}<p role="alert" class="text-sm font-semibold text-error">{fault('kind')}</p>{/if}
</fieldset>
