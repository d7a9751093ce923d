<script lang="ts">
  // A dial of the machine as it is read: its own marks pass a fixed pointer. It ends where its end stops are known.
  type Props = { value: number; step: number; least: number; most: number | null; size?: string };
  let { value, step, least, most, size = 'h-16 w-32' }: Props = $props();

  /** Degrees from one mark to the next, and so many marks to either side. */
  const TURN = 15;
  const SHOWN = 5;
  let middle = $derived(Math.round(value / step));
  let marks = $derived(
    Array.from({ length: SHOWN * 2 + 1 }, (_, index) => middle - SHOWN + index).filter(
      (mark) => mark * step >= least - 1e-9 && (most === null || mark * step <= most + 1e-9),
    ),
  );
  const angle = (mark: number) => (mark - value / step) * TURN;
  const figure = (mark: number) => String(Number((mark * step).toFixed(2)));
  /** Numbers stand at every second mark, beside the one that is set. */
  const told = (mark: number) =>
    mark !== middle && Math.abs(mark - middle) % 2 === 0 && Math.abs(mark - middle) < SHOWN;
</script>

<svg viewBox="-60 -60 120 62" class={size} aria-hidden="true">
  <path
    d="M-50 0A50 50 0 0 1 50 0Z"
    fill="var(--color-base-100)"
    stroke="var(--color-base-300)"
    stroke-width="2"
    stroke-linejoin="round"
  />
  {#each marks as mark (mark)}
    <g transform="rotate({angle(mark)})">
      <path
        d="M0 -47v{mark === middle ? 13 : 8}"
        stroke={mark === middle ? 'var(--color-primary)' : 'var(--color-secondary)'}
        stroke-width={mark === middle ? 3.4 : 1.5}
      />
      {#if told(mark)}<text y="-29" font-size="9.5" text-anchor="middle" fill="var(--color-secondary)"
          >{figure(mark)}</text
        >{/if}
    </g>
  {/each}
  <path d="M-6 -60H6L0 -50Z" fill="var(--color-primary)" />
</svg>
