<script lang="ts">
  // The words of the craft, each with what it means and, where it can be shown, its drawing.
  import { workroom } from '../../api/workroom.svelte';
  import LineDrawing from '../../drawn/LineDrawing.svelte';
  import { TOOLS } from '../../drawn/tools';
  import Page from '../Page.svelte';

  /** The drawing of a word, by the name of the step it belongs to. */
  const DRAWN: Record<string, string> = {
    attachment: 'button',
    balance: 'settings',
    bar_tack: 'secure',
    bead: 'sew',
    cord: 'cord',
    coverage: 'look',
    cutting_space: 'open',
    datum: 'mark',
    diameter: 'clamp',
    neutral: 'settings',
    opening: 'open',
    overall: 'test-sew',
    shank: 'spacer',
    stack: 'stabilise',
    swatch: 'test-sew',
    tack: 'secure',
  };
  let search = $state('');
  let terms = $derived(
    (workroom.catalogue?.terms ?? []).filter((term) =>
      `${term.name} ${term.note}`.toLowerCase().includes(search.trim().toLowerCase()),
    ),
  );
</script>

<Page title="Glossary" failed={workroom.failed ? 'The server does not answer. Trying again…' : ''}>
  <div class="flex flex-wrap items-end justify-between gap-4">
    <h1 class="text-4xl font-semibold">Glossary</h1>
    <input
      type="search"
      class="input w-56 bg-base-100"
      aria-label="Search the glossary"
      placeholder="search"
      bind:value={search}
    />
  </div>
  <dl class="mt-4 divide-y divide-base-300">
    {#each terms as term (term.key)}
      {@const drawing = TOOLS[DRAWN[term.key] ?? '']}
      <div class="flex flex-wrap items-center gap-x-5 py-3">
        <dt class="flex w-64 items-center gap-4 text-lg font-semibold">
          <span class="w-20 shrink-0"
            >{#if drawing}<LineDrawing {drawing} size="h-14" />{/if}</span
          >
          {term.name}
        </dt>
        <dd class="min-w-0 flex-1 basis-72">{term.note}</dd>
      </div>
    {/each}
  </dl>
  {#if workroom.catalogue && terms.length === 0}
    <p class="py-3 text-secondary">No word has “{search}” in it.</p>
  {/if}
</Page>
