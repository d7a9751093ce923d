<script lang="ts">
  // The button's holes with the needle at both ends of its swing, to scale.
  import type { Closure } from '../../api/client';

  let { closure }: { closure: Closure } = $props();

  let attach = $derived(closure.sheet.attach);
  let hole = $derived(closure.sheet.button.hole / 2);
  let spacing = $derived(attach.spacing?.mm ?? 0);
  let swing = $derived((attach.width?.mm ?? 0) / 2);
  let needle = $derived(attach.needle_width.mm / 2);
  let reach = $derived(Math.max(spacing / 2 + hole, swing + needle) + hole * 0.6);
</script>

<svg
  viewBox="{-reach} {-hole * 2} {reach * 2} {hole * 4}"
  class="h-36 w-full max-w-md"
  role="img"
  aria-label="Two holes {attach.spacing?.text} apart and the needle swinging {attach.width?.text}"
>
  {#each [-1, 1] as side (side)}
    <circle
      cx={(side * spacing) / 2}
      cy="0"
      r={hole}
      fill="var(--color-base-200)"
      stroke="var(--horn)"
      stroke-width={hole * 0.1}
    />
    <circle
      cx={side * swing}
      cy="0"
      r={needle}
      fill={attach.verdict === 'good' ? 'var(--color-primary)' : 'var(--color-warning)'}
    />
  {/each}
  <path
    d="M{-swing} 0H{swing}"
    stroke="var(--color-primary)"
    stroke-width={hole * 0.08}
    stroke-dasharray={hole * 0.2}
    fill="none"
  />
</svg>
