<script lang="ts">
  // What to lay ready, and how thread and bobbins last.
  import type { Session } from '../../api/client';
  import { calledIn, lasting } from '../../session/words';

  let { doc }: { doc: Session } = $props();

  const called = (id: number): string => calledIn(doc, id);
</script>

<div class="mt-7 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-7 md:grid-cols-[repeat(2,minmax(0,1fr))]">
  <section aria-labelledby="ready">
    <h2 id="ready" class="text-xl font-semibold">Lay ready</h2>
    <dl class="mt-1">
      {#each doc.kit as group (group.title)}
        <dt class="mt-2 text-secondary">{group.title}</dt>
        {#each group.items as item, index (index)}
          <dd class="wrap-anywhere">
            {item.name}{#if item.lacks}<span class="text-warning">: {item.lacks}</span>{/if}
          </dd>
        {/each}
      {/each}
    </dl>
    <p class="mt-3 max-w-prose text-sm text-secondary">
      A page-turning pedal goes on the other side from the machine's own: tried once with the machine off.
    </p>
  </section>
  <section aria-labelledby="takes">
    <h2 id="takes" class="text-xl font-semibold">How long it takes</h2>
    <ul class="mt-1">
      {#each doc.forecast.working as one (one.closure)}
        <li class="wrap-anywhere">{called(one.closure)}: {lasting(one.seconds)}</li>
      {/each}
      <li>Setting the machine: {lasting(doc.forecast.changing)}</li>
      <li>Waiting for what dries: {doc.forecast.waiting ? lasting(doc.forecast.waiting) : 'nothing'}</li>
    </ul>
    {#each doc.forecast.threads as thread (thread.name)}
      <p class="mt-3 wrap-anywhere">
        <span class="font-semibold">{thread.name}</span>: {thread.top} on top, {thread.bobbin} from the bobbin,
        which holds {thread.left}{thread.full ? ' when it is full' : ''}.
      </p>
      {#each thread.changes as change, index (index)}
        <p class="border-l-4 border-warning pl-3">
          Change the bobbin before {change.hole === null ? 'the test hole' : `hole ${change.hole}`} of {called(
            change.closure,
          )}, never within one.
        </p>
      {/each}
      {#if thread.changes.length === 0}<p>It lasts.</p>{/if}
    {/each}
  </section>
</div>
