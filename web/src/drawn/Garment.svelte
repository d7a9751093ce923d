<script lang="ts" module>
  /** What is drawn of one edge with its holes. */
  export type Part = {
    use: string;
    place: string;
    /** Along the edge or pointing to it. */ orientation: string;
    rows?: string;
    /** From the end that is measured from, mm. */ places: number[];
    length: number;
    /** How many holes are sewn, from the first. */ sewn?: boolean[];
    round?: boolean;
  };
</script>

<script lang="ts">
  // A garment with the holes of one edge where they lie; each of them can be tapped.
  import { along, outlineOf } from './garments';

  let {
    part,
    name,
    pick,
    picked = 0,
    size = 'h-36',
  }: { part: Part; name: string; pick?: (hole: number) => void; picked?: number; size?: string } = $props();

  let outline = $derived(outlineOf(part.use, part.place, part.length));
  let holes = $derived(
    part.places.map((mm) => along(outline, Math.min(1, Math.max(0, mm / Math.max(part.length, 1))))),
  );
  /** Holes along the edge lie as it does. */
  let turned = $derived((lies: boolean) => (part.orientation === 'vertical') === lies);
  let offset = $derived(part.rows === 'double' ? 13 : 0);
  let long = $derived(Math.min(8, 90 / Math.max(part.places.length, 6)));
</script>

<svg
  viewBox="0 0 200 220"
  class={[size, 'max-w-full']}
  role="img"
  aria-label="{name}, {part.places.length} places"
>
  <g fill="var(--cloth)" stroke="var(--color-base-content)" stroke-width="2" stroke-linejoin="round">
    {#each outline.cloth as d (d)}<path {d} />{/each}
    <g fill="var(--color-base-100)"
      >{#each outline.trim ?? [] as d (d)}<path {d} />{/each}</g
    >
    <g fill="none" stroke-width="1.4"
      >{#each outline.lines ?? [] as d (d)}<path {d} />{/each}</g
    >
    <g fill="none" stroke-width="1.3" stroke-dasharray="4 3" opacity="0.7">
      {#each outline.dashes ?? [] as d (d)}<path {d} />{/each}
    </g>
  </g>
  {#each holes as hole, index (index)}
    {#each offset ? [-offset, offset] : [0] as aside (aside)}
      {@const x = hole.x + (hole.lies ? 0 : aside)}
      {@const y = hole.y + (hole.lies ? aside : 0)}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g
        transform="translate({x} {y})"
        class={pick && 'cursor-pointer'}
        onclick={() => pick?.(index + 1)}
        data-drawn-hole={index + 1}
      >
        <circle r="9" fill="transparent" />
        {#if !part.round}<circle r="4.6" fill="none" stroke="var(--horn)" stroke-width="1.3" />{/if}
        <path
          d={turned(hole.lies) ? `M${-long / 2 - 1} 0h${long + 2}` : `M0 ${-long / 2 - 1}v${long + 2}`}
          stroke={picked === index + 1 ? 'var(--color-warning)' : 'var(--color-primary)'}
          stroke-width={part.sewn?.[index] ? 3.4 : 1.8}
        />
      </g>
    {/each}
  {/each}
</svg>
