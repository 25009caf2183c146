<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Tone } from '$lib/ui/marks/glyph';
  import { drawMarks, type MarkPicture } from './draw-marks';

  /** Thousands of holes on one canvas: what is in sight, at the detail the scale allows. */
  let { marks, numbers, radiusPx, widthPx, heightPx, picked }: MarkPicture = $props();
  let canvas = $state<HTMLCanvasElement>();

  /** asked for once a theme: it makes the page settle its styles */
  function inks(element: HTMLElement): (tone: Tone) => string {
    const style = getComputedStyle(element);
    const known = new Map<Tone, string>();
    return (tone) => {
      let colour = known.get(tone);
      if (colour === undefined)
        known.set(tone, (colour = style.getPropertyValue(`--${tone}`).trim()));
      return colour;
    };
  }
  const preferences = usePreferences();
  const ink = $derived.by(() => {
    void preferences.mode;
    return canvas ? inks(canvas) : null;
  });

  $effect(() => {
    const pen = canvas?.getContext('2d');
    if (!canvas || !pen || !ink) return;
    const scale = window.devicePixelRatio;
    const [wide, high] = [Math.round(widthPx * scale), Math.round(heightPx * scale)];
    // setting a canvas's size makes it anew, even to the same size
    if (canvas.width !== wide) canvas.width = wide;
    if (canvas.height !== high) canvas.height = high;
    pen.setTransform(scale, 0, 0, scale, 0, 0);
    pen.clearRect(0, 0, widthPx, heightPx);
    drawMarks(pen, { marks, numbers, radiusPx, widthPx, heightPx, picked }, ink);
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
