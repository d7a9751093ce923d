<script lang="ts">
  // A test hole with one or two faults hidden in it: what is seen, and which one thing to change. Then the truth beside
  // what was said.
  import { createQuery } from '@tanstack/svelte-query';
  import { untrack } from 'svelte';
  import { ask, read, refusedIn, words } from '../../api/ask';
  import { uuid } from '../../api/browser_store';
  import { client, type EyesJudged, type EyeSample, type LookDrawn } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import EyeHole from '../../rehearse/EyeHole.svelte';
  import { offeredFor } from '../../rehearse/offered';
  import { route } from '../../router';
  import LookPicture from '../../stations/swatch/LookPicture.svelte';
  import { announce } from '../../ui/announce.svelte';
  import Page from '../Page.svelte';

  const params = route.params as { slug: string; id: string };
  const path = { slug: params.slug, id: Number(params.id) };
  const MOST_SEEDS = 2_147_483_647;
  const offered = offeredFor(() => path);
  const asked = createQuery(() => ({
    queryKey: ['eyes-asked', params.slug, params.id],
    queryFn: async () => {
      const sheet = await read(
        client.GET('/api/workrooms/{slug}/closures/{id}', { params: { path, query: { station: 'swatch' } } }),
      );
      const pictures = await read(
        client.GET('/api/workrooms/{slug}/closures/{id}/looks', { params: { path } }),
      );
      return { looks: sheet.sheet.swatch?.looks ?? [], pictures };
    },
  }));

  /** One's own test hole, by its photo; else one that is made up. */
  const own = new URLSearchParams(location.search).get('own') ?? undefined;
  let seed = $state(fresh());
  let level = $state<number>();
  let sample = $state.raw<EyeSample>();
  let judged = $state.raw<EyesJudged>();
  let seen = $state<Record<string, string>>({});
  let change = $state('');
  let failed = $state('');
  let began = performance.now();
  let looks = $derived((asked.data?.looks ?? []).filter((look) => sample?.asked.includes(look.key)));
  /** The next that is not answered; then the change. */
  let open = $derived(looks.find((look) => !seen[look.key]));
  let answered = $derived(!open && change !== '');

  function fresh(): number {
    return Math.floor(Math.random() * MOST_SEEDS);
  }
  $effect(() => {
    if (offered.data && untrack(() => level) === undefined) {
      level = offered.data.level;
      void show();
    }
  });

  const which = () => (own ? { own } : { seed, level: level ?? 0 });

  async function show(): Promise<void> {
    const body = which();
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/closures/{id}/eyes', { params: { path }, body }),
    );
    failed = words(answer);
    if (answer.kind === 'data') sample = answer.data as EyeSample;
  }

  async function judge(): Promise<void> {
    const body = { ...which(), seen, change };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/closures/{id}/eyes', { params: { path }, body }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    judged = answer.data as EyesJudged;
    announce(verdict);
    const kept = {
      id: uuid(),
      exercise: 'eyes',
      alone: true,
      seconds: Math.round((performance.now() - began) / 1000),
    };
    // Who only looks on practises, and nothing is kept of it.
    const done = await ask(
      client.POST('/api/workrooms/{slug}/closures/{id}/rehearsals', {
        params: { path },
        body: { ...kept, ...body },
      }),
    );
    if (done.kind === 'away') failed = words(done);
  }

  async function another(): Promise<void> {
    await offered.refetch();
    level = offered.data?.level ?? level;
    seed = fresh();
    sample = undefined;
    judged = undefined;
    seen = {};
    change = '';
    began = performance.now();
    await show();
  }

  let verdict = $derived.by(() => {
    if (!judged) return '';
    if (!judged.misjudged.length && judged.right) return 'You saw it all, and chose well.';
    if (!judged.misjudged.length) return 'You saw it all. Another change would help more.';
    return judged.right ? 'The change is right. Look once more.' : 'Look once more.';
  });
  const picture = (look: string, grade: string): LookDrawn | undefined =>
    asked.data?.pictures.find((one) => one.look === look && one.grade === grade);
  const named = (look: string, grade: string | undefined): string =>
    looks.find((one) => one.key === look)?.grades.find((one) => one.key === grade)?.name ?? '';
</script>

<Page title="What is wrong with this one?" wide failed={failed || refusedIn(offered.error)}>
  <p><a class="link text-secondary" href={workroom.at(`/closures/${params.id}/rehearse`)}>Rehearse</a></p>
  <h1 class="mt-1 text-3xl font-semibold" data-answer>
    {#if judged}{verdict}{:else if open}{open.question}{:else}What would you change?{/if}
  </h1>
  {#if sample && asked.data}
    <div class="mt-4 grid gap-6 lg:grid-cols-[3fr_2fr]">
      {#if own}
        <img
          class="w-full rounded border border-base-300"
          alt="Your test hole"
          src="/api/workrooms/{params.slug}/swatches/{own}/photo/large.jpg"
        />
      {:else}<EyeHole {sample} />{/if}
      <div>
        {#if judged}
          <ul class="space-y-2" data-truth>
            {#each looks as look (look.key)}
              {@const wrong = judged.misjudged.includes(look.key)}
              <li class={['border-l-4 pl-3', wrong ? 'border-warning' : 'border-primary']}>
                <span class="block text-sm text-secondary">{look.question}</span>
                <span class="font-semibold">{named(look.key, judged.truth[look.key])}</span>
                {#if wrong}<span class="block text-sm text-secondary"
                    >You said: {named(look.key, seen[look.key])}</span
                  >{/if}
              </li>
            {/each}
          </ul>
          <p class="mt-4">
            What helps: <strong
              >{judged.changes
                .map((key) => sample?.changes.find((one) => one.key === key)?.name ?? '')
                .join(', or ')}</strong
            >.
          </p>
          {#if !judged.right}<p>You chose: {sample.changes.find((one) => one.key === change)?.name}.</p>{/if}
          {#if judged.advice}<p class="mt-2 text-secondary">
              After such a test, Nimble Eyelet says: {judged.advice}
            </p>{/if}
          <p class="mt-6 flex flex-wrap gap-3">
            {#if !own}<button class="btn btn-lg btn-primary" onclick={() => void another()}
                >Another one</button
              >{/if}
            <a class="btn btn-lg" href={workroom.at(`/closures/${params.id}/rehearse`)}>Enough for now</a>
          </p>
        {:else if open}
          <div class="grid gap-2" role="group" aria-label={open.question} data-grades>
            {#each open.grades as grade (grade.key)}
              {@const drawn = picture(open.key, grade.key)}
              <button
                class="flex min-h-14 cursor-pointer items-center gap-3 rounded border border-base-300 p-1.5 text-left hover:border-primary"
                onclick={() => open && (seen[open.key] = grade.key)}
              >
                {#if drawn}<span class="w-28 shrink-0"><LookPicture picture={drawn} tall="h-12" /></span>{/if}
                {grade.name}
              </button>
            {/each}
          </div>
          <p class="mt-3 text-sm text-secondary">
            {Object.keys(seen).length + 1} of {looks.length}
            {#if Object.keys(seen).length}
              <button class="ml-2 link" onclick={() => (seen = {})}>Look again from the first</button>{/if}
          </p>
        {:else}
          <div class="flex flex-wrap gap-2" role="group" aria-label="What would you change?">
            {#each sample.changes as one (one.key)}
              <button
                class={['btn min-h-11', change === one.key && 'btn-primary']}
                aria-pressed={change === one.key}
                onclick={() => (change = one.key)}>{one.name}</button
              >
            {/each}
          </div>
          <p class="mt-5 flex flex-wrap gap-3">
            <button class="btn btn-lg btn-primary" disabled={!answered} onclick={() => void judge()}
              >See the truth</button
            >
            <button class="btn btn-lg" onclick={() => (seen = {})}>Look again</button>
          </p>
        {/if}
      </div>
    </div>
  {:else if !failed && !offered.error}<p class="mt-4" role="status">Sewing a test hole…</p>{/if}
</Page>
