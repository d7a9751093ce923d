<script lang="ts">
  // What somebody wants to remember of a garment. It is saved when the field is left; until then the browser keeps it.
  import { workroom } from '../../api/workroom.svelte';
  import { onMount, untrack } from 'svelte';
  import type { GarmentWork } from './garment.svelte';

  let { work }: { work: GarmentWork } = $props();

  const id = $props.id();
  let saved = $derived(work.page?.note ?? '');
  const before = untrack(() => work.unsaved);
  let typed = $state(before?.note ?? '');
  let was = $state(before?.was);
  let fault = $state('');
  let other = $state<string>();
  let text = $derived(was === undefined ? saved : typed);

  // A page that was left in the middle of it had no time to save.
  onMount(() => {
    if (before) void save();
  });

  function type(event: Event & { currentTarget: HTMLTextAreaElement }): void {
    was ??= saved;
    typed = event.currentTarget.value;
    work.keepNote(typed, was);
  }

  async function save(over = was): Promise<void> {
    if (was === undefined || over === undefined) return;
    const sent = typed;
    const told = await work.note(sent, over);
    fault = told.fault;
    other = told.other;
    if (told.fault) return;
    // Somebody may have typed on meanwhile.
    was = typed === sent ? undefined : saved;
    work.keepNote(typed, was ?? typed);
  }

  function takeOther(): void {
    was = undefined;
    other = undefined;
    fault = '';
    work.keepNote('', '');
    void work.refresh();
  }
</script>

<label class="mt-5 block text-sm text-secondary" for={id}>Note</label>
<textarea
  {id}
  class={['textarea w-full bg-base-100 text-base', fault && 'textarea-error']}
  rows="2"
  maxlength="4000"
  readonly={!workroom.may('plan')}
  placeholder="What to remember next time"
  aria-invalid={fault ? 'true' : undefined}
  aria-describedby="{id}-state"
  value={text}
  oninput={type}
  onchange={() => save()}></textarea>
<div id="{id}-state" class="text-sm">
  {#if other !== undefined}
    <p role="alert" class="font-semibold text-error">{fault}</p>
    <p class="mt-1 border-l-4 border-base-300 pl-3 whitespace-pre-line">{other}</p>
    <p class="mt-2 flex flex-wrap gap-2">
      <button class="btn btn-sm" onclick={() => save(other)}>Keep mine</button>
      <button class="btn btn-ghost btn-sm" onclick={takeOther}>Take the other</button>
    </p>
  {:else if was !== undefined}
    {#if fault}<p role="alert" class="font-semibold text-error">{fault}</p>{/if}
    <button class="btn mt-1 btn-sm" onclick={() => save()}>Save the note</button>
  {/if}
</div>
