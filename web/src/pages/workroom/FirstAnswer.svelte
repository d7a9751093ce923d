<script lang="ts">
  // One line in, a whole plan out: what needs buttonholes, shown at once and kept by Enter. What was not understood is
  // underlined and named; what was assumed can be changed where it stands.
  import { untrack } from 'svelte';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { line } from '../../help/line.svelte';
  import { go } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import { counted } from '../../ui/counted';
  import AnswerCard from './AnswerCard.svelte';
  import { Request } from './request.svelte';

  let { shown }: { shown: boolean } = $props();

  const EXAMPLES = [
    'shirt front, 7 buttons 11.5 mm, cotton poplin',
    'coat cuff, 3 buttons 24L, wool',
    'cushion cover, 4 buttons 22 mm',
  ];
  /** So many frames a page may take to come into sight. */
  const FRAMES = 120;
  let request = $derived.by(() => {
    const { slug } = workroom;
    return untrack(() => new Request(slug));
  });
  let input = $state<HTMLInputElement>();
  /** The same line below the field, for its underlines. */
  let mirror = $state<HTMLElement>();
  let answer = $derived(request.answer);
  let found = $derived.by(() => {
    const search = request.text.trim().toLowerCase();
    if (search.length < 3) return [];
    return (workroom.data?.garments ?? [])
      .filter((item) => search.split(/[\s,]+/).every((word) => item.name.toLowerCase().includes(word)))
      .slice(0, 4);
  });

  let here = $derived(answer && request.fresh ? answer.found : { buttons: [] as string[], tests: 0 });
  /** A line that is nothing but the name of a garment looks for it; so does one that comes to no plan. */
  let opens = $derived(
    found.find((item) => item.name.toLowerCase() === request.text.trim().toLowerCase()) ??
      (answer && request.fresh && !answer.answer ? found[0] : undefined),
  );
  const searched = (page: string, words: string): string =>
    workroom.at(`/${page}?search=${encodeURIComponent(words.trim())}`);

  const follow = (): void => mirror?.scrollTo({ left: input?.scrollLeft ?? 0 });
  $effect(() => {
    if (request.pieces.length > 0) follow();
  });
  $effect(() => {
    const first = answer?.answer;
    if (!first) return;
    // What has no slit has no length of one.
    const long = first.way && !first.way.opens ? [] : [first.length.text];
    untrack(() => announce([...long, counted(first.holes, first.noun)].join(', ')));
  });
  $effect(() => {
    if (!shown || !line.wanted) return;
    // A page that is gone to takes the focus itself, and may not be in sight yet.
    const take = (frames: number): void => {
      input?.focus();
      if (document.activeElement === input) line.wanted = false;
      else if (frames > 0) requestAnimationFrame(() => take(frames - 1));
    };
    requestAnimationFrame(() => take(FRAMES));
  });

  async function enter(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const garment = opens;
    if (garment) {
      request.clear();
      await go(workroom.at(`/garments/${garment.id}`));
      return;
    }
    const closure = await request.enter();
    if (!closure) return;
    begun.say('closure', closure.id, closure.left_behind);
    void workroom.refresh();
    await go(workroom.at(`/closures/${closure.id}/button`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }
</script>

<section aria-labelledby="ask" class="mb-7">
  <form onsubmit={enter}>
    <h2 id="ask" class="text-3xl font-semibold"><label for="request">What needs buttonholes?</label></h2>
    <div class="relative mt-2">
      <div
        bind:this={mirror}
        class="pointer-events-none absolute inset-0 overflow-hidden px-4 py-3 text-xl whitespace-pre text-transparent max-sm:text-lg"
        aria-hidden="true"
      >
        {#each request.pieces as { text, mark }, index (index)}<span
            class={[
              mark && 'border-b-3 pb-0.5',
              mark === 'understood' && 'border-primary',
              mark === 'unread' && 'border-warning',
            ]}>{text}</span
          >{/each}
      </div>
      <input
        id="request"
        bind:this={input}
        class="w-full rounded-lg border-2 border-primary bg-transparent px-4 py-3 text-xl max-sm:text-lg"
        maxlength="200"
        autocomplete="off"
        placeholder={EXAMPLES[0]}
        aria-describedby="request-help"
        bind:value={request.text}
        oninput={() => request.typed()}
        onscroll={follow}
      />
    </div>
    <p id="request-help" class="mt-1 min-h-6 text-[0.95rem] text-secondary">
      {#if !request.text}
        Try
        {#each EXAMPLES as example, index (example)}{index ? ' or ' : ' '}<button
            type="button"
            class="min-h-8 link"
            onclick={() => {
              request.text = example;
              request.typed();
            }}>{example}</button
          >{/each}
      {:else if answer && request.fresh}
        {#if answer.unread.length > 0}
          <span class="text-warning" data-unread
            >Not understood: {answer.unread.map((span) => `“${span.text}”`).join(', ')}.</span
          >
        {/if}
        {#each answer.understood.filter((span) => span.meant) as span (span.from)}
          “{request.text.trim().slice(span.from, span.to)}” is taken for {span.meant}.
        {/each}
        {#if opens}Enter opens {opens.name}.{:else if answer.answer}Enter keeps it.{/if}
      {/if}
    </p>
    {#if request.failed}<p role="alert" class="font-semibold text-error">{request.failed}</p>{/if}
    {#if answer}
      <AnswerCard {answer} keeping={request.keeping} choose={(path, value) => request.choose(path, value)} />
    {/if}
  </form>
  {#if found.length > 0 || here.buttons.length > 0 || here.tests > 0}
    <p class="mt-2 flex flex-wrap items-center gap-x-4" data-found>
      <span class="text-secondary">Here already:</span>
      {#each found as item (item.id)}
        <a class="flex min-h-11 items-center link wrap-anywhere" href={workroom.at(`/garments/${item.id}`)}
          >{item.name}</a
        >
      {/each}
      {#each here.buttons as name (name)}
        <a class="flex min-h-11 items-center link wrap-anywhere" href={searched('stash', name)}
          >{name}, in the stash</a
        >
      {/each}
      {#if here.tests > 0}
        <a class="flex min-h-11 items-center link" href={searched('swatches', request.text)}
          >{here.tests === 1 ? 'A test' : `${here.tests} tests`} in the swatch book</a
        >
      {/if}
    </p>
  {/if}
</section>
