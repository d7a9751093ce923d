<script lang="ts">
  // What can be set on it, and in which steps: what the dials say first, the rest folded away.
  import type { Catalogue } from '../../api/client';
  import Fold from '../../ui/Fold.svelte';
  import FormField from '../../ui/FormField.svelte';
  import type { Profile, Typed } from './profile.svelte';
  import YesNo from './YesNo.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  type Name = keyof Typed['facts'];
  type Row = { name: Name; label: string; hint?: string; choices?: Catalogue['anchors'] };
  let facts = $derived(profile.typed.facts);
  const FIRST: Row[] = [
    { name: 'max_width', label: 'Widest stitch, mm', hint: '0: it sews straight only' },
    { name: 'width_step', label: 'Width: between marks' },
    { name: 'length_step', label: 'Length: between marks' },
    { name: 'neutral_tension', label: 'Usual top tension' },
    { name: 'top_speed', label: 'Top speed', hint: 'stitches a minute' },
  ];
  let more = $derived<Row[]>([
    { name: 'tension_step', label: 'Step of the tension' },
    { name: 'needle_positions', label: 'Needle positions' },
    { name: 'foot_lift', label: 'The foot lifts', hint: 'button and fabric fit under it' },
    { name: 'anchor', label: 'Its zigzag is anchored', choices: catalogue.anchors },
    { name: 'feed_stop', label: 'To stop the feed', choices: catalogue.feed_stops },
  ]);
  const HAS = [
    {
      name: 'length_stepless',
      question: 'The length dial stops between its marks too.',
      why: 'Then a stitch length is set between two of them.',
    },
    {
      name: 'width_stepless',
      question: 'The width dial stops between its marks too.',
      why: 'Then a width is set between two of them.',
    },
    {
      name: 'foot_pressure',
      question: 'The foot pressure can be changed.',
      why: 'Knits and pile want it a step lighter.',
    },
    { name: 'speed_limiter', question: 'It has a speed limiter.', why: 'Satin is sewn slow and even.' },
    { name: 'balance', question: 'It has a balance control.', why: 'It makes the two sides alike.' },
    {
      name: 'bobbin_finger',
      question: 'The bobbin case has a finger with a hole.',
      why: 'Threading it tightens the bobbin for satin.',
    },
  ] as const;
</script>

{#snippet rows(fields: Row[])}
  <div class="mt-3 flex flex-wrap gap-x-4 gap-y-3">
    {#each fields as { name, label, hint, choices } (name)}
      <FormField
        {label}
        path="machine.{name}"
        bind:value={() => facts[name], (text) => (facts[name] = text ?? '')}
        fault={profile.faults[`machine.${name}`] ?? ''}
        hint={hint ?? ''}
        {choices}
        changed={() => profile.changed()}
      />
    {/each}
  </div>
{/snippet}

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">What do the dials say?</legend>
  {@render rows(FIRST)}
  <Fold name="machine-dials" title="More about its dials">
    {@render rows(more)}
    <div class="mt-2">
      {#each HAS as one (one.name)}<YesNo {profile} {...one} />{/each}
    </div>
  </Fold>
</fieldset>
