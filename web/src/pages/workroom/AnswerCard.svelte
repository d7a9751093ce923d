<script lang="ts">
  // The first answer: how long, where, what to set, and what that rests on.
  import type { FirstAnswer } from '../../api/client';
  import Dial from '../../drawn/Dial.svelte';
  import Garment from '../../drawn/Garment.svelte';
  import TwentyButtons from '../../drawn/TwentyButtons.svelte';
  import { capital } from '../../ui/capital';
  import { counted } from '../../ui/counted';
  import AssumedChip from './AssumedChip.svelte';

  type Props = {
    answer: FirstAnswer;
    keeping: boolean;
    choose: (path: string, value: string) => void;
  };
  let { answer, keeping, choose }: Props = $props();

  let found = $derived(answer.answer);
  let many = $derived(found ? counted(found.holes, found.noun) : '');
  /** How long it is cut; of what is not cut, how many. */
  let headline = $derived(
    found?.way && !found.way.opens ? many : `${found?.range ? 'about ' : ''}${found?.length.text}`,
  );
  /** Another way than holes alone, as it was said or tapped. */
  let otherwise = $derived(answer.chips.find((chip) => chip.path === 'recipe.way')?.text);
  let what = $derived(!found?.way || found.way.opens ? 'these buttonholes' : many);
  let apart = $derived(
    found?.gap && found.widest
      ? `, ${[...new Set([found.gap.text, found.widest.text])].join(' to ')} apart`
      : '',
  );
</script>

<div
  class="mt-2 grid gap-x-8 gap-y-4 rounded-lg border border-base-300 p-4 md:grid-cols-[auto_minmax(0,1fr)_auto]"
  data-first-answer
>
  {#if found}
    <Garment part={found.drawn} name="{answer.garment}: {answer.part}" size="h-48 w-40" />
    <div class="min-w-0">
      <p class="wrap-anywhere text-secondary">{answer.garment}: {answer.part}</p>
      <p class="answer" data-answer>{headline}</p>
      {#if found.way}
        {#if found.way.name !== found.noun}<p>{capital(found.way.name)}</p>{/if}
      {:else if found.range}
        <p>{found.range.from.text} to {found.range.to.text}, until the thickness is measured.</p>
      {:else if found.chance}
        <p>{found.chance.words} ({found.chance.in_twenty} in 20)</p>
        <TwentyButtons filled={found.chance.in_twenty} />
      {/if}
      <p class="mt-2">
        <strong>{many}</strong>, the first {found.first.text} from the {found.measured_from}{apart}.
      </p>
      {#each found.cautions as caution (caution)}<p class="mt-1 text-sm text-warning">{caution}</p>{/each}
      {#if found.doubt}
        <div class="mt-2 max-w-prose border-l-4 border-warning pl-3" data-doubt>
          <p class="text-warning">{found.doubt}</p>
          <p class="mt-1 flex flex-wrap items-center gap-2">
            Better:
            {#each found.instead as way (way.key)}
              <button type="button" class="btn btn-sm" onclick={() => choose('recipe.way', way.key)}
                >{capital(way.name)}</button
              >
            {/each}
          </p>
        </div>
      {/if}
      {#if otherwise}
        <button type="button" class="min-h-8 link text-sm" onclick={() => choose('recipe.way', '')}
          >{found.way ? 'Sew holes by machine after all' : `Leave out the ${otherwise}`}</button
        >
      {/if}
      {#if found.way}
        <dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-4">
          {#each found.way.figures as figure (figure.label)}
            <dt class="text-secondary">{capital(figure.label)}</dt>
            <dd>{figure.text}</dd>
          {/each}
        </dl>
      {:else}
        <div class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-1">
          {#each found.dials as item (item.key)}
            <div class="flex flex-col items-center text-sm">
              {#if item.dial}<Dial {...item.dial} />{/if}
              <span><strong class="text-base">{item.text}</strong> {item.label.toLowerCase()}</span>
            </div>
          {/each}
          <p class="text-[0.95rem]">
            Needle <strong>{found.needle}</strong><br />{found.stabiliser}
          </p>
        </div>
      {/if}
    </div>
  {:else}
    <div class="md:col-span-2">
      {#each answer.faults as fault (fault.field)}
        <p role="alert" class="font-semibold text-warning">{fault.allowed}</p>
      {/each}
    </div>
  {/if}
  <div class="flex flex-col justify-end">
    <button class="btn btn-lg btn-primary" disabled={!found || keeping}
      >{keeping ? 'Keeping it…' : `Keep ${what}`}</button
    >
  </div>
  <div class="md:col-span-3">
    <p class="mb-1 text-sm text-secondary">What it rests on. Tap to change.</p>
    <ul class="flex flex-wrap gap-2">
      {#each answer.chips as chip (chip.path)}<li><AssumedChip {chip} {choose} /></li>{/each}
      <li class="flex min-h-11 items-center rounded-full border border-base-300 px-3 text-sm">
        {answer.machine.name}
      </li>
    </ul>
  </div>
</div>
