<script lang="ts">
  // What a test hole showed: it goes into the log with everything it was sewn with.
  import { ask, faultsOf, words } from '../../api/ask';
  import { client, type Closure } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import CaliperButton from '../../closure/CaliperButton.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import { Seen, type Passes, type Symptom } from './seen.svelte';

  let { work, closure }: { work: ClosureWork; closure: Closure } = $props();

  const id = $props.id();
  // The form belongs to the closure this station was opened for.
  // svelte-ignore state_referenced_locally
  const seen = new Seen(`swatch:${work.slug}:${closure.id}`);
  let fault = $state('');
  $effect(() => {
    void $state.snapshot(seen.form);
    seen.keep();
  });

  /** The figure is read by the server before anything is entered, so that nothing wrong goes into the log. */
  async function log(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    fault = '';
    const { measured } = seen.form;
    if (measured.trim()) {
      const params = { path: { slug: workroom.slug } };
      const answer = await ask(
        client.POST('/api/workrooms/{slug}/readings', { params, body: { readings: [measured] } }),
      );
      if (answer.kind === 'refused') {
        fault = faultsOf(answer)['readings.1'] ?? words(answer);
        return;
      }
    }
    const { with: sewn } = closure.sheet.swatch;
    const says = 'a test hole';
    work.enter(
      { kind: 'swatch', with: sewn, machine: closure.machine.id, ...$state.snapshot(seen.form) },
      says,
    );
    seen.clear();
  }
</script>

<form class="mt-6 max-w-3xl border-l-4 border-base-300 pl-4" onsubmit={log}>
  <h2 class="text-lg font-semibold">Log a test hole</h2>
  <fieldset class="mt-2">
    <legend class="text-sm text-secondary">The button</legend>
    <div class="mt-0.5 flex flex-wrap gap-x-5 gap-y-1">
      {#each workroom.catalogue?.passes ?? [] as item (item.key)}
        <label class="flex min-h-8 cursor-pointer items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="{id}-passes"
            value={item.key as Passes}
            bind:group={seen.form.passes}
          />{item.name}
        </label>
      {/each}
    </div>
  </fieldset>
  <fieldset class="mt-3">
    <legend class="text-sm text-secondary">Seen on it</legend>
    <div class="mt-0.5 flex flex-wrap gap-x-5 gap-y-1">
      {#each workroom.catalogue?.symptoms ?? [] as item (item.key)}
        <label class="flex min-h-8 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            value={item.key as Symptom}
            bind:group={seen.form.symptoms}
          />{item.name}
        </label>
      {/each}
    </div>
  </fieldset>
  <div class="mt-3 flex flex-wrap items-start gap-4">
    <div class="flex w-52 flex-col">
      <label for="{id}-measured" class="text-sm text-secondary">Opening as measured</label>
      <span class="flex items-center gap-1">
        <input
          id="{id}-measured"
          data-measures
          class={['input bg-base-100 px-2 text-lg text-base-content', fault && 'input-error']}
          aria-invalid={fault ? 'true' : undefined}
          bind:value={seen.form.measured}
        />
        <CaliperButton field="{id}-measured" label="opening as measured" />
      </span>
      {#if fault}<span role="alert" class="text-sm font-semibold text-error">{fault}</span>{/if}
    </div>
    <label class="flex grow flex-col text-sm text-secondary"
      >Note
      <input
        class="input w-full bg-base-100 px-2 text-lg text-base-content"
        maxlength="500"
        bind:value={seen.form.note}
      />
    </label>
  </div>
  <button class="btn mt-3">Log it</button>
</form>
