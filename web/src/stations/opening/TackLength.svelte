<script lang="ts">
  // How a bar tack gets its length: by a key pressed early, by the programme itself, or between two lines.
  import Because from '../../ui/Because.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import TackPicture from './TackPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let opening = $derived(sheet.opening);
  let setting = $derived(opening.setting);
</script>

<p class="answer" data-answer>{opening.length.text}</p>
<p class="mt-1 max-w-prose text-xl" data-says>{opening.says}</p>
{#if setting.differs}
  <p role="status" class="mt-2 border-l-4 border-warning pl-3 text-warning">
    {opening.wanted.text} is wanted; the setting below makes {opening.length.text}, and everything after goes
    by that.
  </p>
{/if}
<div class="mt-3"><Cautions cautions={opening.cautions} /></div>
<div class="mt-3"><TackPicture {closure} /></div>

<h2 class="mt-5 text-lg font-semibold">How {closure.machine.name} comes to it</h2>
<p class="max-w-prose text-lg" data-setting>{setting.says}</p>
<div class="mt-2"><Cautions cautions={setting.cautions} /></div>

<div class="mt-5 flex flex-wrap gap-x-8 gap-y-3">
  <Pick {work} path="opening.tack_by" label="Its length comes from" empty="whatever fits" />
  <Pick {work} path="opening.ruler" listed />
  <Field {work} path="opening.correction" hint="what test tacks taught; 0 until then" />
</div>
<div class="mt-5"><Because reasons={opening.because} /></div>
