<script lang="ts">
  // How the handwork of a stage goes, and what the keys do.
  import { workroom } from '../api/workroom.svelte';
  import LineDrawing from '../drawn/LineDrawing.svelte';
  import { TOOLS } from '../drawn/tools';
  import { keysOf } from './keys';
  import { tour } from './tour.svelte';

  let { stage, close }: { stage: string; close: () => void } = $props();

  function around(): void {
    close();
    void tour.begin(workroom.slug);
  }

  let how = $derived(workroom.catalogue?.how_to.find((one) => one.stage === stage));
</script>

{#if how}
  <h3 class="text-lg font-semibold">{how.title}</h3>
  <ol class="mt-2 space-y-3" data-how-to>
    {#each how.beats as beat (beat.says)}
      {@const drawing = TOOLS[beat.step]}
      <li class="flex items-center gap-4">
        <span class="w-24 shrink-0"
          >{#if drawing}<LineDrawing {drawing} size="h-16" />{/if}</span
        >
        <span>{beat.says}</span>
      </li>
    {/each}
  </ol>
{/if}
<h3 class="mt-5 text-lg font-semibold">Keys</h3>
<dl class="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-5 gap-y-1">
  {#each keysOf(stage) as [keys, does] (keys)}
    <dt><kbd class="kbd kbd-sm">{keys}</kbd></dt>
    <dd>{does}</dd>
  {/each}
</dl>
<p class="mt-5 flex flex-wrap gap-x-5">
  {#if workroom.slug}<a class="flex min-h-11 items-center link" href={workroom.at('/glossary')}>Glossary</a
    >{/if}
  {#if workroom.data?.sample && !tour.stop}
    <button class="flex min-h-11 cursor-pointer items-center link" onclick={around}>Show me around</button>
  {/if}
  <a class="flex min-h-11 items-center link" href="/about">About and licences</a>
</p>
