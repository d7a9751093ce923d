<script lang="ts">
  // Answers beside Done: how the button went through, what a test showed, what differs.
  import { workroom } from '../../api/workroom.svelte';
  import Through from '../../closure/Through.svelte';
  import type { SessionWork } from '../../session/session.svelte';
  import LookAtIt from './LookAtIt.svelte';

  type Props = {
    step: NonNullable<SessionWork['now']>;
    noun: string;
    work: SessionWork;
    goneWrong: () => void;
  };
  let { step, noun, work, goneWrong }: Props = $props();
</script>

{#if step.opens}
  {#key step.id}
    <Through
      {noun}
      hole={step.part.split(': ').at(-1) ?? step.part}
      large
      say={(passes) => void work.differs(step, { passes })}
    />
  {/key}
{/if}
{#if (step.name === 'test-open' || step.name === 'accept') && step.closure !== null}
  <a class="btn min-h-11" href={workroom.at(`/closures/${step.closure}/swatch`)} data-log-test
    >Log what you see</a
  >
{/if}
{#if step.look}
  {#key step.id}
    <LookAtIt differs={(seen) => void work.differs(step, seen)} mishap={goneWrong} />
  {/key}
{/if}
