<script lang="ts">
  // How the button went through a hole that was just opened. An end left uncut reads as too tight: that is asked first.
  import { workroom } from '../api/workroom.svelte';
  import { capital } from '../ui/capital';

  type Verdict = 'will_not_pass' | 'tight' | 'passes' | 'easy' | 'slips_out';
  type Props = {
    /** What goes through, as it is called. */ noun: string;
    /** Of which hole. */ hole: string;
    said?: Verdict | null;
    say: (verdict: Verdict) => void;
    large?: boolean;
  };
  let { noun, hole, said = null, say, large = false }: Props = $props();

  const SHORT: Verdict[] = ['will_not_pass', 'tight'];
  let asked = $state<Verdict | undefined>();
  let noted = $state<Verdict | null>(null);
  let kept = $derived(noted ?? said);
  let grades = $derived((workroom.catalogue?.passes ?? []) as { key: Verdict; name: string }[]);
  const named = (key: Verdict) => grades.find((grade) => grade.key === key)?.name ?? key;

  function choose(key: Verdict): void {
    if (SHORT.includes(key)) asked = key;
    else note(key);
  }
  function note(key: Verdict): void {
    asked = undefined;
    noted = key;
    say(key);
  }
</script>

<fieldset class={large ? 'text-lg' : 'text-sm'} data-through>
  <legend class="font-semibold">{capital(hole)}: how does the {noun} go through?</legend>
  {#if asked}
    {@const short = asked}
    <p class="mt-1 max-w-prose border-l-4 border-warning pl-3" role="status">
      Is it cut right up to both ends? An uncut end feels just like a hole that is too short.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class={['btn', !large && 'btn-sm']} onclick={() => (asked = undefined)}
        >No: I cut the last threads and try again</button
      >
      <button class={['btn', !large && 'btn-sm']} onclick={() => note(short)}>Yes: it {named(short)}</button>
    </div>
  {:else}
    <div class="mt-1 flex flex-wrap gap-2">
      {#each grades as grade (grade.key)}
        <button
          class={['btn', !large && 'btn-sm', kept === grade.key && 'btn-primary']}
          aria-pressed={kept === grade.key}
          onclick={() => choose(grade.key)}>{grade.name}</button
        >
      {/each}
    </div>
    {#if kept}<p class="mt-1" role="status">Noted: it counts as a test hole does.</p>{/if}
  {/if}
</fieldset>
