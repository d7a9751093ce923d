<script lang="ts">
  // The test holes sewn so far, the newest first.
  import { tick } from 'svelte';
  import type { Closure } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Clash from '../../closure/Clash.svelte';
  import { count } from '../../closure/waiting';
  import PhotoPanel from '../../closure/PhotoPanel.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';

  let { work, closure }: { work: ClosureWork; closure: Closure } = $props();

  let log = $derived(closure.sheet.swatch.log);
  let names = $derived(new Map((workroom.catalogue?.symptoms ?? []).map((item) => [item.key, item.name])));
  let passes = $derived(new Map((workroom.catalogue?.passes ?? []).map((item) => [item.key, item.name])));
  let waiting = $derived(count(work.facts, 'swatch'));
  let conflict = $derived(work.conflicts.find((other) => other.path === 'swatch.accepted'));
  let list = $state<HTMLElement>();
  /** The test hole whose photo is open. */
  let photo = $state('');

  async function accept(id: string): Promise<void> {
    work.typeAll({ 'swatch.accepted': id });
    await work.saver.save();
    await tick();
    list?.focus();
  }
</script>

<h2 class="mt-6 text-lg font-semibold">Sewn so far</h2>
{#if conflict}<Clash {work} {conflict} />{/if}
{#if waiting}<p role="status" class="text-secondary">{waiting} waiting to be entered.</p>{/if}
{#if log.length === 0}
  <p class="text-secondary">None yet. What is logged here is remembered with its settings.</p>
{:else}
  <ol bind:this={list} tabindex="-1" class="mt-1 max-w-3xl divide-y divide-base-300 outline-none">
    {#each log as item (item.id)}
      <li class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
        <span class="font-serif text-xl font-semibold">{item.number}</span>
        <span class="grow">
          {#if item.simulated}<span class="badge badge-sm">simulated</span>
          {/if}{passes.get(item.passes ?? '') ?? 'not tried through'}{item.symptoms.length
            ? '; '
            : ''}{item.symptoms.map((symptom) => names.get(symptom)).join('; ')}
          <span class="block text-sm text-secondary"
            >{item.opening.text} wanted, {item.set_word}
            {item.set.text}{item.measured ? `, measured ${item.measured.text}` : ''}{item.again
              ? ' (looked at twice)'
              : ''}; {item.stitch_width.text} wide,
            {item.stitch_length.text} long, tension {item.tension}{item.balance
              ? `, balance ${item.balance}`
              : ''}; {item.stabiliser}</span
          >
          {#if item.note}<span class="block text-sm wrap-anywhere">{item.note}</span>{/if}
        </span>
        <button
          class="btn btn-ghost btn-sm"
          aria-expanded={photo === item.id}
          aria-label="Photo of Test {item.number}"
          onclick={() => (photo = photo === item.id ? '' : item.id)}>Photo</button
        >
        {#if item.accepted}
          <span class="badge badge-primary">in use</span>
        {:else}
          <button class="btn btn-sm" onclick={() => accept(item.id)}>Use Test {item.number}</button>
        {/if}
        {#if photo === item.id}
          <PhotoPanel entry={item.id} drawn={item.drawn} number={item.number} />
        {/if}
      </li>
    {/each}
  </ol>
  <p class="mt-1 text-sm">
    <a class="link" href={workroom.at('/swatches')}>The swatch book</a> keeps them all.
    <a class="link" href={workroom.at(`/closures/${closure.id}/log`)}>The whole log</a>, where an entry made
    by mistake is withdrawn.
  </p>
{/if}
