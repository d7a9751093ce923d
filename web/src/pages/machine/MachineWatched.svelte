<script lang="ts">
  // What is seen when one hole is sewn on a scrap.
  import type { Catalogue } from '../../api/client';
  import FormField from '../../ui/FormField.svelte';
  import type { Profile } from './profile.svelte';
  import Fold from '../../ui/Fold.svelte';
  import WatchedPicture from './WatchedPicture.svelte';
  import YesNo from './YesNo.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  let parts = $derived(catalogue.sews.find((kind) => kind.key === facts.kind)?.parts ?? []);
  let stores = $derived(catalogue.sews.find((kind) => kind.key === facts.kind)?.stores ?? false);
  const UNSEEN = { key: '', name: 'not watched yet' };
  const changed = () => profile.changed();
</script>

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">What does one hole on a scrap show?</legend>
  <p class="mt-1 text-secondary">
    Sit as you sew and watch. Until you answer, every start mark is given for both ends.
  </p>
  <div class="mt-4 grid grid-cols-[minmax(0,1fr)] gap-8 md:grid-cols-[minmax(0,18rem)_minmax(0,1fr)]">
    <WatchedPicture {facts} {parts} />
    <div class="grid content-start gap-3">
      <FormField
        label="Which side does it sew first?"
        path="machine.first_side"
        bind:value={facts.first_side}
        choices={[UNSEEN, ...catalogue.first_sides]}
        {changed}
      />
      <FormField
        label="Which way is it sewn?"
        path="machine.first_direction"
        bind:value={facts.first_direction}
        choices={[UNSEEN, ...catalogue.first_directions]}
        {changed}
      />
      <FormField
        label="Who stops at the end?"
        path="machine.stops"
        bind:value={facts.stops}
        choices={catalogue.stops}
        {changed}
      />
      <FormField
        label="Back to the start"
        path="machine.reset"
        bind:value={facts.reset}
        choices={catalogue.resets.map((reset) => ({
          key: reset.key,
          name: reset.name || 'nothing to do',
        }))}
        {changed}
      />
      {#if stores}
        <FormField
          label="To make it forget the length"
          path="machine.forgets"
          bind:value={facts.forgets}
          choices={catalogue.forgets}
          hint="Not the same as going back to the start."
          {changed}
        />
      {/if}
    </div>
  </div>
  <Fold name="machine-watched" title="More to watch">
    <div class="flex flex-wrap gap-x-5 gap-y-3">
      <FormField
        label="The second side is sewn"
        path="machine.second_bead"
        bind:value={facts.second_bead}
        choices={catalogue.second_beads}
        {changed}
      />
      <FormField
        label="The eye or the round is made at"
        path="machine.eye_end"
        bind:value={facts.eye_end}
        choices={catalogue.eye_ends}
        {changed}
      />
    </div>
    <div class="mt-2">
      <YesNo
        {profile}
        name="straight_first"
        question="It sews a straight line before the satin."
        why="Some do, to steady the fabric."
      />
      <YesNo
        {profile}
        name="lift_resets"
        question="Lifting the foot half way loses the place."
        why="Then an interrupted hole is sewn from its start."
      />
    </div>
  </Fold>
</fieldset>
