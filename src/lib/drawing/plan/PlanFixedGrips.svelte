<script lang="ts">
  import type { LaidLine, PlannedHole } from '$core/plan/holes.ts';
  import type { Place } from './part-path';

  /** What one takes hold of to drag a fixed hole along its line. */
  interface Props {
    holes: readonly PlannedHole[];
    lines: readonly LaidLine[];
    place: Place;
    radiusPx: number;
    onpick: (hole: number) => void;
    onmove: (id: string, alongIn: number) => void;
  }
  let { holes, lines, place, radiusPx, onpick, onmove }: Props = $props();
  const fixed = $derived(holes.filter((hole) => hole.fixed !== null));
  const LEAST_PX = 12;

  let dragging: {
    id: string;
    x: number;
    y: number;
    alongIn: number;
    dirX: number;
    dirY: number;
  } | null = null;
  function grab(event: PointerEvent, hole: PlannedHole): void {
    onpick(hole.number);
    const path = lines[hole.row - 1]?.path;
    if (hole.fixed === null || path?.path !== 'straight') return;
    event.stopPropagation();
    if (event.currentTarget instanceof Element)
      event.currentTarget.setPointerCapture(event.pointerId);
    dragging = {
      id: hole.fixed,
      x: event.clientX,
      y: event.clientY,
      alongIn: hole.alongIn,
      dirX: path.dirX,
      dirY: path.dirY
    };
  }
  function drag(event: PointerEvent): void {
    if (!dragging) return;
    const { id, x, y, alongIn, dirX, dirY } = dragging;
    onmove(id, alongIn + ((event.clientX - x) * dirX + (event.clientY - y) * dirY) / place.pxPerIn);
  }
  const drop = () => (dragging = null);
</script>

{#each fixed as hole (hole.number)}
  <circle
    role="button"
    tabindex="-1"
    aria-label="Fixed hole {hole.number}: drag to move"
    data-drag="fixed"
    data-fixed={hole.fixed}
    cx={place.x(hole.xIn)}
    cy={place.y(hole.yIn)}
    r={Math.max(radiusPx, LEAST_PX)}
    onpointerdown={(event) => grab(event, hole)}
    onpointermove={drag}
    onpointerup={drop}
    onpointercancel={drop}
  />
{/each}

<style>
  circle {
    fill: transparent;
    cursor: ew-resize;
    touch-action: none;
  }
</style>
