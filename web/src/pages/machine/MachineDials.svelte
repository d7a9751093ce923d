<script lang="ts">
  // What can be set on it, and in which steps.
  import type { Catalogue } from '../../api/client';
  import FormField from '../../ui/FormField.svelte';
  import type { Profile } from './profile.svelte';
  import Fold from '../../ui/Fold.svelte';
  import YesNo from './YesNo.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let facts = $derived(profile.typed.facts);
  const changed = () => profile.changed();
  const fault = (name: string) => profile.faults[`machine.${name}`] ?? '';
</script>

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">What do the dials say?</legend>
  <div class="mt-3 flex flex-wrap gap-x-4 gap-y-3">
    <FormField
      label="Widest stitch, mm"
      path="machine.max_width"
      bind:value={facts.max_width}
      fault={fault('max_width')}
      hint="0: it sews straight only"
      {changed}
    />
    <FormField
      label="Width: between marks"
      path="machine.width_step"
      bind:value={facts.width_step}
      fault={fault('width_step')}
      {changed}
    />
    <FormField
      label="Length: between marks"
      path="machine.length_step"
      bind:value={facts.length_step}
      fault={fault('length_step')}
      {changed}
    />
    <FormField
      label="Usual top tension"
      path="machine.neutral_tension"
      bind:value={facts.neutral_tension}
      fault={fault('neutral_tension')}
      {changed}
    />
    <FormField
      label="Top speed"
      path="machine.top_speed"
      bind:value={facts.top_speed}
      fault={fault('top_speed')}
      hint="stitches a minute"
      {changed}
    />
  </div>
  <Fold name="machine-dials" title="More about its dials">
    <div class="flex flex-wrap gap-x-4 gap-y-3">
      <FormField
        label="Step of the tension"
        path="machine.tension_step"
        bind:value={facts.tension_step}
        fault={fault('tension_step')}
        {changed}
      />
      <FormField
        label="Needle positions"
        path="machine.needle_positions"
        bind:value={facts.needle_positions}
        fault={fault('needle_positions')}
        {changed}
      />
      <FormField
        label="The foot lifts"
        path="machine.foot_lift"
        bind:value={facts.foot_lift}
        fault={fault('foot_lift')}
        hint="button and fabric fit under it"
        {changed}
      />
      <FormField
        label="Its zigzag is anchored"
        path="machine.anchor"
        bind:value={facts.anchor}
        choices={catalogue.anchors}
        {changed}
      />
      <FormField
        label="To stop the feed"
        path="machine.feed_stop"
        bind:value={facts.feed_stop}
        choices={catalogue.feed_stops}
        {changed}
      />
    </div>
    <div class="mt-2">
      <YesNo
        {profile}
        name="length_stepless"
        question="The length dial stops between its marks too."
        why="Then a stitch length is set between two of them."
      />
      <YesNo
        {profile}
        name="width_stepless"
        question="The width dial stops between its marks too."
        why="Then a width is set between two of them."
      />
      <YesNo
        {profile}
        name="foot_pressure"
        question="The foot pressure can be changed."
        why="Knits and pile want it a step lighter."
      />
      <YesNo
        {profile}
        name="speed_limiter"
        question="It has a speed limiter."
        why="Satin is sewn slow and even."
      />
      <YesNo
        {profile}
        name="balance"
        question="It has a balance control."
        why="It makes the two sides alike."
      />
      <YesNo
        {profile}
        name="bobbin_finger"
        question="The bobbin case has a finger with a hole."
        why="Threading it tightens the bobbin for satin."
      />
    </div>
  </Fold>
</fieldset>
