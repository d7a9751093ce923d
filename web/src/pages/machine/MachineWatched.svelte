<script lang="ts">
  // What is seen when one hole is sewn on a scrap.
  import type { Catalogue } from '../../api/client';
  import FormField from '../../ui/FormField.svelte';
  import type { Profile } from './profile.svelte';
  import YesNo from './YesNo.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  const changed = () => profile.changed();
</script>

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">Sew one hole and watch</legend>
  <div class="mt-2 flex flex-wrap gap-x-5 gap-y-3">
    <FormField
      label="Which bead comes first?"
      bind:value={facts.first_side}
      choices={catalogue.first_sides}
      {changed}
    />
    <FormField
      label="Which way is it sewn?"
      bind:value={facts.first_direction}
      choices={catalogue.first_directions}
      {changed}
    />
    <FormField label="Who stops at the end?" bind:value={facts.stops} choices={catalogue.stops} {changed} />
    <FormField
      label="Before the next hole"
      bind:value={facts.reset}
      choices={catalogue.resets.map((reset) => ({
        key: reset.key,
        name: reset.name || 'nothing to do',
      }))}
      {changed}
    />
  </div>
  <div class="mt-2">
    <YesNo
      {profile}
      name="straight_first"
      question="It sews a straight run before the satin."
      why="Some do, to steady the cloth."
    />
    <YesNo
      {profile}
      name="lift_resets"
      question="Lifting the foot half way loses the place."
      why="Then an interrupted hole is sewn from its start."
    />
  </div>
</fieldset>
