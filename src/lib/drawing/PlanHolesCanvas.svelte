<script lang="ts">
  import { quadtree, type Quadtree } from 'd3';
  import type { HoleMark, NumberPlace } from './hole-marks';
  import type { Place } from './part-path';

  /** Thousands of holes on one canvas: what is in sight, at the detail the scale allows. */
  interface Props {
    marks: readonly HoleMark[];
    numbers: ReadonlyMap<number, NumberPlace>;
    place: Place;
    radiusPx: number;
    widthPx: number;
    heightPx: number;
    picked: number;
  }
  let { marks, numbers, place, radiusPx, widthPx, heightPx, picked }: Props = $props();
  let canvas = $state<HTMLCanvasElement>();

  const tree = $derived<Quadtree<HoleMark>>(
    quadtree<HoleMark>()
      .x((mark) => mark.xIn)
      .y((mark) => mark.yIn)
      .addAll([...marks])
  );
  const REACH_PX = 14;
  /** Smaller than this a circle is a dot. */
  const LEAST_CIRCLE_PX = 1.5;

  /** The hole nearest to a place on the screen, within a finger's reach. */
  export function holeAt(xPx: number, yPx: number): number | null {
    const xIn = (xPx - place.x(0)) / place.pxPerIn;
    const yIn = (yPx - place.y(0)) / place.pxPerIn;
    return tree.find(xIn, yIn, REACH_PX / place.pxPerIn)?.number ?? null;
  }

  interface Ink {
    ink: string;
    paper: string;
    dye: string;
    amber: string;
    brick: string;
    olive: string;
  }

  function inks(element: HTMLElement): Ink {
    const style = getComputedStyle(element);
    const of = (name: string) => style.getPropertyValue(name).trim();
    return {
      ink: of('--ink'),
      paper: of('--paper'),
      dye: of('--dye'),
      amber: of('--amber'),
      brick: of('--brick'),
      olive: of('--olive-deep')
    };
  }

  function draw(element: HTMLCanvasElement): void {
    const pen = element.getContext('2d');
    if (!pen) return;
    const scale = window.devicePixelRatio;
    element.width = Math.round(widthPx * scale);
    element.height = Math.round(heightPx * scale);
    pen.scale(scale, scale);
    const ink = inks(element);
    const dots = radiusPx < LEAST_CIRCLE_PX;
    const r = Math.max(1, radiusPx);
    pen.lineWidth = 1.2;
    pen.textAlign = 'center';
    pen.font = '13px B612, sans-serif';
    for (const mark of marks) {
      const x = place.x(mark.xIn);
      const y = place.y(mark.yIn);
      if (x < -20 || y < -20 || x > widthPx + 20 || y > heightPx + 20) continue;
      const chosen = mark.number === picked;
      const plain = chosen
        ? ink.dye
        : mark.failing
          ? ink.brick
          : mark.kind === 'held-open'
            ? ink.amber
            : ink.ink;
      const colour =
        mark.letter === null || chosen || mark.failing
          ? plain
          : mark.room === 0
            ? ink.amber
            : ink.olive;
      if (dots && !chosen) {
        pen.fillStyle = colour;
        pen.fillRect(x - 1, y - 1, 2, 2);
        continue;
      }
      pen.beginPath();
      if (mark.kind === 'held-open') {
        pen.moveTo(x, y - r - 4);
        pen.lineTo(x + r + 4, y);
        pen.lineTo(x, y + r + 4);
        pen.lineTo(x - r - 4, y);
        pen.closePath();
      } else pen.arc(x, y, chosen ? Math.max(r, 5) : r, 0, 2 * Math.PI);
      pen.fillStyle = chosen ? ink.dye : ink.paper;
      pen.strokeStyle = colour;
      pen.fill();
      pen.stroke();
      if (chosen || numbers.has(mark.number)) {
        pen.fillStyle = chosen ? ink.dye : ink.ink;
        pen.fillText(
          String(mark.number),
          x,
          numbers.get(mark.number) === 'below' ? y + r + 16 : y - r - 7
        );
      }
      if (mark.letter !== null && r > 5) {
        pen.fillStyle = ink.ink;
        pen.fillText(mark.letter, x, y + 4.5);
      }
    }
  }

  $effect(() => {
    if (canvas) draw(canvas);
  });
</script>

<canvas
  bind:this={canvas}
  style="width: {widthPx}px; height: {heightPx}px"
  data-testid="plan-canvas"
  data-holes={marks.length}
></canvas>

<style>
  canvas {
    position: absolute;
    inset: 0;
    pointer-events: none;
  }
</style>
