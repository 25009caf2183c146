<script lang="ts">
  import type { LaidLine } from '$core/plan/holes.ts';
  import { shortPart, type LengthChange } from '$core/plan/length-runs.ts';
  import type { Place } from './part-path';

  /** Where along its lines the joint goes over to another rivet. */
  interface Props {
    changes: readonly LengthChange[];
    lines: readonly LaidLine[];
    place: Place;
    /** the joint's upper edge, in */
    topIn: number;
  }
  let { changes, lines, place, topIn }: Props = $props();
  const REACH_PX = 15;
  const drawn = $derived(
    changes.map((change) => {
      const path = lines.find(({ name }) => name === change.line)?.path;
      const [dirX, dirY] = path?.path === 'straight' ? [path.dirX, path.dirY] : [1, 0];
      const [x, y] = [place.x(change.xIn), place.y(change.yIn)];
      return {
        key: `${change.line} ${change.afterHole}`,
        d: `M${x + dirY * REACH_PX} ${y - dirX * REACH_PX}L${x - dirY * REACH_PX} ${y + dirX * REACH_PX}`,
        x,
        text: `${shortPart(change.from)} | ${shortPart(change.to)}`
      };
    })
  );
  /** beyond the dimensions, in sight even when that edge is not */
  const labelY = $derived(Math.max(16, place.y(topIn) - 46));
  const LABEL_PX = 86;
  /** a change at the very beginning is named a little further on, not cut off */
  const LEAST_X = 64;
  /** rows change at the same place: said once */
  const labels = $derived(
    drawn.reduce<typeof drawn>(
      (kept, one) => (kept.some(({ x }) => Math.abs(x - one.x) < LABEL_PX) ? kept : [...kept, one]),
      []
    )
  );
</script>

{#each drawn as change (change.key)}
  <path class="change" d={change.d} data-change={change.text} />
{/each}
{#each labels as label (label.key)}
  <text x={Math.max(LEAST_X, label.x)} y={labelY} text-anchor="middle">{label.text}</text>
{/each}

<style>
  .change {
    stroke: var(--amber);
    stroke-width: 2.5;
  }
  text {
    font-size: 12px;
    font-weight: 700;
    fill: var(--amber);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
</style>
