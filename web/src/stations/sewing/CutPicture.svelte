<script lang="ts">
  // A sewn hole with what opens it, to scale: pins inside the tacks, the way of the blade, or every bite of the chisel.
  import type { Sheet } from '../../api/client';
  import { capital } from '../../ui/capital';

  type Props = {
    cutting: NonNullable<Sheet['sewing']>['cutting'];
    /** As large as the hole is, on a screen whose millimetres are true. */ trueSize?: boolean;
  };
  let { cutting, trueSize = false }: Props = $props();

  const PAD = 3;
  let slit = $derived(cutting.slit.mm);
  let long = $derived(cutting.to - cutting.from);
  let wide = $derived(Math.max(cutting.ends, 2));
  let bead = $derived(wide * 0.32);
  let says = $derived(
    cutting.bites.length
      ? `${cutting.bites.length} ${cutting.bites.length === 1 ? 'bite' : 'bites'} of the chisel`
      : cutting.pins.length
        ? 'a pin inside each end'
        : cutting.says,
  );
</script>

<svg
  viewBox="{cutting.from - PAD} {-wide - PAD} {long + PAD * 2} {wide * 2 + PAD * 2}"
  class={['mt-2', !trueSize && 'w-full max-w-xl']}
  style:width={trueSize ? `${long + PAD * 2}mm` : undefined}
  role="img"
  aria-label="A hole with a slit of {cutting.slit.text}: {says}"
>
  <g fill="var(--color-primary)" fill-opacity="0.55">
    <rect x={cutting.from} y={-wide / 2} width={-cutting.from} height={wide} />
    <rect x={slit} y={-wide / 2} width={cutting.to - slit} height={wide} />
    <rect x="0" y={-wide / 2} width={slit} height={bead} />
    <rect x="0" y={wide / 2 - bead} width={slit} height={bead} />
  </g>
  {#if cutting.eye > 0}
    <circle
      cx="0"
      cy="0"
      r={cutting.eye}
      fill="none"
      stroke="currentColor"
      stroke-width="0.3"
      stroke-dasharray="0.6"
    />
  {/if}
  {#if cutting.bites.length > 0}
    {#each cutting.bites as bite, index (index)}
      {@const y = index % 2 ? wide * 0.75 : -wide * 0.75}
      <path
        d="M{bite.from} {y}H{bite.to}M{bite.from} {y}V0M{bite.to} {y}V0"
        stroke="currentColor"
        stroke-width="0.35"
        fill="none"
      />
      <path d="M{bite.from} 0H{bite.to}" stroke="currentColor" stroke-width="0.5" />
    {/each}
  {:else}
    <path d="M0 0H{slit}" stroke="currentColor" stroke-width="0.5" stroke-dasharray="1 0.6" />
    {#if cutting.tool === 'snip'}
      <path d="M{slit / 2} {-wide}V{wide}" stroke="currentColor" stroke-width="0.2" stroke-dasharray="0.5" />
      <path d="M{slit / 2 - 1.5} 0H{slit / 2 + 1.5}" stroke="currentColor" stroke-width="1" />
    {/if}
    {#each cutting.pins as pin (pin)}
      <path d="M{pin} {-wide}V{wide}" stroke="currentColor" stroke-width="0.4" />
      <circle cx={pin} cy={-wide} r="0.9" class="fill-warning" />
    {/each}
  {/if}
</svg>
<p class="text-sm text-secondary">
  {capital(says)}; the slit {cutting.slit.text} from end to end.
</p>
