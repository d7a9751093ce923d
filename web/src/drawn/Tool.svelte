<script lang="ts" module>
  /** Line drawings on a sheet of 96 by 72: the tool of a step. */
  type Drawing = { fill?: string[]; line?: string[]; thread?: string[]; red?: string[] };
  const NEEDLE: Drawing = {
    fill: ['M44 4H52V40L48 58L44 40Z'],
    line: ['M48 44V50'],
    thread: ['M48 47C60 44 66 24 84 18'],
  };
  const FOOT: Drawing = {
    fill: ['M24 46H72V54H24Z', 'M44 10H52V46H44Z'],
    line: ['M34 46V54M62 46V54', 'M16 62H80'],
  };
  const DIAL: Drawing = {
    fill: ['M48 12A26 26 0 1 1 47.9 12Z'],
    line: ['M48 16V22M70 38H64M26 38H32M63 23L59 27M33 23L37 27'],
    red: ['M48 38L62 26'],
  };
  const IRON: Drawing = {
    fill: ['M14 52Q22 26 52 26H78L84 52Z', 'M40 26Q44 12 66 14L70 26H62Q58 20 50 26Z'],
    line: ['M8 62H90'],
  };
  const CHALK: Drawing = {
    fill: ['M12 40H84V54H12Z'],
    line: [
      'M20 40V47M30 40V45M40 40V47M50 40V45M60 40V47M70 40V45M80 40V47',
      'M58 10L68 6L74 22L70 32L62 28Z',
    ],
    red: ['M70 32V38'],
  };
  const BUTTON: Drawing = {
    fill: ['M48 10A26 26 0 1 1 47.9 10Z'],
    line: ['M48 16A20 20 0 1 1 47.9 16Z'],
    thread: ['M40 36H56', 'M40 40H56'],
  };
  const RIPPER: Drawing = {
    fill: ['M8 34H50V42H8Z'],
    line: ['M50 38H70Q74 38 74 33L88 26', 'M74 38Q82 42 86 40'],
    red: ['M76 33A3 3 0 1 1 75.9 33Z'],
  };
  const BOTTLE: Drawing = {
    fill: ['M36 30H60V64H36Z', 'M42 30L46 12H50L54 30Z'],
    red: ['M70 18Q76 28 70 30Q64 28 70 18Z'],
  };
  const SHIRT: Drawing = {
    fill: ['M34 12L18 24L26 40L34 34V64H62V34L70 40L78 24L62 12Q48 22 34 12Z'],
    line: ['M48 20V64'],
  };
  const SCRAP: Drawing = {
    fill: ['M12 14L26 10L40 15L56 10L70 14L84 10V60L70 64L54 60L38 64L24 60L12 63Z'],
    thread: ['M32 34H64M32 40H64M32 32V42M64 32V42'],
  };
  const TAILS: Drawing = {
    fill: ['M10 44H86V58H10Z'],
    thread: ['M40 44C38 24 50 22 46 8', 'M50 44C54 28 62 30 60 12'],
  };
  const LEVER: Drawing = {
    fill: ['M24 46H72V54H24Z', 'M44 10H52V46H44Z', 'M66 8H73V42H66Z'],
    red: ['M84 16V36M80 31L84 36L88 31'],
    line: ['M16 62H80'],
  };
  const START: Drawing = {
    fill: ['M20 46H76V56H20Z'],
    red: ['M66 34A22 22 0 1 0 30 34', 'M30 34L28 24M30 34L40 31'],
  };
  const MARK: Drawing = {
    fill: ['M44 2H52V30L48 44L44 30Z', 'M10 48H86V64H10Z'],
    red: ['M48 46V60M40 53H56', 'M48 47A6 6 0 1 1 47.9 47Z'],
  };
  const DRAWINGS: Record<string, Drawing> = {
    needle: NEEDLE,
    'back-needle': NEEDLE,
    foot: FOOT,
    'button-foot': FOOT,
    'back-foot': FOOT,
    settings: DIAL,
    'button-width': DIAL,
    'back-width': DIAL,
    'back-length': DIAL,
    'back-tension': DIAL,
    'back-balance': DIAL,
    'back-selector': DIAL,
    stabilise: IRON,
    'stabilise-buttons': IRON,
    mark: CHALK,
    'mark-buttons': CHALK,
    unmark: CHALK,
    clamp: BUTTON,
    button: BUTTON,
    'spare-button': BUTTON,
    'test-open': RIPPER,
    open: RIPPER,
    seal: BOTTLE,
    dry: BOTTLE,
    'try-on': SHIRT,
    'test-sew': SCRAP,
    accept: SCRAP,
    tails: TAILS,
    secure: TAILS,
    thread: {
      fill: ['M34 12H62V20H34ZM34 52H62V60H34Z'],
      thread: ['M38 20H58V52H38Z', 'M38 28H58M38 36H58M38 44H58'],
    },
    lever: LEVER,
    reset: START,
    'reset-test': START,
    place: MARK,
  };
  /** Whether there is a drawing for it. */
  export const hasTool = (name: string): boolean => name in DRAWINGS;
</script>

<script lang="ts">
  // The tool of a step, drawn; its name stands beside it.
  let { name, size = 'h-28' }: { name: string; size?: string } = $props();

  let drawing = $derived(DRAWINGS[name]);
</script>

{#if drawing}
  <svg viewBox="0 0 96 72" class={[size, 'max-w-full']} aria-hidden="true">
    <g stroke-linecap="round" stroke-linejoin="round" stroke-width="2" fill="none">
      <g fill="var(--cloth)" stroke="var(--color-base-content)">
        {#each drawing.fill ?? [] as d (d)}<path {d} />{/each}
      </g>
      <g stroke="var(--color-base-content)"
        >{#each drawing.line ?? [] as d (d)}<path {d} />{/each}</g
      >
      <g stroke="var(--thread)" stroke-width="3"
        >{#each drawing.thread ?? [] as d (d)}<path {d} />{/each}</g
      >
      <g stroke="var(--color-warning)" stroke-width="2.6"
        >{#each drawing.red ?? [] as d (d)}<path {d} />{/each}</g
      >
    </g>
  </svg>
{/if}
