<script lang="ts">
  // One thing a machine has or has not, with what it is good for.
  import type { Profile } from './profile.svelte';

  let {
    profile,
    name,
    question,
    why,
  }: {
    profile: Profile;
    name:
      | 'bobbin_finger'
      | 'balance'
      | 'straight_first'
      | 'lift_resets'
      | 'length_stepless'
      | 'width_stepless'
      | 'foot_pressure'
      | 'speed_limiter';
    question: string;
    why: string;
  } = $props();
</script>

<label class="flex cursor-pointer gap-3 py-1">
  <input
    type="checkbox"
    class="checkbox mt-0.5 checkbox-sm"
    checked={profile.typed.facts[name] === 'yes'}
    onchange={(event) => {
      profile.typed.facts[name] = event.currentTarget.checked ? 'yes' : 'no';
      profile.changed();
    }}
  />
  <span>{question} <span class="text-secondary">{why}</span></span>
</label>
