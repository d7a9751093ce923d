<script lang="ts">
  // The session as an entry of a calendar: on which day, and when it begins.
  import type { Session } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';

  let { doc }: { doc: Session } = $props();

  const id = $props.id();
  /** The next full hour, as a field of date and time has it. */
  function nextHour(): string {
    const at = new Date();
    at.setHours(at.getHours() + 1, 0, 0, 0);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  }
  let at = $state(nextHour());
</script>

<div class="flex flex-wrap items-end gap-3">
  <label class="flex flex-col text-sm text-secondary" for={id}
    >Begins
    <input {id} type="datetime-local" class="input bg-base-100 text-base text-base-content" bind:value={at} />
  </label>
  {#if at}
    <a
      class="btn"
      href={workroom.file(`/sessions/${doc.id}/session.ics?at=${encodeURIComponent(at)}`)}
      download>Save the calendar entry</a
    >
  {:else}<p role="alert" class="text-sm font-semibold text-error">Say the day and the time.</p>{/if}
</div>
<p class="mt-1 text-sm text-secondary">Open the file with your calendar. It says what to lay ready.</p>
