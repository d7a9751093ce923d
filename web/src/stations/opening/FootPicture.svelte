<script lang="ts">
  // What the foot makes of the opening: the clamp with its clicks, or the marks of the scale, or
  // two chalk lines; the opening and the overall length always told apart.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let opening = $derived(closure.sheet.opening);
  let setting = $derived(opening.setting);
  // While nobody has measured what the foot adds, what is planned is drawn.
  let gives = $derived(setting.gives ?? opening.length);
  let whole = $derived(setting.overall ?? opening.overall);
  let overall = $derived(whole.mm);
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
  aria-label="{setting.name}: {setting.says} {setting.gives
    ? `It gives an opening of ${gives.text}.`
    : `It is not known yet what it gives.`}"
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
      d="M{opening.ends.near.mm} {unit * 3}h{gives.mm}"
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
    {#if setting.opened.mm > 0}
      <path
        d="M{setting.figure.mm} {unit * 6}h{setting.opened.mm}m0 {-unit * 2}v{unit * 4}"
        stroke="var(--color-accent)"
        stroke-width={unit * 0.7}
        fill="none"
      />
      {#each Array.from({ length: setting.clicks }, (_, index) => index) as click (click)}
        <path
          d="M{setting.figure.mm + ((click + 1) * setting.opened.mm) / setting.clicks} {unit * 6}v{-unit * 2}"
          stroke="var(--color-accent)"
          stroke-width={unit * 0.5}
        />
      {/each}
    {/if}
  {:else}
    <g stroke="var(--color-accent)" stroke-width={unit * 0.6} stroke-dasharray="{unit * 1.4} {unit * 0.8}">
      <path d="M{opening.ends.near.mm} {unit * 6}V{unit * 21}" />
      <path d="M{opening.ends.near.mm + gives.mm} {unit * 6}V{unit * 21}" />
    </g>
  {/if}
  <g font-size={unit * 3} fill="var(--color-base-content)" text-anchor="middle">
    <text x={overall / 2} y={unit * 24}
      >{setting.gives
        ? `opening ${gives.text}, the slit`
        : `opening wanted ${gives.text}: measure the test hole`}</text
    >
    <text x={overall / 2} y={unit * 29}>inside {whole.text} overall, with both ends</text>
  </g>
</svg>
