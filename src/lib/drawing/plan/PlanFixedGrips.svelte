<script lang="ts">
  import type { LaidLine, PlannedHole } from '$core/plan/holes.ts';
  import type { Place } from './part-path';
  import { dragged } from '../gestures/dragged';

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
  /** so many lie too close to take hold of: they are picked and typed */
  const MOST = 300;
  const every = $derived(holes.filter((hole) => hole.fixed !== null));
  const fixed = $derived(every.length > MOST ? [] : every);
  const LEAST_PX = 12;

  /** taken hold of: it is picked, and on a straight line it may be moved */
  function held(hole: PlannedHole) {
    onpick(hole.number);
    const path = lines[hole.row - 1]?.path;
    if (hole.fixed === null || path?.path !== 'straight') return null;
    return { id: hole.fixed, alongIn: hole.alongIn, dirX: path.dirX, dirY: path.dirY };
  }
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
    {@attach dragged(
      () => held(hole),
      ({ id, alongIn, dirX, dirY }, { dxPx, dyPx }) =>
        onmove(id, alongIn + (dxPx * dirX + dyPx * dirY) / place.pxPerIn)
    )}
  />
{/each}

<style>
  circle {
    fill: transparent;
    cursor: ew-resize;
    touch-action: none;
  }
</style>
