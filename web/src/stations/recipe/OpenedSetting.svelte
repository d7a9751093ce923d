<script lang="ts">
  // One setting, opened: why it is so, other values each with the hole redrawn, one's own, and back to what is advised.
  import type { Closure, Sheet } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Field from '../../closure/Field.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import OtherValues from './OtherValues.svelte';
  import Scores from './Scores.svelte';

  type Props = {
    work: ClosureWork;
    closure: Closure;
    item: Sheet['recipe']['settings'][number];
    close: () => void;
  };
  let { work, closure, item, close }: Props = $props();

  let machine = $derived(workroom.data?.machines.find((item) => item.id === closure.plan['machine.id']));
  let feet = $derived(
    (machine?.feet ?? []).map((foot) => ({ ...foot, note: foot.note ? `you call it ${foot.note}` : '' })),
  );

  function clear(): void {
    work.type(item.field ?? '', '');
    work.saver.soon(0);
    close();
  }
</script>

<section
  aria-label={item.label}
  class="mt-2 rounded border-2 border-primary p-3"
  data-setting-opened={item.key}
>
  <p class="max-w-prose">{item.because.map((reason) => reason.says).join(' ')}</p>
  <div class="mt-2 flex flex-wrap items-end gap-4">
    {#if item.dial && item.field}<OtherValues {work} {item} version={closure.version} />{/if}
    {#if item.field && workroom.field(item.field)?.choices.length}
      <Pick
        {work}
        path={item.field}
        label="Your own"
        listed
        empty="as advised"
        choices={item.field === 'recipe.foot' ? feet : undefined}
      />
    {:else if item.field}
      <Field
        {work}
        path={item.field}
        label="Your own"
        placeholder={item.text}
        wide={item.key === 'stabiliser'}
      />
    {/if}
    {#if item.field && item.yours}
      <button class="btn" aria-label="As advised: {item.label.toLowerCase()}" onclick={clear}
        >As advised</button
      >
    {/if}
  </div>
  {#if item.scores.length > 0}<Scores scores={item.scores} label={item.label.toLowerCase()} />{/if}
</section>
