<script lang="ts">
  // Which holes it has a programme for.
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
  <legend class="font-serif text-xl font-semibold">Which holes has it a programme for?</legend>
  <div class="mt-1 grid gap-x-6 sm:grid-cols-2">
    {#each catalogue.programmes as style (style.key)}
      <label class="flex cursor-pointer gap-3 py-1">
        <input
          type="checkbox"
          class="checkbox mt-0.5 checkbox-sm"
          checked={owned.includes(style.key)}
          onchange={() => toggle(style.key)}
        />
        <span>{style.name} <span class="text-secondary">for {style.note}</span></span>
      </label>
    {/each}
  </div>
</fieldset>
