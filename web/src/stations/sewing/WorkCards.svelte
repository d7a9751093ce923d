<script lang="ts">
  // The work as cards in their order: what was done last, the one in hand with its beats, and what comes after it.
  import { Check } from '@lucide/svelte';
  import type { Closure, Step } from '../../api/client';
  import CardPicture from './CardPicture.svelte';
  import { grouped, type Progress } from './progress';

  type Props = {
    closure: Closure;
    state: Progress;
    now: Step;
    tick: (step: Step, done: boolean) => void;
  };
  let { closure, state, now, tick }: Props = $props();

  let groups = $derived(grouped(state.steps));
  let at = $derived(groups.findIndex((group) => group.steps.some((step) => step.key === now.key)));
  let current = $derived(groups[at]);
  let before = $derived(groups[at - 1]);
  let after = $derived(groups.slice(at + 1, at + 2));
</script>

{#snippet small(group: (typeof groups)[number], done: boolean)}
  <div
    class={['hidden rounded-lg border border-base-300 p-4 md:block', done ? 'bg-base-100' : 'bg-base-200/60']}
  >
    <h3 class="text-lg font-semibold">{group.part}</h3>
    <CardPicture {closure} steps={group.steps} sewn={done} />
    {#if done}<p class="mt-2 flex items-center gap-1.5 text-secondary">
        <Check size={16} aria-hidden="true" /> done
      </p>{/if}
  </div>
{/snippet}

{#if current}
  <div class="mt-3 grid gap-3 md:grid-cols-[minmax(0,8rem)_minmax(0,1fr)_minmax(0,8rem)]">
    {#if before}{@render small(before, true)}{:else}<div class="hidden md:block"></div>{/if}
    <div class="rounded-lg border-3 border-primary px-5 py-4" data-card={current.part}>
      <h2 class="text-2xl font-semibold">{current.part}</h2>
      <CardPicture {closure} steps={current.steps} sewn={false} />
      <ol class="mt-2">
        {#each current.steps as step (step.key)}
          <li>
            <label
              class={['flex min-h-11 cursor-pointer items-center gap-3 py-1', step.done && 'text-secondary']}
            >
              <input
                type="checkbox"
                class="checkbox rounded-full"
                checked={step.done}
                onchange={(event) => tick(step, event.currentTarget.checked)}
              />
              <span
                class={step.key === now.key ? 'font-serif text-2xl leading-tight font-semibold' : ''}
                data-answer={step.key === now.key ? '' : undefined}>{step.does}</span
              >
            </label>
            {#if step.key === now.key}
              {#if now.how}<p class="pl-9">{now.how}</p>{/if}
              {#if now.symptom}<p class="pl-9 text-sm text-secondary">{now.symptom}</p>{/if}
              {#if now.caution}<p class="mt-1 ml-9 border-l-4 border-warning pl-3 text-warning">
                  {now.caution}
                </p>{/if}
            {/if}
          </li>
        {/each}
      </ol>
      <div class="mt-3 flex gap-2">
        <button class="btn btn-lg btn-primary" onclick={() => tick(now, true)}>Done</button>
        {#if state.newest}
          <button class="btn btn-lg" onclick={() => state.newest && tick(state.newest, false)}
            >Back one step</button
          >
        {/if}
      </div>
    </div>
    {#each after as group (group.steps[0]?.key)}{@render small(group, false)}{/each}
  </div>
{/if}
