<script lang="ts">
  // What the foot makes of the opening: the clamp with its clicks, or the marks of the scale, or
  // two chalk lines; the opening and the overall length always told apart.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let setting = $derived(opening.setting);
  let overall = $derived(setting.overall.mm);
  let longest = $derived(Math.max(overall, setting.figure.mm, opening.overall.mm) * 1.08);
  let unit = $derived(longest / 100);
  let pitch = $derived(setting.pitch?.mm ?? 0);
  let marks = $derived(
    pitch ? Array.from({ length: Math.floor(longest / pitch) + 1 }, (_, index) => index * pitch) : [],
  );
  let start = $derived(setting.reads === 'opening' ? opening.ends.near.mm : 0);
</script>

<svg
  viewBox="{-unit * 3} 0 {longest + unit * 6} {unit * 34}"
  class="w-full max-w-2xl"
  role="img"
  aria-label="{setting.name}: {setting.says} It gives an opening of {setting.gives.text}."
>
  <g transform="translate(0 {unit * 12})">
    <rect width={overall} height={unit * 6} fill="var(--color-primary)" fill-opacity="0.18" />
    <rect width={opening.ends.near.mm} height={unit * 6} fill="var(--color-primary)" fill-opacity="0.5" />
    <rect
      x={overall - opening.ends.far.mm}
      width={opening.ends.far.mm}
      height={unit * 6}
      fill="var(--color-primary)"
      fill-opacity="0.5"
    />
    <path
      d="M{opening.ends.near.mm} {unit * 3}h{setting.gives.mm}"
      stroke="var(--color-base-content)"
      stroke-width={unit * 0.8}
    />
  </g>
  {#if setting.way === 'scale'}
    <g stroke="var(--color-base-content)" stroke-width={unit * 0.35}>
      <path d="M0 {unit * 8}H{longest}" />
      {#each marks as mark (mark)}
        <path d="M{mark + start} {unit * 8}v{-unit * (Math.round(mark / pitch) % 2 ? 2.2 : 3.6)}" />
      {/each}
    </g>
    <path
      d="M{setting.figure.mm + start} {unit * 20}V{unit * 3}"
      stroke="var(--color-accent)"
      stroke-width={unit * 0.8}
    />
    <circle cx={setting.figure.mm + start} cy={unit * 3} r={unit * 1.5} fill="var(--color-accent)" />
  {:else if setting.way === 'clamp'}
    <g fill="none" stroke="var(--color-base-content)" stroke-width={unit * 0.5}>
      <path d="M0 {unit * 9}V{unit * 3}H{unit * 2}M{setting.figure.mm} {unit * 9}V{unit * 3}h{-unit * 2}" />
      <path
        d="M{unit * 2} {unit * 6}H{setting.figure.mm - unit * 2}"
        stroke="var(--horn)"
        stroke-width={unit * 2.4}
        stroke-linecap="round"
      />
    </g>
    {#each Array.from({ length: setting.clicks }, (_, index) => index) as click (click)}
      <path
        d="M{setting.figure.mm + (click + 1) * unit * 1.6} {unit * 9}v{-unit * 3.2}"
        stroke="var(--color-accent)"
        stroke-width={unit * 0.6}
      />
    {/each}
  {:else}
    <g stroke="var(--color-accent)" stroke-width={unit * 0.6} stroke-dasharray="{unit * 1.4} {unit * 0.8}">
      <path d="M{opening.ends.near.mm} {unit * 6}V{unit * 21}" />
      <path d="M{opening.ends.near.mm + setting.gives.mm} {unit * 6}V{unit * 21}" />
    </g>
  {/if}
  <g font-size={unit * 3} fill="var(--color-base-content)" text-anchor="middle">
    <text x={overall / 2} y={unit * 24}>opening {setting.gives.text}, the slit</text>
    <text x={overall / 2} y={unit * 29}>inside {setting.overall.text} overall, with both ends</text>
  </g>
</svg>
