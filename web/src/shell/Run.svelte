<script lang="ts">
  // The edge of the garment, to scale: the run with its tape, every hole at its place and length,
  // buttons as ghosts, keep-outs hatched, pins as pins. Upright beside the station; on a narrow
  // screen it lies along the top.
  import type { Closure } from '../api/client';
  import type { ClosureState } from '../api/closure.svelte';
  import { Drag, type Grip } from './drag.svelte';

  let {
    work,
    closure,
    picked,
    pick,
  }: { work: ClosureState; closure: Closure; picked: number; pick: (hole: number) => void } = $props();

  const drag = new Drag(() => work);
  let canvas = $state<SVGSVGElement>();
  let trouble = $derived(
    work.preview && !work.preview.sheet.placket ? work.preview.sheet.faults[0]?.allowed : '',
  );
  let note = $state('');
  $effect(() => {
    if (work.preview?.moved) note = work.preview.moved;
  });

  /** Millimetres from the datum under a pointer. */
  function under(event: PointerEvent | MouseEvent): number {
    const frame = canvas?.getBoundingClientRect();
    if (!frame) return 0;
    return ((lying ? event.clientX - frame.left : event.clientY - frame.top) - PAD) / scale;
  }

  let hold = 0;
  function grip(event: PointerEvent, what: Grip, at: number): void {
    if (event.button !== 0) return;
    event.preventDefault();
    event.stopPropagation();
    (event.currentTarget as SVGElement).focus({ preventScroll: true });
    canvas?.setPointerCapture(event.pointerId);
    hold = under(event) - at;
    drag.start(what, at);
  }

  function nudge(event: KeyboardEvent, what: Grip, at: number): void {
    if (!drag.key(event, what, at)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** The grip of a hole: only the first and the last can be taken hold of. */
  function gripOf(number: number): Grip | undefined {
    if (number === 1) return { kind: 'first' };
    return number === holes.length ? { kind: 'last' } : undefined;
  }

  let box = $state({ width: 0, height: 0 });
  const id = $props.id();

  const PAD = 14;
  /** Pixels: a stretch below this has no ends of its own to take hold of. */
  const NARROW = 20;
  /** Pixels kept beside the cloth for the tape and for the figures. */
  const TAPE = 44;
  const FIGURES = 62;
  /** Cloth shown on the inner side of the centre line, mm. */
  const INNER = 14;

  let lying = $derived(box.width > box.height);
  let plan = $derived(closure.plan.placket);
  // Where nothing fits, the holes stay where they are saved until something does.
  let holes = $derived((closure.sheet.placket ?? work.closure?.sheet.placket)?.holes ?? []);
  let length = $derived(plan.run_length.mm);
  let edge = $derived(plan.extension.mm);
  /** The row of buttons on the far side of the centre line, where there are two. */
  let far = $derived(plan.rows === 'double' ? plan.offset.mm : 0);
  let reach = $derived(
    edge + Math.max(INNER + far, INNER - Math.min(0, ...holes.map((hole) => hole.out_inner.mm))),
  );
  let along = $derived(lying ? box.width : box.height);
  let acrossRoom = $derived(lying ? box.height - 34 : box.width - TAPE - FIGURES);
  let scale = $derived(Math.max(0.01, Math.min((along - 2 * PAD) / length, acrossRoom / reach)));
  let radius = $derived((closure.sheet.button.largest.mm / 2) * scale);
  /** The garment goes on beyond what is drawn to scale: the cloth fills the room there is. */
  let clothWidth = $derived(Math.max(reach * scale, lying ? box.height - 18 : box.width - TAPE));

  /** Where something is drawn: mm down the run, mm in from the finished edge. */
  function at(run: number, across: number): [number, number] {
    const far = PAD + run * scale;
    return lying ? [far, 18 + across * scale] : [TAPE + across * scale, far];
  }

  let steps = $derived([1, 2, 5, 10, 20, 50, 100].map((unit) => unit * (closure.unit === 'in' ? 25.4 : 10)));
  let step = $derived(steps.find((unit) => unit * scale >= 34) ?? 1000);
  let ticks = $derived(Array.from({ length: Math.floor(length / step) + 1 }, (_, index) => index * step));

  function tick(mm: number): string {
    if (closure.unit === 'in') return String(Math.round(mm / 25.4));
    return closure.unit === 'cm' ? String(mm / 10) : String(mm);
  }

  type Line = { x1: number; y1: number; x2: number; y2: number };
  function line(run1: number, across1: number, run2: number, across2: number): Line {
    const [x1, y1] = at(run1, across1);
    const [x2, y2] = at(run2, across2);
    return { x1, y1, x2, y2 };
  }

  function area(from: number, to: number) {
    const [x, y] = at(from, 0);
    const size = (to - from) * scale;
    return lying ? { x, y, width: size, height: clothWidth } : { x, y, width: clothWidth, height: size };
  }

  function slit(hole: (typeof holes)[number]): Line {
    return hole.lies === 'vertical'
      ? line(hole.open_from.mm, edge - hole.out_outer.mm, hole.open_to.mm, edge - hole.out_outer.mm)
      : line(hole.at.mm, edge - hole.out_outer.mm, hole.at.mm, edge - hole.out_inner.mm);
  }

  function whole(hole: (typeof holes)[number]): Line {
    if (hole.lies === 'vertical')
      return line(hole.from.mm, edge - hole.out_outer.mm, hole.to.mm, edge - hole.out_outer.mm);
    const ends = closure.sheet.opening.ends;
    return line(
      hole.at.mm,
      edge - hole.out_outer.mm - ends.near.mm,
      hole.at.mm,
      edge - hole.out_inner.mm + ends.far.mm,
    );
  }
</script>

<section
  aria-label="The run"
  class="no-print flex flex-col border-base-300 bg-base-200/60 max-lg:sticky max-lg:top-0 max-lg:z-10 max-lg:border-b max-lg:bg-base-200 lg:border-r"
>
  <p class="flex justify-between px-3 pt-2 text-sm text-secondary max-lg:hidden">
    <span>{plan.orientation === 'vertical' ? 'holes along the run' : 'holes across the run'}</span>
    <span>{plan.run_length.text}</span>
  </p>
  <p
    aria-live="polite"
    class={[
      'h-10 overflow-hidden px-3 text-sm leading-5 max-lg:absolute max-lg:h-auto max-lg:top-full max-lg:bg-base-200',
      trouble && 'font-semibold text-warning',
    ]}
  >
    {trouble || note}
  </p>
  <div class="h-24 min-h-0 grow lg:h-auto" bind:clientWidth={box.width} bind:clientHeight={box.height}>
    {#if box.width > 0 && box.height > 0}
      <svg
        bind:this={canvas}
        width={box.width}
        height={box.height}
        role="group"
        aria-label="Holes on the run"
        class="touch-none select-none"
        onpointermove={(event) => drag.grip && event.buttons && drag.move(under(event) - hold)}
        onpointerup={() => drag.drop()}
        onpointercancel={() => drag.cancel()}
        ondblclick={(event) => drag.addPin(under(event))}
      >
        <defs>
          <pattern
            id="{id}-hatch"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0 0V6" stroke="var(--color-base-content)" stroke-opacity="0.45" stroke-width="1.6" />
          </pattern>
          <pattern id="{id}-weave" width="4" height="4" patternUnits="userSpaceOnUse">
            <path d="M0 1H4M1 0V4" stroke="var(--cloth-edge)" stroke-opacity="0.22" stroke-width="1" />
          </pattern>
        </defs>
        <rect {...area(0, length)} fill="var(--cloth)" />
        <rect {...area(0, length)} fill="url(#{id}-weave)" />
        <line {...line(0, 0, length, 0)} stroke="var(--cloth-edge)" stroke-width="3" />
        <line {...line(0, 0, 0, clothWidth / scale)} stroke="var(--cloth-edge)" stroke-width="3" />
        <line
          {...line(0, edge, length, edge)}
          stroke="var(--color-primary)"
          stroke-opacity="0.55"
          stroke-dasharray="9 4 2 4"
        />
        <g class="text-[11px]" fill="var(--color-secondary)">
          {#each ticks as mm (mm)}
            {@const [x, y] = at(mm, 0)}
            {#if lying}
              <path d="M{x} {y - 2}v-5" stroke="var(--color-secondary)" />
              <text {x} y={y - 8} text-anchor="middle">{tick(mm)}</text>
            {:else}
              <path d="M{x - 3} {y}h-7" stroke="var(--color-secondary)" />
              <text x={x - 13} y={y + 4} text-anchor="end">{tick(mm)}</text>
            {/if}
          {/each}
        </g>
        {#each plan.keep_outs as keepOut, index (index)}
          {@const shape = area(keepOut.from.mm, keepOut.to.mm)}
          {@const gripped = drag.grip?.kind === 'keep' && drag.grip.index === index}
          <rect
            {...shape}
            fill="url(#{id}-hatch)"
            stroke={gripped ? 'var(--color-primary)' : 'var(--color-secondary)'}
            stroke-width={gripped ? 2 : 0.75}
            role="slider"
            tabindex="0"
            aria-label="Keep clear: {keepOut.label || 'a stretch'}"
            aria-valuenow={keepOut.from.mm}
            aria-valuetext="{keepOut.from.text} to {keepOut.to.text}"
            class="cursor-move outline-none focus-visible:stroke-3"
            onpointerdown={(event) => grip(event, { kind: 'keep', index, end: 'both' }, keepOut.from.mm)}
            onkeydown={(event) =>
              event.altKey
                ? nudge(event, { kind: 'keep', index, end: 'to' }, keepOut.to.mm)
                : nudge(event, { kind: 'keep', index, end: 'both' }, keepOut.from.mm)}
            ondblclick={(event) => event.stopPropagation()}
          >
            <title>{keepOut.label || 'keep-out'}: {keepOut.from.text} to {keepOut.to.text}</title>
          </rect>
          {#if (keepOut.to.mm - keepOut.from.mm) * scale < NARROW}
            <!-- Too narrow for a finger: taken hold of as a whole. -->
            <line
              {...line(
                (keepOut.from.mm + keepOut.to.mm) / 2,
                0,
                (keepOut.from.mm + keepOut.to.mm) / 2,
                clothWidth / scale,
              )}
              stroke="transparent"
              stroke-width={NARROW}
              class="cursor-move"
              role="presentation"
              onpointerdown={(event) => grip(event, { kind: 'keep', index, end: 'both' }, keepOut.from.mm)}
            />
          {:else}
            {#each [['from', keepOut.from.mm], ['to', keepOut.to.mm]] as const as [end, mm] (end)}
              <line
                {...line(mm, 0, mm, clothWidth / scale)}
                stroke="transparent"
                stroke-width="7"
                class={lying ? 'cursor-ew-resize' : 'cursor-ns-resize'}
                role="presentation"
                onpointerdown={(event) => grip(event, { kind: 'keep', index, end }, mm)}
              />
            {/each}
          {/if}
          {#if !lying}
            <text
              class="text-[11px]"
              x={shape.x + shape.width - 6}
              y={shape.y - 3}
              text-anchor="end"
              fill="var(--color-secondary)">{keepOut.label}</text
            >
          {/if}
        {/each}
        {#each holes as hole (hole.number)}
          {@const [x, y] = at(hole.button.mm, edge - far)}
          {@const end = gripOf(hole.number)}
          {@const [labelX, labelY] = at(hole.at.mm, reach)}
          {@const caution = hole.cautions.length > 0}
          <g
            role="button"
            tabindex="0"
            aria-pressed={picked === hole.number}
            aria-label="Hole {hole.number} at {hole.at.text}{caution ? ', see the caution' : ''}"
            class={['group outline-none', end ? 'cursor-move' : 'cursor-pointer']}
            onpointerdown={(event) => end && grip(event, end, hole.at.mm)}
            ondblclick={(event) => event.stopPropagation()}
            onclick={() => pick(hole.number)}
            onkeydown={(event) => {
              if (end) nudge(event, end, hole.at.mm);
              if (event.key === 'p') drag.addPin(hole.at.mm);
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              pick(hole.number);
            }}
          >
            <circle
              cx={x}
              cy={y}
              r={Math.max(radius, 11)}
              fill={picked === hole.number ? 'var(--color-primary)' : 'transparent'}
              fill-opacity="0.16"
              class="group-focus-visible:stroke-3"
              stroke={caution ? 'var(--color-warning)' : 'var(--horn)'}
              stroke-width={picked === hole.number ? 2 : 1.2}
              stroke-dasharray={picked === hole.number ? undefined : '4 3'}
            />
            {#if far > 0}
              {@const [farX, farY] = at(hole.button.mm, edge + far)}
              <circle
                cx={farX}
                cy={farY}
                r={radius}
                fill="none"
                stroke="var(--horn)"
                stroke-dasharray="2 4"
              />
            {/if}
            <line {...whole(hole)} stroke="var(--color-primary)" stroke-opacity="0.4" stroke-width="5" />
            <line
              {...slit(hole)}
              stroke={caution ? 'var(--color-warning)' : 'var(--color-primary)'}
              stroke-width="2.5"
            />
            {#if !lying}
              <text
                x={labelX + 7}
                y={labelY + 4}
                class={['text-[13px]', picked === hole.number && 'font-bold']}
                fill="var(--color-base-content)">{hole.at.text}</text
              >
            {/if}
          </g>
        {/each}
        {#each plan.pins as pin, index (index)}
          {@const [x, y] = at(pin.at.mm, 0)}
          <g
            role="slider"
            tabindex="0"
            aria-label="Pin: {pin.label || 'pinned'}{pin.weight === '0' ? '' : ', a wish'}"
            aria-valuenow={pin.at.mm}
            aria-valuetext={pin.at.text}
            class="group cursor-move outline-none"
            onpointerdown={(event) => grip(event, { kind: 'pin', index }, pin.at.mm)}
            onkeydown={(event) => nudge(event, { kind: 'pin', index }, pin.at.mm)}
            ondblclick={(event) => event.stopPropagation()}
          >
            <title>Pin: {pin.label || 'pinned'} at {pin.at.text}</title>
            {#if lying}
              <path
                d="M{x} {y - 4}V{y + edge * scale * 0.7}"
                stroke="var(--color-base-content)"
                stroke-width="1.5"
              />
              <circle
                cx={x}
                cy={y - 4}
                r="11"
                fill="transparent"
                class="group-focus-visible:stroke-primary group-focus-visible:stroke-2"
              />
              <circle
                cx={x}
                cy={y - 4}
                r="4"
                fill={pin.weight === '0' ? 'var(--color-accent)' : 'var(--color-base-100)'}
                stroke="var(--color-accent)"
              />
            {:else}
              <path
                d="M{x - 6} {y}H{x + edge * scale * 0.7}"
                stroke="var(--color-base-content)"
                stroke-width="1.5"
              />
              <circle
                cx={x - 6}
                cy={y}
                r="11"
                fill="transparent"
                class="group-focus-visible:stroke-primary group-focus-visible:stroke-2"
              />
              <circle
                cx={x - 6}
                cy={y}
                r="5"
                fill={pin.weight === '0' ? 'var(--color-accent)' : 'var(--color-base-100)'}
                stroke="var(--color-accent)"
              />
            {/if}
          </g>
        {/each}
      </svg>
    {/if}
  </div>
</section>
