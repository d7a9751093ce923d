<script lang="ts">
  // All garments with their closures, and a new closure.
  import { client } from '../api/client';
  import { room } from '../api/room.svelte';
  import { navigate } from '../router';
  import PageBar from '../shell/PageBar.svelte';

  let garment = $state('');
  let name = $state('');
  let like = $state('');
  let mirror = $state(false);
  let faults = $state<Record<string, string>>({});
  let failed = $state('');
  let removing = $state<{ id: number; name: string }>();
  let asking = $state<HTMLDialogElement>();

  void room.load();
  document.title = 'Workroom: Nimble Eyelet';

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    faults = {};
    failed = '';
    try {
      const body = { garment, name, ...(like ? { like: Number(like), mirror } : {}) };
      const answer = await client.POST('/api/closures', { body });
      if (answer.data) {
        void room.load();
        await navigate('/closures/:id/:station', {
          params: { id: String(answer.data.id), station: 'button' },
        });
        return;
      }
      for (const fault of answer.error?.faults ?? []) faults[fault.field] = fault.allowed;
      if (!answer.error?.faults?.length) failed = answer.error?.detail ?? '';
    } catch {
      failed = 'The server does not answer. What you typed is still here; try again in a moment.';
    }
  }

  let unread = $state('');

  async function takeIn(file: File): Promise<void> {
    unread = '';
    try {
      const answer = await client.POST('/api/garments/import', {
        body: (await file.text()) as never,
        bodySerializer: (text) => text as unknown as string,
      });
      if (answer.data) await navigate('/garments/:id', { params: { id: String(answer.data.id) } });
      else unread = answer.error?.detail ?? '';
    } catch {
      unread = 'The server does not answer. Try again in a moment.';
    }
  }

  async function remove(): Promise<void> {
    if (!removing) return;
    await client.DELETE('/api/closures/{id}', { params: { path: { id: removing.id } } });
    removing = undefined;
    asking?.close();
    await room.load();
  }
</script>

<div class="min-h-screen bg-base-100 text-base-content">
  <PageBar />
  <main class="mx-auto grid max-w-5xl gap-x-14 gap-y-8 px-4 py-8 md:grid-cols-[1fr_20rem]">
    <section>
      <h1 class="text-4xl font-semibold">{room.workroom?.name ?? 'The workroom'}</h1>
      <p class="mt-1 text-secondary">
        One closure at a time: from the button in the hand to the buttons sewn on.
      </p>
      {#if room.failed}<p role="alert" class="mt-4 border-l-4 border-warning pl-3">
          The server does not answer. Trying again…
        </p>{/if}
      {#if room.workroom && room.workroom.garments.length === 0}
        <p class="mt-6">Nothing here yet. Begin with a garment and one of its closures.</p>
      {/if}
      {#each room.workroom?.garments ?? [] as item (item.id)}
        {#if item.closures.length > 0}
          <h2 class="mt-6 border-b border-base-300 text-xl font-semibold wrap-anywhere">
            <a class="hover:underline" href="/garments/{item.id}">{item.name}</a>
          </h2>
          <ul>
            {#each item.closures as closure (closure.id)}
              <li class="flex items-center gap-2 border-b border-dashed border-base-300">
                <a
                  class="grow py-2 text-lg wrap-anywhere hover:underline"
                  href="/closures/{closure.id}/button">{closure.name}</a
                >
                <button
                  class="btn btn-ghost btn-xs"
                  aria-label="Remove {closure.name}"
                  onclick={() => {
                    removing = closure;
                    asking?.showModal();
                  }}>Remove</button
                >
              </li>
            {/each}
          </ul>
        {/if}
      {/each}
      <h2 class="mt-8 border-b border-base-300 text-xl font-semibold">Machines</h2>
      <ul>
        {#each room.workroom?.machines ?? [] as machine (machine.id)}
          <li class="border-b border-dashed border-base-300">
            <a
              class="flex flex-wrap items-baseline gap-x-3 py-2 text-lg hover:underline"
              href="/machines/{machine.id}"
              ><span class="wrap-anywhere">{machine.name}</span>
              <span class="text-base text-secondary">{machine.kind_name}</span></a
            >
          </li>
        {/each}
      </ul>
      <a class="btn mt-3 btn-sm" href="/machines/new">Another machine</a>
    </section>
    <form class="self-start border-l-4 border-primary pl-4" onsubmit={begin}>
      <h2 class="text-xl font-semibold">Begin a closure</h2>
      <label class="mt-3 flex flex-col text-sm text-secondary"
        >Garment
        <input
          class={[
            'input w-full bg-base-100 text-lg text-base-content',
            faults['closure.garment'] && 'input-error',
          ]}
          list="garments"
          bind:value={garment}
          aria-invalid={faults['closure.garment'] ? 'true' : undefined}
        />
        {#if faults['closure.garment']}<span role="alert" class="font-semibold text-error"
            >{faults['closure.garment']}</span
          >{/if}
      </label>
      <datalist id="garments">
        {#each room.workroom?.garments ?? [] as item (item.id)}<option value={item.name}></option>{/each}
      </datalist>
      <label class="mt-3 flex flex-col text-sm text-secondary"
        >Closure
        <input
          class={[
            'input w-full bg-base-100 text-lg text-base-content',
            faults['closure.name'] && 'input-error',
          ]}
          placeholder="front placket"
          bind:value={name}
          aria-invalid={faults['closure.name'] ? 'true' : undefined}
        />
        {#if faults['closure.name']}<span role="alert" class="font-semibold text-error"
            >{faults['closure.name']}</span
          >{/if}
      </label>
      <label class="mt-3 flex flex-col text-sm text-secondary"
        >Start from
        <select class="select w-full bg-base-100 text-base text-base-content" bind:value={like}>
          <option value="">a plain shirt button in light cloth</option>
          {#each room.workroom?.garments ?? [] as item (item.id)}
            {#each item.closures as closure (closure.id)}<option value={String(closure.id)}
                >like {item.name}: {closure.name}</option
              >{/each}
          {/each}
        </select>
      </label>
      {#if like}
        <label class="mt-2 flex cursor-pointer gap-2"
          ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={mirror} />its mirror image, for
          the other side</label
        >
      {/if}
      {#if failed}<p role="alert" class="mt-2 font-semibold text-error">{failed}</p>{/if}
      <button class="btn mt-4 btn-primary">Begin</button>
      <label class="mt-6 flex flex-col text-sm text-secondary"
        >Or take in a garment from its file
        <input
          type="file"
          accept=".json,application/json"
          class="file-input mt-1 w-full bg-base-100"
          onchange={(event) => {
            const file = event.currentTarget.files?.[0];
            if (file) void takeIn(file);
            event.currentTarget.value = '';
          }}
        />
      </label>
      {#if unread}<p role="alert" class="mt-2 font-semibold text-error">{unread}</p>{/if}
    </form>
  </main>
</div>

<dialog bind:this={asking} class="modal" aria-labelledby="asking-title">
  <div class="modal-box">
    <h2 id="asking-title" class="text-xl font-semibold">Remove “{removing?.name}” for good?</h2>
    <p class="mt-2">Its plan, its swatches and its history go with it. This cannot be undone.</p>
    <div class="modal-action">
      <button class="btn" onclick={() => asking?.close()}>Keep it</button>
      <button class="btn btn-error" onclick={remove}>Remove</button>
    </div>
  </div>
</dialog>
