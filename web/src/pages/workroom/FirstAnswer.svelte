<script lang="ts">
  // One line in, a whole plan out: what needs buttonholes, shown at once and kept by Enter. What was not understood is
  // underlined and said; what was assumed can be changed where it stands.
  import { ask, words } from '../../api/ask';
  import { keep, recall } from '../../api/browser_store';
  import { client, type FirstAnswer } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import { begun } from '../../closure/begun.svelte';
  import { line } from '../../help/line.svelte';
  import { go } from '../../router';
  import { announce } from '../../ui/announce.svelte';
  import AnswerCard from './AnswerCard.svelte';

  let { shown }: { shown: boolean } = $props();

  const EXAMPLES = [
    'shirt front, 7 buttons 11.5 mm, cotton poplin',
    'coat cuff, 3 buttons 24L, wool',
    'cushion cover, 4 buttons 22 mm',
  ];
  /** So many frames a page may take to come into sight. */
  const FRAMES = 120;
  /** After so long without a key, milliseconds. */
  const PAUSE = 200;
  let key = $derived(`request:${workroom.slug}`);
  let text = $state('');
  let chosen = $state<Record<string, string>>({});
  let answer = $state.raw<FirstAnswer>();
  /** The line that the answer is for. */
  let answered = $state('');
  let failed = $state('');
  let keeping = $state(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let input = $state<HTMLInputElement>();
  /** The same line below the field, for its underlines: it lies where the field lies. */
  let mirror = $state<HTMLElement>();
  const follow = (): void => mirror?.scrollTo({ left: input?.scrollLeft ?? 0 });
  let search = $derived(text.trim().toLowerCase());
  let found = $derived(
    search.length < 3
      ? []
      : (workroom.data?.garments ?? [])
          .filter((item) => search.split(/[\s,]+/).every((word) => item.name.toLowerCase().includes(word)))
          .slice(0, 4),
  );

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
  $effect(() => {
    const kept = recall<string>(key);
    if (kept && !text) {
      text = kept;
      void look();
    }
  });

  const body = () => ({ text: text.trim(), chosen: $state.snapshot(chosen) });

  function typed(): void {
    keep(key, text.trim() || undefined);
    clearTimeout(timer);
    if (!text.trim()) {
      answer = undefined;
      chosen = {};
      failed = '';
      return;
    }
    timer = setTimeout(() => void look(), PAUSE);
  }

  async function look(): Promise<void> {
    const sent = body();
    if (!sent.text) return;
    const params = { path: { slug: workroom.slug } };
    const got = await ask(client.POST('/api/workrooms/{slug}/request', { params, body: sent }));
    if (sent.text !== text.trim()) return;
    failed = words(got);
    if (got.kind !== 'data') return;
    answer = got.data;
    answered = sent.text;
    const length = answer.answer?.length.text;
    if (length) announce(`${length}, ${answer.answer?.holes} ${answer.answer?.noun}s`);
  }

  /** The first Enter shows what comes of it, where that is not shown yet; the next one keeps it. */
  async function enter(event?: SubmitEvent): Promise<void> {
    event?.preventDefault();
    if (!text.trim() || keeping) return;
    clearTimeout(timer);
    if (answered !== text.trim() || !answer?.answer) return look();
    keeping = true;
    const params = { path: { slug: workroom.slug } };
    const got = await ask(client.POST('/api/workrooms/{slug}/request/keep', { params, body: body() }));
    keeping = false;
    failed = words(got);
    if (got.kind !== 'data') return;
    keep(key, undefined);
    begun.say(got.data);
    void workroom.refresh();
    await go(workroom.at(`/closures/${got.data.id}/button`));
    document.getElementById('main')?.focus({ preventScroll: true });
  }

  function choose(path: string, value: string): void {
    chosen = { ...chosen, [path]: value };
    void look();
  }

  $effect(() => {
    if (pieces.length > 0) follow();
  });

  /** The line in pieces: understood, not understood, and what lies between. */
  let pieces = $derived.by(() => {
    if (!answer || answered !== text.trim()) return [];
    const start = text.length - text.trimStart().length;
    const spans = [
      ...answer.understood.map((span) => ({ ...span, known: true })),
      ...answer.unread.map((span) => ({ ...span, known: false })),
    ].toSorted((one, other) => one.from - other.from);
    return spans.flatMap((span, index) => {
      const before = start + (spans[index - 1]?.to ?? -start);
      return [
        { text: text.slice(before, start + span.from), mark: '' },
        {
          text: text.slice(start + span.from, start + span.to),
          mark: span.known ? 'border-primary' : 'border-warning',
        },
      ];
    });
  });
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
        {#each pieces as piece, index (index)}<span class={piece.mark && `border-b-3 pb-0.5 ${piece.mark}`}
            >{piece.text}</span
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
        bind:value={text}
        oninput={typed}
        onscroll={follow}
      />
    </div>
    <p id="request-help" class="mt-1 min-h-6 text-[0.95rem] text-secondary">
      {#if answer && answer.unread.length > 0 && answered === text.trim()}
        <span class="text-warning" data-unread
          >Not understood: {answer.unread.map((span) => `“${span.text}”`).join(', ')}.</span
        >
      {/if}
      {#each (answer?.understood ?? []).filter((span) => span.meant) as span (span.from)}
        “{answered.slice(span.from, span.to)}” is taken for {span.meant}.
      {/each}
      {#if !text}
        Try
        {#each EXAMPLES as example, index (example)}{index ? ' or ' : ' '}<button
            type="button"
            class="min-h-8 link"
            onclick={() => {
              text = example;
              typed();
            }}>{example}</button
          >{/each}
      {:else if answer?.answer}Enter keeps it.{/if}
    </p>
    {#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
    {#if answer && text.trim()}
      <AnswerCard {answer} {keeping} {choose} />
    {/if}
  </form>
  {#if found.length > 0}
    <p class="mt-2 flex flex-wrap items-center gap-x-4" data-found>
      <span class="text-secondary">Here already:</span>
      {#each found as item (item.id)}
        <a class="flex min-h-11 items-center link wrap-anywhere" href={workroom.at(`/garments/${item.id}`)}
          >{item.name}</a
        >
      {/each}
    </p>
  {/if}
</section>
