<script lang="ts">
  // The whole job in one line: what is done, what is in hand, what is still to come.
  import type { Step } from '../../api/client';

  let { steps, now }: { steps: Step[]; now: Step | undefined } = $props();

  /** Parts of one kind stand together. */
  const kind = (part: string) => part.replace(/^(Hole|Place|Tack) \d+ of .*/, '$1s').replace(/:.*/, '');
  let parts = $derived(
    [...new Set(steps.map((step) => kind(step.part)))].map((name) => {
      const own = steps.filter((step) => kind(step.part) === name);
      return { name, done: own.every((step) => step.done), here: now ? kind(now.part) === name : false };
    }),
  );
</script>

<ol class="mt-4 flex flex-wrap gap-x-5 gap-y-1 border-t border-base-300 pt-3" aria-label="The whole job">
  {#each parts as part (part.name)}
    <li class={[part.here && 'font-semibold', !part.done && !part.here && 'text-secondary']}>
      <span aria-hidden="true">{part.done ? '✓' : part.here ? '●' : '○'}</span>
      {part.name}<span class="sr-only">{part.done ? ', done' : part.here ? ', now' : ''}</span>
    </li>
  {/each}
</ol>
