<script lang="ts">
  // A hole stitch by stitch at true proportion, thread at its real thickness, over the cloth. What is
  // already sewn stays on the canvas: playing only adds to it.
  import { untrack } from 'svelte';
  import type { Stitches } from '../../api/client';
  import { theme } from '../../ui/theme.svelte';

  let { hole, at, scale, label }: { hole: Stitches; at: number; scale: number; label: string } = $props();

  const MARGIN = 2.5;
  let canvas = $state<HTMLCanvasElement>();
  let wide = $derived((hole.width.mm + 2 * MARGIN) * scale);
  let tall = $derived((hole.overall + 2 * MARGIN) * scale);
  /** What the canvas shows now. */
  let drawn = { hole: undefined as Stitches | undefined, upTo: 0, scale: 0, dark: false };

  const x = (index: number) => ((hole.points[index * 2] ?? 0) / 1000 + hole.width.mm / 2 + MARGIN) * scale;
  const y = (index: number) => (hole.overall + MARGIN - (hole.points[index * 2 + 1] ?? 0) / 1000) * scale;
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
    for (const end of hole.slit) {
      pen.moveTo(wide / 2 - scale, (hole.overall + MARGIN - end) * scale);
      pen.lineTo(wide / 2 + scale, (hole.overall + MARGIN - end) * scale);
    }
    pen.moveTo(wide / 2, (hole.overall + MARGIN - (hole.slit[0] ?? 0)) * scale);
    pen.lineTo(wide / 2, (hole.overall + MARGIN - (hole.slit[1] ?? 0)) * scale);
    pen.stroke();
    pen.setLineDash([]);
    for (const cord of hole.cords) {
      pen.strokeStyle = colour('--horn');
      pen.lineWidth = hole.thread * 3.4 * scale;
      pen.beginPath();
      for (let index = 0; index < cord.length; index += 2) {
        pen.lineTo(
          ((cord[index] ?? 0) / 1000 + hole.width.mm / 2 + MARGIN) * scale,
          (hole.overall + MARGIN - (cord[index + 1] ?? 0) / 1000) * scale,
        );
      }
      pen.stroke();
    }
  }

  /** The stitches from one penetration to another: a dark edge, and the thread over it. */
  function sew(pen: CanvasRenderingContext2D, from: number, to: number): void {
    const edge = colour('--thread-edge');
    const thread = colour('--thread');
    const width = hole.thread * scale;
    for (let index = Math.max(from, 1); index < to; index += 1) {
      pen.beginPath();
      pen.moveTo(x(index - 1), y(index - 1));
      pen.lineTo(x(index), y(index));
      pen.strokeStyle = edge;
      pen.lineWidth = width;
      pen.stroke();
      pen.strokeStyle = thread;
      pen.lineWidth = width * 0.66;
      pen.stroke();
    }
  }

  $effect(() => {
    const upTo = Math.floor(at);
    const pen = canvas?.getContext('2d');
    const dark = theme.dark;
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
