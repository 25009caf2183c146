<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { drawHoles, type HolePicture, type Ink } from './hole-canvas';

  /** Thousands of holes on one canvas: what is in sight, at the detail the scale allows. */
  let { marks, numbers, place, radiusPx, widthPx, heightPx, picked }: HolePicture = $props();
  let canvas = $state<HTMLCanvasElement>();

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

  const preferences = usePreferences();
  /** asked for once a theme: it makes the page settle its styles */
  const ink = $derived.by(() => {
    void preferences.mode;
    return canvas ? inks(canvas) : null;
  });

  function draw(element: HTMLCanvasElement, ink: Ink): void {
    const pen = element.getContext('2d');
    if (!pen) return;
    const scale = window.devicePixelRatio;
    const [wide, high] = [Math.round(widthPx * scale), Math.round(heightPx * scale)];
    // setting a canvas's size makes it anew, even to the same size
    if (element.width !== wide) element.width = wide;
    if (element.height !== high) element.height = high;
    pen.setTransform(scale, 0, 0, scale, 0, 0);
    pen.clearRect(0, 0, widthPx, heightPx);
    drawHoles(pen, { marks, numbers, place, radiusPx, widthPx, heightPx, picked }, ink);
  }

  $effect(() => {
    if (canvas && ink) draw(canvas, ink);
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
