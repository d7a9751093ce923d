<script lang="ts">
  // A picture for the tablet's camera and six figures for a hand: good once, for two minutes.
  import { onDestroy } from 'svelte';
  import { ask, words } from '../../api/ask';
  import { client, type Pairing } from '../../api/client';

  let { asked }: { asked: () => void } = $props();
  let offer = $state.raw<Pairing>();
  let failed = $state('');
  let now = $state(Date.now());
  let left = $derived(offer ? Math.max(0, Math.ceil((Date.parse(offer.until) - now) / 1000)) : 0);

  async function begin(): Promise<void> {
    const answer = await ask(client.POST('/api/pairings'));
    failed = words(answer);
    offer = answer.kind === 'data' ? answer.data : undefined;
    now = Date.now();
  }

  // Every second while there is something to count, and a look at whether the tablet is there.
  const clock = setInterval(() => {
    if (!offer) return;
    now = Date.now();
    if (left % 3 === 0) asked();
    if (left === 0) offer = undefined;
  }, 1000);
  onDestroy(() => clearInterval(clock));
</script>

{#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
{#if offer}
  <div class="mt-3 flex flex-wrap items-center gap-x-8 gap-y-4" data-offer>
    <img
      src={offer.picture}
      alt="A code for the tablet's camera"
      width="200"
      height="200"
      class="rounded-lg bg-white p-1"
    />
    <div>
      <p>Point the tablet's camera at it, or open</p>
      <p class="font-semibold wrap-anywhere">{offer.address}</p>
      <p class="mt-2">and type</p>
      <p class="font-serif text-5xl font-semibold tracking-widest" data-figures>
        {offer.figures.slice(0, 3)}
        {offer.figures.slice(3)}
      </p>
      <p class="mt-1 text-secondary">Works once, for {left} more seconds.</p>
    </div>
  </div>
{:else}
  <button class="btn" onclick={begin}>Pair a device</button>
{/if}
