<script lang="ts">
  // A setting of the whole workroom that is one of a few.
  import { workroom, type WorkroomChange } from '../../api/workroom.svelte';

  type Props = {
    name: 'csv' | 'caliper';
    question: string;
    change: (body: WorkroomChange) => Promise<void>;
  };
  let { name, question, change }: Props = $props();
</script>

<fieldset class="mt-2" data-setting-choice={name}>
  <legend class="font-serif text-2xl font-semibold">{question}</legend>
  {#each workroom.field(`workroom.${name}`)?.choices ?? [] as choice (choice.key)}
    <label class="mt-1 flex min-h-11 w-fit items-center cursor-pointer gap-3">
      <input
        type="radio"
        class="radio radio-sm"
        {name}
        checked={workroom.data?.[name] === choice.key}
        onchange={() => change({ [name]: choice.key })}
      />
      {choice.name}
    </label>
  {/each}
</fieldset>
