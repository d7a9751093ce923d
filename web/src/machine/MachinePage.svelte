<script lang="ts">
  // What a machine is like, asked as its owner can answer it: by looking at it and sewing a hole.
  import { X } from '@lucide/svelte';
  import { untrack } from 'svelte';
  import { client } from '../api/client';
  import { room } from '../api/room.svelte';
  import { navigate, route } from '../router';
  import PageBar from '../shell/PageBar.svelte';
  import FormField from '../ui/FormField.svelte';
  import OrderPicture from './OrderPicture.svelte';
  import { BLANK_FOOT, Profile } from './profile.svelte';

  let id = $derived(route.params.id === 'new' ? undefined : Number(route.params.id));
  let profile = $state.raw(untrack(() => new Profile(id)));
  let failed = $state('');

  void room.load();
  $effect(() => {
    const opened = new Profile(id);
    profile = opened;
    void opened.load();
  });
  $effect(() => {
    document.title = `${profile.typed.facts.name || 'A new machine'}: Nimble Eyelet`;
  });

  let facts = $derived(profile.typed.facts);
  let catalogue = $derived(room.catalogue);
  let plain = $derived(facts.kind === 'plain');
  let programmes = $derived(catalogue?.programmes ?? []);
  const changed = () => profile.changed();
  const fault = (name: string) => profile.faults[`machine.${name}`] ?? '';

  function toggleStyle(key: string): void {
    const owned = profile.typed.styles as string[];
    profile.typed.styles = (
      owned.includes(key) ? owned.filter((other) => other !== key) : [...owned, key]
    ) as typeof profile.typed.styles;
    changed();
  }

  async function add(): Promise<void> {
    const machine = await profile.save();
    if (machine) await navigate('/machines/:id', { params: { id: String(machine.id) } });
  }

  async function remove(): Promise<void> {
    if (!id) return;
    const answer = await client.DELETE('/api/machines/{id}', { params: { path: { id } } });
    if (answer.error) failed = answer.error.detail;
    else await navigate('/');
  }
</script>

{#snippet yesno(
  name: 'bobbin_finger' | 'balance' | 'straight_first' | 'lift_resets',
  question: string,
  why: string,
)}
  <label class="flex cursor-pointer gap-3 py-1">
    <input
      type="checkbox"
      class="checkbox mt-0.5 checkbox-sm"
      checked={facts[name] === 'yes'}
      onchange={(event) => {
        facts[name] = event.currentTarget.checked ? 'yes' : 'no';
        changed();
      }}
    />
    <span>{question} <span class="text-secondary">{why}</span></span>
  </label>
{/snippet}

<div class="min-h-screen bg-base-100 text-base-content">
  <PageBar />
  <main class="mx-auto max-w-4xl px-4 py-6">
    {#if profile.missing}
      <h1 class="text-2xl font-semibold">This machine is not here any more.</h1>
      <p class="mt-2"><a class="link" href="/">Back to the workroom</a></p>
    {:else if catalogue && (!id || profile.saved)}
      <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 class="text-4xl font-semibold wrap-anywhere">{facts.name || 'A new machine'}</h1>
        {#if id}
          <span role="status" class="text-sm text-secondary"
            >{profile.saving ? 'Saving…' : profile.dirty ? 'Not saved yet' : 'All saved'}</span
          >
          {#if profile.dirty}<button class="btn btn-xs" onclick={() => profile.drop()}>Drop my changes</button
            >{/if}
        {/if}
      </div>
      {#if profile.notice || failed}<p role="alert" class="mt-3 border-l-4 border-warning pl-3">
          {profile.notice || failed}
        </p>{/if}
      <p class="mt-1 max-w-prose text-secondary">The machine's own manual wins over anything here.</p>
      <div class="mt-4">
        <FormField label="What you call it" bind:value={facts.name} fault={fault('name')} wide {changed} />
      </div>

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

      {#if !plain}
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
            <FormField
              label="Who stops at the end?"
              bind:value={facts.stops}
              choices={catalogue.stops}
              {changed}
            />
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
            {@render yesno(
              'straight_first',
              'It sews a straight run before the satin.',
              'Some do, to steady the cloth.',
            )}
            {@render yesno(
              'lift_resets',
              'Lifting the foot half way loses the place.',
              'Then an interrupted hole is sewn from its start.',
            )}
          </div>
        </fieldset>
        <fieldset class="mt-6">
          <legend class="font-serif text-xl font-semibold">Which holes has it a programme for?</legend>
          <div class="mt-1 grid gap-x-6 sm:grid-cols-2">
            {#each programmes as style (style.key)}
              <label class="flex cursor-pointer gap-3 py-1">
                <input
                  type="checkbox"
                  class="checkbox mt-0.5 checkbox-sm"
                  checked={(profile.typed.styles as string[]).includes(style.key)}
                  onchange={() => toggleStyle(style.key)}
                />
                <span>{style.name} <span class="text-secondary">for {style.note}</span></span>
              </label>
            {/each}
          </div>
        </fieldset>
      {/if}

      <fieldset class="mt-6">
        <legend class="font-serif text-xl font-semibold">What do the dials say?</legend>
        <div class="mt-2 flex flex-wrap gap-x-4 gap-y-3">
          <FormField
            label="Widest stitch"
            bind:value={facts.max_width}
            fault={fault('max_width')}
            hint="0: it sews straight only"
            {changed}
          />
          <FormField
            label="Step of the width"
            bind:value={facts.width_step}
            fault={fault('width_step')}
            {changed}
          />
          <FormField
            label="Step of the length"
            bind:value={facts.length_step}
            fault={fault('length_step')}
            {changed}
          />
          <FormField
            label="Usual top tension"
            bind:value={facts.neutral_tension}
            fault={fault('neutral_tension')}
            {changed}
          />
          <FormField
            label="Step of the tension"
            bind:value={facts.tension_step}
            fault={fault('tension_step')}
            {changed}
          />
          <FormField
            label="Needle positions"
            bind:value={facts.needle_positions}
            fault={fault('needle_positions')}
            {changed}
          />
          <FormField
            label="Top speed"
            bind:value={facts.top_speed}
            fault={fault('top_speed')}
            hint="stitches a minute"
            {changed}
          />
          <FormField
            label="To stop the feed"
            bind:value={facts.feed_stop}
            choices={catalogue.feed_stops}
            {changed}
          />
        </div>
        <div class="mt-2">
          {@render yesno('balance', 'It has a balance control.', 'It makes the two beads alike.')}
          {@render yesno(
            'bobbin_finger',
            'The bobbin case has a finger with a hole.',
            'Threading it tightens the bobbin for satin.',
          )}
        </div>
      </fieldset>

      <section class="mt-6">
        <h2 class="text-xl font-semibold">Feet in the box</h2>
        <p class="text-sm text-secondary">Called by what they do; beside it, what you call them.</p>
        <ul class="mt-2 space-y-4">
          {#each profile.typed.feet as foot, index (index)}
            {@const wrong = (name: string) => profile.faults[`feet.${index + 1}.${name}`] ?? ''}
            <li class="border-l-4 border-base-300 pl-3" aria-label="Foot {index + 1}">
              <div class="flex flex-wrap items-start gap-x-4 gap-y-2">
                <FormField label="Foot" bind:value={foot.kind} choices={catalogue.feet} {changed} />
                <FormField
                  label="You call it"
                  bind:value={foot.nickname}
                  fault={wrong('nickname')}
                  {changed}
                />
                {#if foot.kind === 'carriage_foot'}
                  <FormField
                    label="Largest button"
                    bind:value={foot.largest_button}
                    fault={wrong('largest_button')}
                    hint="it can clamp"
                    {changed}
                  />
                  <FormField
                    label="Adds by itself"
                    bind:value={foot.allowance}
                    fault={wrong('allowance')}
                    hint="slit less button"
                    {changed}
                  />
                  <FormField label="One click" bind:value={foot.click} fault={wrong('click')} {changed} />
                {:else if foot.kind === 'sliding_scale_foot'}
                  <FormField
                    label="Between two marks"
                    bind:value={foot.scale_pitch}
                    fault={wrong('scale_pitch')}
                    {changed}
                  />
                  <FormField
                    label="Its marks count"
                    bind:value={foot.scale_reads}
                    choices={catalogue.scale_reads}
                    {changed}
                  />
                {/if}
                <button
                  class="btn mt-5 btn-square btn-ghost btn-sm"
                  aria-label="Remove foot {index + 1}"
                  onclick={() => {
                    profile.typed.feet.splice(index, 1);
                    changed();
                  }}><X size={16} /></button
                >
              </div>
            </li>
          {/each}
        </ul>
        {#if fault('feet')}<p role="alert" class="text-sm font-semibold text-error">{fault('feet')}</p>{/if}
        <button
          class="btn mt-3"
          onclick={() => {
            const kinds = profile.typed.feet.map((foot) => foot.kind);
            const kind = catalogue?.feet.find((foot) => !kinds.includes(foot.key))?.key ?? 'button_foot';
            profile.typed.feet.push({ ...BLANK_FOOT, kind });
            changed();
          }}>Another foot</button
        >
      </section>

      <div class="mt-8 flex flex-wrap items-center gap-3">
        {#if id}
          <button class="btn" onclick={remove}>Remove this machine</button>
          {#if profile.saved && profile.saved.closures.length > 0}
            <span class="text-sm text-secondary"
              >used for {profile.saved.closures.map((closure) => closure.name).join(', ')}</span
            >
          {/if}
        {:else}
          <button class="btn btn-primary" disabled={profile.saving} onclick={add}
            >Put it in the workroom</button
          >
        {/if}
      </div>
    {:else}
      <p role="status">{profile.notice || 'Fetching the machine…'}</p>
    {/if}
  </main>
</div>
