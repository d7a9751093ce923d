<script lang="ts">
  // How long by each method, one line a method, and which one is followed.
  import type { StationProps } from '../../closure/station';

  let { work, closure, sheet }: Pick<StationProps, 'work' | 'closure' | 'sheet'> = $props();

  let opening = $derived(sheet.opening);
  let longest = $derived(Math.max(...opening.answers.map((answer) => answer.length.mm)));
  const percent = (mm: number) => `${(mm / longest) * 100}%`;

  let house = $derived(work.closure?.house['opening.school']);
  let own = $derived(closure.plan['opening.school']);
  function choose(school: string): void {
    work.type('opening.school', school === house?.value ? '' : school);
    work.saver.soon(0);
  }
</script>

<fieldset>
  <legend class="font-serif text-xl font-semibold">Other methods</legend>
  <ul class="mt-1 divide-y divide-base-300">
    {#each opening.answers as answer (answer.school)}
      <li>
        <label
          class="grid min-h-11 cursor-pointer grid-cols-[auto_4.5rem_4.2rem_1fr] items-center gap-x-2 py-1"
        >
          <input
            type="radio"
            class="radio radio-sm"
            name="school"
            checked={answer.chosen}
            onchange={() => choose(answer.school)}
          />
          <span class="h-1.5 bg-base-200" aria-hidden="true">
            <span
              class={['block h-full', answer.chosen ? 'bg-primary' : 'bg-primary/50']}
              style:width={percent(answer.length.mm)}
            ></span>
          </span>
          <span class="font-semibold">{answer.length.text}</span>
          <span class="text-[0.95rem] leading-tight">
            <span class={answer.chosen ? 'font-semibold' : ''}
              >{answer.name}{answer.school === house?.value ? ', your usual' : ''}</span
            >
            <span class={answer.verdict.usable ? 'text-secondary' : 'text-warning'}
              >· {answer.verdict.words}</span
            >
          </span>
        </label>
      </li>
    {/each}
  </ul>
</fieldset>
{#if own}
  <button
    class="min-h-11 cursor-pointer text-sm underline decoration-dotted"
    onclick={() => work.typeAll({ 'opening.school': '' })}>Back to your usual: {house?.name}</button
  >
{/if}
