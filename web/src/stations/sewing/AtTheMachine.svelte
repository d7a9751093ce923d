<script lang="ts">
  // From the plan to the machine: the session that goes on there, with this closure in it, or a new one.
  import { ask, words } from '../../api/ask';
  import { client } from '../../api/client';
  import { sessionsOpen } from '../../api/under_way';
  import { workroom } from '../../api/workroom.svelte';
  import { go } from '../../router';

  let { closure, machine }: { closure: number; machine: { id: number; name: string } } = $props();

  const asked = sessionsOpen();
  let failed = $state('');
  let open = $derived(asked.data?.find((one) => one.machine_id === machine.id));

  async function sit(): Promise<void> {
    const at = { path: { slug: workroom.slug } };
    failed = '';
    const answer = open
      ? await join(open.id)
      : await ask(
          client.POST('/api/workrooms/{slug}/sessions', { params: at, body: { closures: [closure] } }),
        );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    void workroom.refresh();
    await go(workroom.at(`/sessions/${answer.data.id}`));
  }

  /** The session that goes on, with this closure laid beside the others. */
  async function join(id: number) {
    const path = { slug: workroom.slug, id };
    const found = await ask(client.GET('/api/workrooms/{slug}/sessions/{id}', { params: { path } }));
    if (found.kind !== 'data') return found;
    const ids = found.data.closures.map((one) => one.id);
    if (ids.includes(closure)) return found;
    const header = { 'If-Match': `"${found.data.revision}"` };
    const body = { closures: [...ids, closure] };
    return ask(client.PATCH('/api/workrooms/{slug}/sessions/{id}', { params: { path, header }, body }));
  }
</script>

<p class="flex flex-wrap items-center justify-end gap-3">
  <button class="btn btn-primary h-auto min-h-11 max-w-full whitespace-normal wrap-anywhere" onclick={sit}
    >{open ? `Go on at ${machine.name}` : `Start sewing at ${machine.name}`}</button
  >
  {#if failed}<span role="alert" class="w-full font-semibold text-error">{failed}</span>{/if}
</p>
