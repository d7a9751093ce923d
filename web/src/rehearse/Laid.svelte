<script lang="ts">
  // Thread as it was laid: in lengths of some stitches each, so that what lies there is not drawn again with every stitch.
  let {
    all,
    before,
    others,
    thick,
    loose,
    nest,
    begins,
    tails,
    edge,
  }: {
    /** Every penetration, in micrometres, x and y in turn. */ all: number[];
    /** Stitches of an attempt that lies under it. */ before: number[];
    /** What else is sewn there. */ others: number[][];
    thick: number;
    /** Loops hang from it. */ loose: boolean;
    /** A lump of thread lies where it begins. */ nest: boolean;
    begins: [number, number];
    tails: 'loose' | 'led';
    /** Where led threads leave the picture. */ edge: [number, number];
  } = $props();

  const MM = 1000;
  /** Figures of one length of thread. */
  const LENGTH = 48;
  const EVERY = 12;

  const path = (points: number[]): string => {
    const places: string[] = [];
    for (let index = 0; index < points.length; index += 2)
      places.push(`${(points[index] ?? 0) / MM} ${(points[index + 1] ?? 0) / MM}`);
    return places.length ? `M${places.join('L')}` : '';
  };
  let lengths = $derived(
    Array.from({ length: Math.ceil(all.length / LENGTH) }, (_, index) =>
      path(all.slice(Math.max(index * LENGTH - 2, 0), (index + 1) * LENGTH)),
    ),
  );
  let loops = $derived(
    loose
      ? all.flatMap((across, index) =>
          index % EVERY === 0 ? [`M${across / MM} ${(all[index + 1] ?? 0) / MM}c-1 0.8 1.2 1.2 0.6 0`] : [],
        )
      : [],
  );
  let [x, y] = $derived(begins);
</script>

<g fill="none" stroke-linejoin="round" stroke-linecap="round">
  {#if before.length}
    <path d={path(before)} stroke="var(--thread-edge)" stroke-width={thick * 0.7} opacity="0.35" />
  {/if}
  {#each others as one, index (index)}
    <path d={path(one)} stroke="var(--thread)" stroke-width={thick} />
  {/each}
  {#if tails === 'loose'}
    <path
      d="M{x} {y}c2 3 4 -1 6 3M{x} {y}c-2 3 -5 0 -5 4"
      stroke="var(--thread)"
      stroke-width={thick * 0.6}
    />
  {:else}
    <path
      d="M{x} {y}C{x - 3} {y - 5} {edge[0] + 3} {edge[1] + 1} {edge[0]} {edge[1]}"
      stroke="var(--thread)"
      stroke-width={thick * 0.6}
      opacity="0.6"
    />
  {/if}
  {#each lengths as d, index (index)}
    <path {d} stroke="var(--thread-edge)" stroke-width={thick * 1.15} />
    <path {d} stroke="var(--thread)" stroke-width={thick * 0.8} />
    <path {d} stroke="var(--thread-light)" stroke-width={thick * 0.2} opacity="0.75" />
  {/each}
  {#each loops as d, index (index)}<path {d} stroke="var(--thread)" stroke-width={thick * 0.6} />{/each}
  {#if nest && all.length}
    <path
      d="M{x} {y}c-2 1.4 2.6 1.8 1.4 -0.4s-3.4 -1 -2 0.6s2.8 0.4 1.6 -1"
      stroke="var(--thread-edge)"
      stroke-width={thick * 0.6}
    />
  {/if}
</g>
