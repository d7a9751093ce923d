<script lang="ts">
  // One thing to look at, with a drawing of each answer: whoever does not know the words goes by these.
  import type { Look, LookDrawn } from '../../api/client';
  import LookPicture from './LookPicture.svelte';
  import type { Seen } from './seen.svelte';

  let { look, seen, pictures }: { look: Look; seen: Seen; pictures: LookDrawn[] } = $props();

  const id = $props.id();
</script>

<fieldset class="mt-4" data-look={look.key}>
  <legend class="text-base font-semibold">{look.question}</legend>
  <div class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-5">
    {#each look.grades as grade (grade.key)}
      {@const picture = pictures.find((one) => one.look === look.key && one.grade === grade.key)}
      <label
        class={[
          'flex min-h-11 cursor-pointer flex-col gap-1 border-2 p-1 text-sm leading-tight has-focus-visible:outline-3 has-focus-visible:outline-offset-1',
          seen.answer(look.key) === grade.key ? 'border-primary bg-base-200' : 'border-transparent',
        ]}
      >
        <span class="block h-16 overflow-hidden bg-base-200">
          {#if picture}<LookPicture {picture} />{/if}
        </span>
        <span class="flex items-start gap-1.5">
          <input
            type="radio"
            class="radio mt-0.5 shrink-0 radio-xs"
            name="{id}-{look.key}"
            value={grade.key}
            checked={seen.answer(look.key) === grade.key}
            onchange={() => seen.say(look.key, grade.key)}
          />{grade.name}
        </span>
      </label>
    {/each}
  </div>
</fieldset>
