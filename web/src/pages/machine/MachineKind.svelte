<script lang="ts">
  // How it makes a buttonhole: each kind with the order it sews in.
  import type { Catalogue } from '../../api/client';
  import type { Profile } from './profile.svelte';
  import OrderPicture from './OrderPicture.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  const changed = () => profile.changed();

  const sews = (key: string) => catalogue.sews.find((kind) => kind.key === key);

  /** What this kind mostly does and the foot it comes with are filled in; whoever owns it corrects them. */
  function begin(kind: string): void {
    const { stops, reset, forgets } = sews(kind)?.usual ?? ({} as Record<string, string>);
    const came = (foot = '') => JSON.stringify([{ ...catalogue.begun.foot, kind: foot }]);
    if (!profile.id && JSON.stringify(profile.typed.feet) === came(sews(facts.kind)?.foot)) {
      profile.typed.feet = JSON.parse(came(sews(kind)?.foot)) as typeof profile.typed.feet;
    }
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
  <div class="mt-3 grid gap-3 sm:grid-cols-2">
    {#each catalogue.machine_kinds as kind (kind.key)}
      <label
        class={[
          'flex cursor-pointer items-center gap-3 rounded border-2 px-3 py-2',
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
        <OrderPicture parts={sews(kind.key)?.parts ?? []} side={facts.first_side} />
        <span
          ><span class={['text-lg', kind.key === facts.kind && 'font-semibold']}>{kind.name}</span><br /><span
            class="text-sm text-secondary">{kind.note}</span
          ></span
        >
      </label>
    {/each}
  </div>
  <p class="mt-2 text-secondary">The figures say in which order it sews the parts of a hole.</p>
  {#if fault('kind')}<p role="alert" class="text-sm font-semibold text-error">{fault('kind')}</p>{/if}
</fieldset>
