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

  /** Only what can be seen on a hole of this style, axis by axis. */
  let axes = $derived(
    (workroom.catalogue?.axes ?? [])
      .map((axis) => ({
        key: axis.key,
        items: closure.sheet.swatch.symptoms
          .filter((symptom) => symptom.axis === axis.key)
          .map((symptom) => ({
            key: symptom.key,
            name: workroom.catalogue?.symptoms.find((item) => item.key === symptom.key)?.name ?? symptom.key,
          })),
      }))
      .filter((axis) => axis.items.length > 0),
  );

  /** The figure is read by the server before anything is entered, so that nothing wrong goes into the log. */
  async function log(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    fault = '';
    const { measured, passes, symptoms, note } = seen.form;
    if (!passes && !measured.trim() && !symptoms.length && !note.trim()) {
      fault = `Say what you saw: how the ${closure.sheet.button.noun} went through, at least.`;
      return;
    }
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
    const { passes: went, ...rest } = $state.snapshot(seen.form);
    work.enter(
      { kind: 'swatch', with: sewn, machine: closure.machine.id, ...rest, ...(went ? { passes: went } : {}) },
      says,
    );
    seen.clear();
  }
</script>

<form class="mt-6 max-w-3xl border-l-4 border-base-300 pl-4" onsubmit={log}>
  <h2 class="text-lg font-semibold">Log a test hole</h2>
  <fieldset class="mt-2">
    <legend class="text-sm text-secondary">The {closure.sheet.button.noun}</legend>
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
  <p class="mt-3 text-sm text-secondary">Seen on it, in the order in which to look</p>
  {#each axes as axis (axis.key)}
    <fieldset class="mt-1 grid gap-x-4 sm:grid-cols-[6rem_1fr]">
      <legend class="float-left text-sm font-semibold sm:w-24">{axis.key}</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-1">
        {#each axis.items as item (item.key)}
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
  {/each}
  <div class="mt-3 flex flex-wrap items-start gap-4">
    <div class="flex w-52 flex-col">
      <label for="{id}-measured" class="text-sm text-secondary">The slit as measured, cut</label>
      <span class="flex items-center gap-1">
        <input
          id="{id}-measured"
          data-measures
          class={['input bg-base-100 px-2 text-lg text-base-content', fault && 'input-error']}
          aria-invalid={fault ? 'true' : undefined}
          bind:value={seen.form.measured}
        />
        <CaliperButton field="{id}-measured" label="slit as measured" />
      </span>
      {#if fault}<span role="alert" class="text-sm font-semibold text-error">{fault}</span>{/if}
    </div>
    <label class="flex grow flex-col text-sm text-secondary"
      >Something else, in words
      <input
        class="input w-full bg-base-100 px-2 text-lg text-base-content"
        maxlength="500"
        bind:value={seen.form.note}
      />
    </label>
  </div>
  <button class="btn mt-3">Log it</button>
</form>
