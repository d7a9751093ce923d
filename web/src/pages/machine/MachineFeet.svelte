<script lang="ts">
  // The feet in its box, and what each can do.
  import type { Catalogue } from '../../api/client';
  import { X } from '@lucide/svelte';
  import FormField from '../../ui/FormField.svelte';
  import type { Profile } from './profile.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  const changed = () => profile.changed();
  const fault = (name: string) => profile.faults[`machine.${name}`] ?? '';

  /** The next foot is of a kind that is not in the box yet. */
  function another(): void {
    const kinds = profile.typed.feet.map((foot) => foot.kind);
    const kind = catalogue.feet.find((foot) => !kinds.includes(foot.key))?.key ?? 'button_foot';
    profile.typed.feet.push({ ...catalogue.begun.foot, kind });
    changed();
  }
</script>

<section class="mt-6">
  <h2 class="text-xl font-semibold">Feet in the box</h2>
  <p class="text-sm text-secondary">Called by what they do; beside it, what you call them.</p>
  <ul class="mt-2 space-y-4">
    {#each profile.typed.feet as foot, index (index)}
      {@const wrong = (name: string) => profile.faults[`feet.${index + 1}.${name}`] ?? ''}
      <li class="border-l-4 border-base-300 pl-3">
        <div
          class="flex flex-wrap items-start gap-x-4 gap-y-2"
          role="group"
          aria-label="Foot {index + 1}{foot.nickname ? `, ${foot.nickname}` : ''}"
        >
          <FormField
            label="Foot"
            path="foot.kind"
            bind:value={foot.kind}
            choices={catalogue.feet}
            {changed}
          />
          <FormField
            label="You call it"
            path="foot.nickname"
            bind:value={foot.nickname}
            fault={wrong('nickname')}
            {changed}
          />
          {#if foot.kind === 'carriage_foot'}
            <FormField
              label="Largest button"
              path="foot.largest_button"
              bind:value={foot.largest_button}
              fault={wrong('largest_button')}
              hint="it can clamp"
              {changed}
            />
            <FormField
              label="Adds by itself"
              path="foot.allowance"
              bind:value={foot.allowance}
              fault={wrong('allowance')}
              hint="slit less button; empty: not measured"
              {changed}
            />
            <FormField
              label="One click"
              path="foot.click"
              bind:value={foot.click}
              fault={wrong('click')}
              hint="empty: it has none"
              {changed}
            />
          {:else if foot.kind === 'sliding_scale_foot'}
            <FormField
              label="Between two marks"
              path="foot.scale_pitch"
              bind:value={foot.scale_pitch}
              fault={wrong('scale_pitch')}
              {changed}
            />
            <FormField
              label="Its marks count"
              path="foot.scale_reads"
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
  <button class="btn mt-3" onclick={another}>Another foot</button>
</section>
