<script lang="ts">
  // How a hole is opened: with what, where the pins lie or the chisel bites, and when it is sealed.
  import type { Sheet } from '../../api/client';
  import Field from '../../closure/Field.svelte';
  import Habits from '../../closure/Habits.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import Fold from '../../ui/Fold.svelte';
  import CutPicture from './CutPicture.svelte';

  let { work, cutting }: { work: ClosureWork; cutting: NonNullable<Sheet['sewing']>['cutting'] } = $props();
  let trueSize = $state(false);
</script>

<div data-opened>
  <Fold name="sew-opened" title="How the holes are opened: {cutting.says}">
    <CutPicture {cutting} {trueSize} />
    <label class="mt-1 flex min-h-8 cursor-pointer items-center gap-2 text-sm">
      <input type="checkbox" class="checkbox checkbox-sm" bind:checked={trueSize} />At true size. Check it
      with a ruler: screens differ.
    </label>
    <div class="mt-2 flex flex-wrap gap-x-8 gap-y-3">
      <Pick {work} path="cut.tool" />
      {#if cutting.tool === 'chisel'}
        <Field {work} path="cut.chisel" hint="of the one you own" />
      {/if}
      <Habits {work} section="cut" elsewhere={['cut.tool']} />
    </div>
  </Fold>
</div>
