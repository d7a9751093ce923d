<script lang="ts">
  // A hole stitch by stitch at true proportion, thread at its real thickness, over the cloth. What is
  // already sewn stays on the canvas: playing only adds to it.
  import { untrack } from 'svelte';
  import type { Stitches } from '../../api/client';
  import { display } from '../../ui/display.svelte';

  let { hole, at, scale, label }: { hole: Stitches; at: number; scale: number; label: string } = $props();

  const MARGIN = 2.5;
  /** Under tension satin thread flattens to about so many times its thickness. */
  const FLAT = 1.7;
  /** Index of cover at which cloth shows between the threads, and from which none does. */
  const BARE = 0.36;
  const COVERED = 0.48;
  /** Ends are sewn close. */
  const CLOSE: readonly string[] = ['tack', 'round', 'eyelet'];
  let canvas = $state<HTMLCanvasElement>();
  // The hole lies along the longer side of its frame, its outer or upper end at the left.
  let wide = $derived((hole.overall + 2 * MARGIN) * scale);
  let tall = $derived((hole.width.mm + 2 * MARGIN) * scale);
  /** What the canvas shows now. */
  let drawn = { hole: undefined as Stitches | undefined, upTo: 0, scale: 0, dark: false };

  const along = (mm: number) => (mm + MARGIN) * scale;
  const across = (mm: number) => (hole.width.mm / 2 + MARGIN - mm) * scale;
  const x = (index: number) => along((hole.points[index * 2 + 1] ?? 0) / 1000);
  const y = (index: number) => across((hole.points[index * 2] ?? 0) / 1000);
  const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

  function begin(pen: CanvasRenderingContext2D, ratio: number): void {
    pen.setTransform(ratio, 0, 0, ratio, 0, 0);
    pen.fillStyle = colour('--cloth');
    pen.fillRect(0, 0, wide, tall);
    pen.strokeStyle = colour('--cloth-edge');
    pen.globalAlpha = 0.3;
    pen.lineWidth = 0.5;
    pen.beginPath();
    for (let line = 0; line < Math.max(wide, tall); line += scale * 0.5) {
      pen.moveTo(line, 0);
      pen.lineTo(line, tall);
      pen.moveTo(0, line);
      pen.lineTo(wide, line);
    }
    pen.stroke();
    pen.globalAlpha = 1;
    pen.lineCap = 'round';
    pen.lineJoin = 'round';
    pen.strokeStyle = colour('--color-base-content');
    pen.lineWidth = 1;
    pen.setLineDash([4, 4]);
    pen.beginPath();
    const [from = 0, to = 0] = hole.slit;
    for (const end of [from, to]) {
      pen.moveTo(along(end), across(-1));
      pen.lineTo(along(end), across(1));
    }
    pen.moveTo(along(from), across(0));
    pen.lineTo(along(to), across(0));
    pen.stroke();
    pen.setLineDash([]);
    for (const cord of hole.cords) {
      pen.strokeStyle = colour('--horn');
      pen.lineWidth = hole.cord * scale;
      pen.beginPath();
      for (let index = 0; index < cord.length; index += 2) {
        pen.lineTo(along((cord[index + 1] ?? 0) / 1000), across((cord[index] ?? 0) / 1000));
      }
      pen.stroke();
    }
  }

  /** Straight stitches keep their round thread, satin lies flat. */
  const straight = (index: number) => hole.parts.find((part) => index < part.to)?.kind === 'straight';

  /** How full a bead looks, from bare cloth at 0 to covered at 1, by its index of cover. */
  function fullness(index: number): number {
    const part = hole.parts.find((other) => index < other.to);
    if (part && CLOSE.includes(part.kind)) return 1;
    const cover = hole.cover.find((bead) => bead.name === part?.name)?.index;
    return cover === undefined ? 0 : Math.min(1, Math.max(0, (cover - BARE) / (COVERED - BARE)));
  }

  /** The stitches from one penetration to another, shaded along the thread: what fluff and flattened thread cover
   * between two legs, then a shadow, the thread, its light. */
  function sew(pen: CanvasRenderingContext2D, from: number, to: number): void {
    const layers = [
      { colour: colour('--thread-edge'), width: 1.2, alpha: 0.6 },
      { colour: colour('--thread'), width: 0.95, alpha: 1 },
      { colour: colour('--thread-light'), width: 0.28, alpha: 0.55 },
    ];
    for (let index = Math.max(from, 1); index < to; index += 1) {
      const thick = hole.thread * scale * (straight(index) ? 1 : FLAT);
      const full = fullness(index);
      if (full > 0) {
        const feed = Math.abs(x(index) - x(index - 1));
        pen.fillStyle = colour('--thread');
        pen.globalAlpha = full;
        const [top, low] = [y(index - 1), y(index)].sort((one, other) => one - other) as [number, number];
        pen.fillRect(Math.min(x(index), x(index - 1)) - feed * 0.05, top, feed * 1.1, low - top);
      }
      pen.beginPath();
      pen.moveTo(x(index - 1), y(index - 1));
      pen.lineTo(x(index), y(index));
      for (const layer of layers) {
        pen.strokeStyle = layer.colour;
        pen.globalAlpha = layer.alpha;
        pen.lineWidth = thick * layer.width;
        pen.stroke();
      }
    }
    pen.globalAlpha = 1;
  }

  $effect(() => {
    const upTo = Math.floor(at);
    const pen = canvas?.getContext('2d');
    const dark = display.dark;
    const now = { hole, scale };
    if (!canvas || !pen) return;
    const target = canvas;
    untrack(() => {
      const ratio = Math.min(window.devicePixelRatio || 1, 2);
      const anew =
        drawn.hole !== now.hole || drawn.scale !== now.scale || drawn.dark !== dark || upTo < drawn.upTo;
      if (anew) {
        target.width = Math.ceil(wide * ratio);
        target.height = Math.ceil(tall * ratio);
        begin(pen, ratio);
      }
      sew(pen, anew ? 0 : drawn.upTo, upTo);
      drawn = { hole: now.hole, upTo, scale: now.scale, dark };
    });
  });
</script>

<div role="img" aria-label={label} class="shrink-0">
  <canvas bind:this={canvas} style:width="{wide}px" style:height="{tall}px" class="block"></canvas>
</div>
