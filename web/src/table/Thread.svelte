<script lang="ts">
  // The stages as knots on one thread, in the order of the work.
  import { workroom } from '../api/workroom.svelte';
  import type { StageState, StageWord } from '../api/client';
  import { addressOf } from './addresses';

  let {
    stages,
    current,
    id,
    go,
  }: { stages: StageState[]; current: StageWord; id: number; go: (word: StageWord) => void } = $props();

  const STATES = { loose: 'not decided', tied: 'decided', stale: 'decided, but something changed' };

  function follow(event: MouseEvent, word: StageWord): void {
    if (event.metaKey || event.ctrlKey || event.shiftKey) return;
    event.preventDefault();
    go(word);
  }

  let list = $state<HTMLElement>();
  $effect(() => {
    const knot = list?.querySelector<HTMLElement>(`[data-stage="${current}"]`);
    if (knot && list) list.scrollTo({ left: knot.offsetLeft - list.clientWidth / 2 + knot.clientWidth / 2 });
  });
</script>

<nav aria-label="Stages" class="no-print border-b border-base-300 bg-base-200">
  <ol bind:this={list} class="relative flex overflow-x-auto">
    {#each stages as stage, index (stage.word)}
      <li class="min-w-24 flex-1" data-stage={stage.word}>
        <a
          href={workroom.at(`/closures/${id}/${addressOf(stage.word)}`)}
          aria-current={stage.word === current ? 'step' : undefined}
          class={[
            'flex flex-col items-center px-1 pt-1 pb-1.5 text-center focus-visible:-outline-offset-3',
            stage.word === current ? 'bg-base-100' : 'hover:bg-base-100/60',
          ]}
          onclick={(event) => follow(event, stage.word)}
        >
          <svg
            viewBox="0 0 100 22"
            class="-mx-1 h-[1.4rem] w-[calc(100%+0.5rem)]"
            preserveAspectRatio="none"
            aria-hidden="true"
          >
            <path
              d="M{index === 0 ? 50 : -1} 11H{index === stages.length - 1 ? 50 : 101}"
              stroke="var(--color-primary)"
              stroke-width="2.5"
              vector-effect="non-scaling-stroke"
            />
          </svg>
          <svg viewBox="0 0 36 22" class="-mt-[1.4rem] h-[1.4rem] w-9" aria-hidden="true">
            {#if stage.state === 'tied'}
              <ellipse cx="18" cy="11" rx="8" ry="9" fill="var(--color-primary)" />
              <path
                d="M12 8l12-3M10.500 12.500l15-4M12 17l12-3.500"
                stroke="var(--color-base-200)"
                stroke-width="1.6"
                stroke-linecap="round"
              />
            {:else}
              <ellipse
                cx="18"
                cy="11"
                rx="9"
                ry="7"
                fill="var(--color-base-200)"
                stroke={stage.state === 'stale' ? 'var(--color-warning)' : 'var(--color-primary)'}
                stroke-width="2.5"
                stroke-dasharray={stage.state === 'stale' ? '4 3' : undefined}
              />
            {/if}
          </svg>
          <span class={['text-[0.95rem] leading-tight', stage.word === current && 'font-semibold']}
            ><span class="text-xs text-secondary" aria-hidden="true">{index + 1}</span>
            {stage.title}</span
          >
          <span class={['text-xs leading-tight', stage.state === 'stale' ? 'text-warning' : 'text-secondary']}
            >{stage.state === 'stale' ? (stage.changes[0] ?? 'stale') : stage.answer}</span
          >
          <span class="sr-only">, {STATES[stage.state]}</span>
        </a>
      </li>
    {/each}
  </ol>
</nav>
