<script lang="ts">
  import { ask, faultsOf, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { go } from '../../router';
  import { workroom } from '../../api/workroom.svelte';
  import Fold from '../../ui/Fold.svelte';
  import Why from '../../ui/Why.svelte';
  import Cautions from '../../ui/Cautions.svelte';
  import Field from '../../closure/Field.svelte';
  import Figure from '../../ui/Figure.svelte';
  import Habits from '../../closure/Habits.svelte';
  import Pick from '../../closure/Pick.svelte';
  import type { StationProps } from '../../closure/station';
  import ButtonPlaces from './ButtonPlaces.svelte';
  import ButtonSewnPanel from './ButtonSewnPanel.svelte';
  import SewnOnPicture from './SewnOnPicture.svelte';

  let { work, closure, sheet }: StationProps = $props();

  let attach = $derived(sheet.attach);
  let pinned = $derived(
    (closure.plan['attach.shank_by'] ?? work.closure?.house['attach.shank_by']?.value) === 'pin',
  );
  let failed = $state('');

  /** The eyelets are a small closure of their own, on the underlap. */
  async function planEyelets(): Promise<void> {
    const body = {
      garment: closure.garment.name,
      name: `${closure.name}: eyelets`,
      like: closure.id,
      eyelets: true,
    };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/closures', { params: { path: { slug: workroom.slug } }, body }),
    );
    failed = answer.kind === 'data' ? '' : (Object.values(faultsOf(answer))[0] ?? words(answer));
    if (answer.kind !== 'data') return;
    void workroom.refresh();
    await go(workroom.at(`/closures/${answer.data.id}/placket`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }

  const placed = ['order', 'pattern', 'between', 'shank_by', 'feed'].map((name) => `attach.${name}`);
  let pattern = $derived(
    workroom.field('attach.pattern')?.choices.find((item) => item.key === attach.pattern),
  );
</script>

<SewnOnPicture {closure} />
{#if attach.by_machine}
  <div class="mt-3 flex flex-wrap items-end gap-x-8 gap-y-2">
    <div>
      <p class="answer" data-answer>{attach.width?.text}</p>
      <p class="text-secondary">zigzag width</p>
      {#if attach.diagonal}<p data-diagonal>{attach.diagonal.text} for the diagonal</p>{/if}
    </div>
    <div>
      <p class={['text-2xl font-semibold', attach.verdict !== 'good' && 'text-warning']} data-verdict>
        {attach.verdict_words}
      </p>
      <p class="text-secondary">{attach.clearance?.text} at the {attach.needle} needle</p>
    </div>
    <dl class="flex flex-wrap gap-x-8 gap-y-2">
      <Figure label="Stitches a pair" text={String(attach.stitches)} />
      <Figure label="Thread shank" term="shank" text={attach.shank.mm > 0 ? attach.shank.text : 'none'} />
      {#if attach.spacer}<Figure label="Spacer" text={attach.spacer.text} />{/if}
    </dl>
  </div>
{:else}
  <p class="answer mt-3" data-answer>By hand</p>
  <p class="mt-1 max-w-prose text-lg">{attach.instead}</p>
  {#if attach.cord}<p class="mt-1 max-w-prose" data-cord>
      {attach.cord.text} of cord from fabric to toggle.
    </p>{:else}<p class="mt-1 max-w-prose">
      Thread for one button: {attach.hand_thread.text}, doubled and waxed.{attach.shank.mm > 0
        ? ` Wind a shank of ${attach.shank.text}.`
        : ''}
    </p>{/if}
{/if}

<div class="mt-2"><Cautions cautions={attach.cautions} /></div>

<div class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3">
  {#if closure.plan['button.attachment'] === 'four_holes'}<Pick {work} path="attach.pattern" listed />{/if}
  {#if sheet.button.holes.length > 0}
    <Field {work} path="attach.shank" label="Shank" placeholder={attach.shank.text} hint="0: it lies flat" />
  {:else}
    <Pick {work} path="attach.shank_by" listed />
  {/if}
  <Pick {work} path="attach.order" listed />
</div>
{#if sheet.button.holes.length === 0 && pinned}
  <p class="mt-2 max-w-prose">
    Each button sits in an eyelet, on a pin behind it. It comes off for washing.
    <button class="btn btn-sm" onclick={planEyelets}>Plan the eyelets</button>
  </p>
  {#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
{/if}
{#if attach.places}<ButtonPlaces places={attach.places} />{/if}

<div class="folds">
  <Fold name="attach-more" title="More choices">
    {#if attach.by_machine}
      <dl class="flex flex-wrap gap-x-8 gap-y-2">
        <Figure label="Pattern" text={pattern?.name ?? ''} />
        <Figure label="The feed" text={attach.feed} />
        {#if attach.needle_most}<Figure
            label="Largest needle that clears"
            text={String(attach.needle_most)}
          />{/if}
      </dl>
      <p class="mt-1 max-w-prose">{attach.pattern_how} Lower the presser foot every time.</p>
    {/if}
    <div class="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3">
      {#if sheet.button.holes.length > 0}
        <Field
          {work}
          path="attach.width"
          label="Your own width"
          placeholder={attach.width?.text ?? ''}
          hint="empty: the hole spacing"
        />
        <Field
          {work}
          path="attach.stitches"
          label="Your own stitches"
          placeholder={String(attach.stitches)}
        />
      {/if}
      {#if attach.by_machine}
        {#if closure.plan['button.attachment'] === 'four_holes'}<Pick
            {work}
            path="attach.between"
            listed
          />{/if}
        <Pick {work} path="attach.feed" listed />
      {/if}
      <Habits {work} section="attach" elsewhere={placed} listed />
    </div>
  </Fold>
  {#if sheet.button.holes.length > 0}
    <Fold name="attach-sewn" title="See it sewn, stitch by stitch"><ButtonSewnPanel {closure} /></Fold>
  {/if}
  <Why name="attach-why" title="Why" reasons={attach.because} />
</div>
