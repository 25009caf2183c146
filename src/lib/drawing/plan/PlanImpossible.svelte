<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedHole } from '$core/plan/holes.ts';
  import type { Part } from '$core/layout/shapes.ts';
  import { shapePath, type Place } from './part-path';

  /** Over a joint that cannot be as it stands: the holes to blame in hatch, and a way out as a ghost. */
  interface Props {
    over: {
      cannot: readonly PlannedHole[];
      /** a way out, with its metal where that would change */
      ghost: { holes: readonly PlannedHole[]; parts: readonly Part[] } | null;
    };
    place: Place;
  }
  let { over, place }: Props = $props();
  const cannot = $derived(over.cannot);
  const ghost = $derived(over.ghost);
  const LEAST_PX = 5;
  const id = $props.id();
  const rings = (holes: readonly PlannedHole[], morePx: number): string =>
    holes
      .map(({ xIn, yIn, dash }) => {
        const r = Math.max(LEAST_PX, (rivetSize(dash).nominalHoleIn / 2) * place.pxPerIn) + morePx;
        return `M${place.x(xIn) - r} ${place.y(yIn)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
      })
      .join('');
</script>

<defs>
  <pattern
    id="{id}-hatch"
    width="5"
    height="5"
    patternUnits="userSpaceOnUse"
    patternTransform="rotate(45)"
  >
    <path class="hatch" d="M0 0V5" />
  </pattern>
</defs>
<path
  class="cannot"
  d={rings(cannot, 4)}
  style:fill="url(#{id}-hatch)"
  data-cannot={cannot.length}
/>
{#if ghost}
  {#each ghost.parts as part (part.key)}
    <path class="metal" d={shapePath(part.outline, place, part.goesOn)} />
  {/each}
  <path class="ghost" d={rings(ghost.holes, 1)} data-ghost={ghost.holes.length} />
{/if}

<style>
  .hatch {
    stroke: var(--brick);
    stroke-width: 2;
  }
  .cannot {
    stroke: var(--brick);
    stroke-width: 1.5;
    pointer-events: none;
  }
  .metal {
    fill: none;
    stroke: var(--dye);
    stroke-dasharray: 8 5;
    pointer-events: none;
  }
  .ghost {
    fill: color-mix(in srgb, var(--dye) 18%, transparent);
    stroke: var(--dye);
    stroke-width: 1.5;
    stroke-dasharray: 3 2.5;
    pointer-events: none;
  }
</style>
