<script lang="ts">
  // Which holes and tacks it has a programme for.
  import FormField from '../../ui/FormField.svelte';
  import type { Catalogue } from '../../api/client';
  import type { Profile } from './profile.svelte';

  let { profile, catalogue }: { profile: Profile; catalogue: Catalogue } = $props();

  let owned = $derived<string[]>(profile.typed.styles);

  function toggle(key: string): void {
    const styles = owned.includes(key) ? owned.filter((other) => other !== key) : [...owned, key];
    profile.typed.styles = styles as typeof profile.typed.styles;
    profile.changed();
  }
</script>

<fieldset class="mt-6">
  <legend class="font-serif text-xl font-semibold">What has it a programme for?</legend>
  <div class="mt-1 grid gap-x-6 sm:grid-cols-2">
    {#each catalogue.programmes as style (style.key)}
      <label class="flex cursor-pointer gap-3 py-1">
        <input
          type="checkbox"
          class="checkbox mt-0.5 checkbox-sm"
          name="programme"
          value={style.key}
          checked={owned.includes(style.key)}
          onchange={() => toggle(style.key)}
        />
        <span>{style.name} <span class="text-secondary">for {style.note}</span></span>
      </label>
    {/each}
  </div>
  {#if owned.includes('bar_tack')}
    <div class="mt-2">
      <FormField
        label="Its own bar tack is long"
        path="machine.tack_length"
        bind:value={profile.typed.facts.tack_length}
        fault={profile.faults['machine.tack_length'] ?? ''}
        hint="when no key was pressed; empty: it waits for the key"
        changed={() => profile.changed()}
      />
    </div>
  {/if}
</fieldset>
