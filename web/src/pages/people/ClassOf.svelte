<script lang="ts">
  // A class: each pupil gets a copy of this workroom, and whoever teaches sees how far each is.
  import { createQuery } from '@tanstack/svelte-query';
  import { ask, read, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Fold from '../../ui/Fold.svelte';
  import { day } from '../../ui/when';
  import Handed from '../../ui/Handed.svelte';

  let params = $derived({ path: { slug: workroom.slug } });
  const asked = createQuery(() => ({
    queryKey: ['class', workroom.slug],
    queryFn: () => read(client.GET('/api/workrooms/{slug}/class', { params })),
    enabled: workroom.slug !== '',
  }));
  let pupils = $derived(asked.data ?? []);
  let typed = $state('');
  let failed = $state('');
  let given = $state.raw<{ pupil: string; address: string }[]>([]);

  async function give(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const names = typed
      .split(/[\n,;]/)
      .map((name) => name.trim())
      .filter(Boolean);
    if (names.length === 0) {
      failed = 'Type one name a line.';
      return;
    }
    const answer = await ask(client.POST('/api/workrooms/{slug}/class', { params, body: { pupils: names } }));
    const said = refusal(answer);
    failed = said.faults['class.pupils'] ?? said.failed;
    if (answer.kind !== 'data') return;
    given = answer.data;
    typed = '';
    await asked.refetch();
  }
</script>

<h2 class="mt-8 text-xl font-semibold">Class</h2>
{#if pupils.length}
  <div class="mt-2 overflow-x-auto">
    <table class="table" data-class>
      <thead>
        <tr><th>Pupil</th><th>Buttonholes</th><th>Tested</th><th>Finished</th><th>Last here</th></tr>
      </thead>
      <tbody>
        {#each pupils as pupil (pupil.slug)}
          <tr>
            <th scope="row"
              ><a class="link wrap-anywhere" href="/w/{pupil.slug}">{pupil.pupil}</a>{#if !pupil.joined}<span
                  class="block font-normal text-secondary">not here yet</span
                >{/if}</th
            >
            <td>{pupil.closures}</td>
            <td>{pupil.tested}</td>
            <td>{pupil.finished}</td>
            <td>{pupil.last ? day(pupil.last) : '–'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}
<Fold name="class" title="Give pupils a copy of this workroom">
  <p class="max-w-prose">
    Each gets the same machines, shelves and plans, without your tests and sewing. You look on.
  </p>
  {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
  <form onsubmit={give}>
    <label class="mt-2 flex max-w-md flex-col gap-0.5 text-sm text-secondary"
      >Names of the pupils, one a line
      <textarea class="textarea bg-base-100 text-lg text-base-content" rows="4" bind:value={typed}></textarea>
    </label>
    <p class="mt-3"><button class="btn">Give them copies</button></p>
  </form>
</Fold>
{#each given as one (one.address)}<Handed
    title="For {one.pupil}: works once, within a week"
    address={one.address}
  />{/each}
