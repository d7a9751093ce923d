<script lang="ts">
  // The session drawn along the clock: a lane for each closure, one for the machine. Solid is work, hatched dries, dotted
  // is waited. A block can be moved before the one in front of it, or after the one behind.
  import type { Session, SessionMoment } from '../../api/client';
  import { calledIn, lasting, timeOf } from '../../session/words';

  type Props = {
    doc: Session;
    move: (index: number, by: -1 | 1) => void;
    canMove: (index: number, by: -1 | 1) => boolean;
  };
  let { doc, move, canMove }: Props = $props();

  const id = $props.id();
  const LANE = 46;
  const WIDE = 1000;
  const LEFT = 4;
  let chosen = $state<number>();
  let moments = $derived(doc.order.moments);
  let length = $derived(Math.max(doc.order.seconds, ...moments.map((one) => one.dry_at ?? 0), 60));
  let lanes = $derived(doc.closures.filter((one) => moments.some((moment) => moment.closure === one.id)));
  const x = (seconds: number): number => LEFT + (seconds / length) * (WIDE - LEFT * 2);
  const lane = (moment: SessionMoment): number => lanes.findIndex((one) => one.id === moment.closure);
  let blocks = $derived(moments.filter((one) => one.kind === 'work'));
  let every = $derived([5, 10, 15, 30, 60, 120, 240].find((minutes) => length / 60 / minutes <= 12) ?? 480);
  let ticks = $derived(
    Array.from({ length: Math.floor(length / 60 / every) + 1 }, (_, index) => index * every * 60),
  );
  let picked = $derived(chosen === undefined ? undefined : blocks[chosen]);
  const called = (moment: SessionMoment): string => calledIn(doc, moment.closure);

  function go(by: -1 | 1): void {
    if (chosen === undefined || !canMove(chosen, by)) return;
    move(chosen, by);
    chosen += by;
  }
</script>

<div class="relative overflow-x-auto">
  <svg
    viewBox="0 0 {WIDE} {(lanes.length + 1) * LANE + 44}"
    class="w-full min-w-[44rem] overflow-hidden"
    role="img"
    aria-label="The session along the clock, {lasting(doc.order.seconds)}"
  >
    <defs>
      <pattern id="{id}-dry" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" stroke="currentColor" stroke-width="2" stroke-opacity="0.45" />
      </pattern>
    </defs>
    {#each ticks as tick (tick)}
      <path d="M{x(tick)} 16V{(lanes.length + 1) * LANE + 22}" stroke="currentColor" stroke-opacity="0.15" />
      <text x={Math.min(x(tick), WIDE - 36)} y="11" font-size="12" fill="currentColor"
        >{timeOf(doc.as_of, tick)}</text
      >
    {/each}
    {#each lanes as one, index (one.id)}
      <text x={LEFT} y={30 + index * LANE} font-size="13" fill="currentColor" fill-opacity="0.8"
        >{one.garment}: {one.name}</text
      >
    {/each}
    <text x={LEFT} y={30 + lanes.length * LANE} font-size="13" fill="currentColor" fill-opacity="0.8"
      >{doc.machine.name}</text
    >
    {#each moments as moment, index (index)}
      {@const y = 36 + (moment.kind === 'work' ? lane(moment) : lanes.length) * LANE}
      {@const wide = Math.max(x(moment.to) - x(moment.from), 2)}
      {#if moment.kind === 'work'}
        {#if moment.dry_at}
          <rect
            x={x(moment.to)}
            {y}
            width={x(moment.dry_at) - x(moment.to)}
            height="20"
            fill="url(#{id}-dry)"
          />
        {/if}
        <rect
          x={x(moment.from)}
          {y}
          width={wide}
          height="20"
          class={[moment === picked ? 'fill-warning' : 'fill-primary']}
          stroke="var(--color-base-100)"
        />
        {#if wide > 66}
          <text x={x(moment.from) + 5} y={y + 14} font-size="12" class="fill-primary-content"
            >{moment.says?.split(' and ')[0]}</text
          >
        {/if}
      {:else if moment.kind === 'set'}
        <rect x={x(moment.from)} {y} width={wide} height="20" class="fill-accent"
          ><title>{moment.needs.join('; ') || 'as its owner has it'}</title></rect
        >
      {:else}
        <rect
          x={x(moment.from)}
          {y}
          width={wide}
          height="20"
          fill="none"
          stroke="currentColor"
          stroke-dasharray="3 4"
        />
      {/if}
    {/each}
  </svg>
</div>
<p class="text-sm text-secondary">
  Solid: work. Hatched: it dries. On the machine: you change its settings. Dotted: you wait.
</p>

<h3 class="mt-4 text-lg font-semibold">In this order</h3>
<ol class="mt-1 max-w-3xl" data-order>
  {#each blocks as moment, index (`${moment.closure}:${moment.block}`)}
    <li class="flex flex-wrap items-center gap-x-3 border-b border-dashed border-base-300 py-1">
      <span class="w-14 text-secondary">{timeOf(doc.as_of, moment.from)}</span>
      <button
        class={['min-h-11 grow cursor-pointer text-left wrap-anywhere', chosen === index && 'font-semibold']}
        aria-pressed={chosen === index}
        onclick={() => (chosen = chosen === index ? undefined : index)}
        onkeydown={(event) => {
          if (chosen !== index || !event.altKey) return;
          if (event.key === 'ArrowUp') go(-1);
          if (event.key === 'ArrowDown') go(1);
        }}>{moment.says}: {called(moment)}</button
      >
      <span class="text-secondary">{lasting(moment.to - moment.from)}</span>
      {#if chosen === index}
        <span class="flex gap-2">
          <button class="btn btn-sm" disabled={!canMove(index, -1)} onclick={() => go(-1)}>Earlier</button>
          <button class="btn btn-sm" disabled={!canMove(index, 1)} onclick={() => go(1)}>Later</button>
        </span>
      {/if}
    </li>
  {/each}
</ol>
