<script lang="ts">
  // Nobody is signed in any more: what was typed and done waits here, and goes on after signing in.
  import { OUTSIDE, who } from '../api/who.svelte';
  import { workroom } from '../api/workroom.svelte';
  import { packed } from '../outbox/handed';
  import { store } from '../outbox/outbox.svelte';
  import { go, route } from '../router';

  let outside = $derived(OUTSIDE.includes(route.pathname));
  let there = $derived(`/sign-in?to=${encodeURIComponent(route.pathname)}`);
  /** Steps that wait here, as a file for whoever can tell them. */
  let waiting = $state.raw<{ href: string; name: string; facts: number }>();
  $effect(() => {
    if (who.lapsed && workroom.slug) void look(workroom.slug);
  });
  async function look(slug: string): Promise<void> {
    const { file, facts } = await packed(store, slug);
    waiting = facts ? { href: URL.createObjectURL(file), name: file.name, facts } : undefined;
  }
  /** There is nothing to show yet: the page to sign in at, at once. */
  $effect(() => {
    if (who.lapsed && !outside && !workroom.data) void go(there);
  });
</script>

{#if who.lapsed && !outside && workroom.data}
  <p
    role="alert"
    class="no-print fixed inset-x-0 bottom-0 z-40 flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-warning bg-base-100 px-4 py-3 text-base-content"
    data-lapsed
  >
    <span class="min-w-0 flex-1">Sign in to go on. What you did here waits until then.</span>
    <a class="btn btn-primary" href={there}>Sign in</a>
    <a class="btn" href="/pair">Pair this device again</a>
    {#if waiting}
      <a class="btn btn-ghost" href={waiting.href} download={waiting.name} data-hand-over
        >Save {waiting.facts === 1 ? 'the step' : `the ${waiting.facts} steps`} to a file</a
      >
    {/if}
  </p>
{/if}
