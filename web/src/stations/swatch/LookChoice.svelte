<script lang="ts">
  // Five drawn answers to one question, large enough to tap; the one that is tapped goes on to the next question.
  import type { Look, LookDrawn } from '../../api/client';
  import LookPicture from './LookPicture.svelte';
  import type { Seen } from './seen.svelte';

  type Props = { look: Look; seen: Seen; pictures: LookDrawn[]; chosen: () => void };
  let { look, seen, pictures, chosen }: Props = $props();

  const id = $props.id();
</script>

<fieldset data-look={look.key}>
  <legend class="sr-only">{look.question}</legend>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-5">
    {#each look.grades as grade (grade.key)}
      {@const picture = pictures.find((one) => one.look === look.key && one.grade === grade.key)}
      {@const picked = seen.answer(look.key) === grade.key}
      <label
        class={[
          'flex cursor-pointer flex-col overflow-hidden rounded border-2 text-center leading-tight has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-primary',
          picked ? 'border-primary font-semibold' : 'border-base-300 hover:border-primary',
        ]}
      >
        <input
          type="radio"
          class="sr-only"
          name="{id}-{look.key}"
          value={grade.key}
          checked={picked}
          onchange={() => seen.say(look.key, grade.key)}
          onclick={(event) => event.detail > 0 && setTimeout(chosen, 250)}
        />
        <span class="block h-28 overflow-hidden bg-base-200"
          >{#if picture}<LookPicture {picture} tall="h-28" />{/if}</span
        >
        <span class="flex min-h-14 items-center justify-center px-1 py-1.5">{grade.name}</span>
      </label>
    {/each}
  </div>
</fieldset>
