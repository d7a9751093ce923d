<script lang="ts">
  // Pairing this device: by what the camera read, or by the six figures of the other screen.
  import { onMount } from 'svelte';
  import { ask, refusal } from '../../api/ask';
  import { client } from '../../api/client';
  import { whoIsIt } from '../../api/entrance';
  import { go } from '../../router';
  import Frame from './Frame.svelte';
  import Typed from './Typed.svelte';

  let code = $state('');
  let fault = $state('');
  let failed = $state('');

  async function pair(given: string): Promise<void> {
    const answer = await ask(client.POST('/api/pairings/taken', { body: { code: given } }));
    const { faults, failed: sentence } = refusal(answer);
    fault = faults['pairing.code'] ?? '';
    failed = sentence;
    if (answer.kind !== 'data') return;
    await whoIsIt();
    await go(answer.data.slug ? `/w/${answer.data.slug}` : '/');
  }

  onMount(() => {
    const read = location.hash.slice(1);
    if (!read) return;
    history.replaceState(history.state, '', '/pair');
    void pair(read);
  });
</script>

<Frame title="Pair this device" {failed}>
  <p class="mt-3">
    On your other screen, tap your name at the top, then <strong>Pair a device</strong>. Type its six figures
    here.
  </p>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void pair(code);
    }}
  >
    <Typed
      label="Six figures"
      path="pairing.code"
      bind:value={code}
      {fault}
      autocomplete="one-time-code"
      inputmode="numeric"
    />
    <p class="mt-5"><button class="btn btn-lg btn-primary">Pair this device</button></p>
  </form>
  <p class="mt-6 text-secondary">
    A paired device sews, logs tests and takes photos. It deletes nothing and changes no plan.
  </p>
</Frame>
