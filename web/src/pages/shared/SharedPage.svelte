<script lang="ts">
  // A plan, as whoever has its link reads it: what is sewn where, with what, and its prints.
  import { createQuery } from '@tanstack/svelte-query';
  import { read } from '../../api/ask';
  import { client, type Sheet } from '../../api/client';
  import Garment from '../../drawn/Garment.svelte';
  import { capital } from '../../ui/capital';
  import { counted } from '../../ui/counted';
  import Fold from '../../ui/Fold.svelte';
  import Frame from '../account/Frame.svelte';

  const token = location.hash.slice(1);
  const asked = createQuery(() => ({
    queryKey: ['shared', token],
    queryFn: () => read(client.GET('/api/shared/{token}', { params: { path: { token } } })),
    enabled: token !== '',
    retry: false,
  }));
  let closure = $derived(asked.data?.closure);
  let sheet = $derived(closure?.sheet as Sheet | undefined);
  let plan = $derived(closure?.plan);
  let holes = $derived(sheet?.placket?.holes ?? []);
  /** What the stage is called that has the length of what is cut. */
  let title = $derived(sheet?.stages.find((stage) => stage.word === 'opening')?.title ?? '');
  let ways = $derived(sheet?.recipe.ways);
  let way = $derived(ways?.offered.find((one) => one.key === ways.chosen));
  /** What the machine is set to, or what hands work to. */
  let set = $derived<[string, string][]>(
    ways?.instead
      ? (way?.figures ?? []).map((one) => [one.name, one.value.text])
      : (sheet?.recipe.settings ?? []).map((one) => [one.label, one.text]),
  );
  let missing = $derived(token === '' || asked.isError);
  let prints = $derived(
    [
      ['strip.pdf', 'Print the strip', true],
      ['hole-card.pdf', `Print the ${sheet?.button.sewn} card`, ways?.carded],
      ['card.pdf', 'Print the settings', !ways?.instead],
      ['way.pdf', `Print the page: ${way?.name}`, way !== undefined],
    ].filter(([, , there]) => there),
  );
</script>

{#if closure && sheet && plan}
  <div class="min-h-screen bg-base-100 px-4 py-8 text-base-content">
    <main id="main" tabindex="-1" class="mx-auto max-w-4xl outline-none">
      <p class="text-secondary">Nimble Eyelet: a plan to read</p>
      <h1 class="text-4xl font-semibold wrap-anywhere">{asked.data?.garment}: {closure.name}</h1>
      <div class="mt-4 grid grid-cols-[minmax(0,1fr)] gap-8 md:grid-cols-2">
        <Garment
          name={closure.name}
          size="h-96 max-sm:h-64"
          part={{
            use: plan['placket.use'],
            place: plan['placket.place'],
            orientation: plan['placket.orientation'],
            rows: plan['placket.rows'],
            places: holes.map((hole) => hole.at.mm),
            length: plan['placket.run_length'].mm,
            sewn: holes.map((hole) => hole.sewn),
          }}
        />
        <div>
          {#if ways?.carded}
            <p class="text-secondary">{title}</p>
            <p class="answer" data-answer>{sheet.opening.length.text}</p>
            <p>{capital(sheet.button.sewn)}s to sew: {holes.length}</p>
          {:else}
            <p class="answer" data-answer>{counted(holes.length, sheet.button.sewn)}</p>
          {/if}
          <ol class="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-lg" aria-label="From the end you measure from">
            {#each holes as hole (hole.number)}<li>
                <span class="text-secondary">{hole.number}</span>
                {hole.at.text}
              </li>{/each}
          </ol>
          <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
            {#each set as [label, text] (label)}
              <dt class="text-secondary">{capital(label)}</dt>
              <dd>{text}</dd>
            {/each}
          </dl>
          <p class="mt-5 flex flex-wrap gap-2">
            {#each prints as [file, name] (file)}
              <a class="btn" href="/api/shared/{token}/{file}" target="_blank">{name}</a>
            {/each}
          </p>
        </div>
      </div>
      {#if sheet.sewing}
        <Fold name="shared-steps" title="All steps">
          <ol class="ml-5 list-decimal">
            {#each sheet.sewing.steps as step (step.key)}<li>{step.does}</li>{/each}
          </ol>
        </Fold>
      {/if}
    </main>
  </div>
{:else}
  <Frame title={missing ? 'This link no longer works' : 'A plan to read'}>
    {#if missing}<p class="mt-4">Somebody ended it, or part of it is missing. Ask for a new link.</p>
    {:else}<p class="mt-4" role="status">Loading the plan…</p>{/if}
  </Frame>
{/if}
