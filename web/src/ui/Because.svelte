<script lang="ts">
  // Why an answer is what it is: the reasons that came with it.
  import type { Reason } from '../api/client';

  let { reasons, title = 'Why' }: { reasons: Reason[]; title?: string } = $props();
</script>

{#if reasons.length > 0}
  <section aria-label={title} class="max-w-prose">
    <h3 class="text-base font-semibold">{title}</h3>
    <ul class="mt-1 space-y-1">
      {#each reasons as reason, index (index)}
        <li class="flex gap-2 text-[0.95rem]">
          <span
            aria-hidden="true"
            class="mt-2 h-px w-4 shrink-0 border-t-2 border-dashed border-current opacity-60"
          ></span>
          <span
            >{reason.says}
            {#if reason.kind !== 'craft'}<span class="text-secondary">({reason.source})</span>{/if}</span
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
