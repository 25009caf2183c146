<script lang="ts">
  import type { Joint } from '$core/kinds/joint.ts';
  import type { ClearOf } from '$core/layout/keep-outs.ts';
  import type { Spot } from './hole-marks';
  import type { Extent } from './plan-scene';
  import type { Place } from './part-path';
  import { dragged } from '../gestures/dragged';
  import { obstacleName } from './names.ts';

  /** Obstacles as they stand, each with the zone round it that stays free of holes; dragged by the middle. */
  interface Props {
    keepOuts: Joint['keepOuts'];
    clear: readonly ClearOf[];
    extent: Extent;
    place: Place;
    onmove: (id: string, xIn: number, yIn: number) => void;
    named?: boolean;
    /** what else is written, for names to keep clear of */
    written?: readonly Spot[];
  }
  let { keepOuts, clear, extent, place, onmove, named = true, written = [] }: Props = $props();
  const boxOf = (zone: { xIn: number; yIn: number; halfWIn: number; halfHIn: number }) => {
    const top = zone.halfHIn === Infinity ? extent.yIn : zone.yIn - zone.halfHIn;
    const high = zone.halfHIn === Infinity ? extent.hIn : 2 * zone.halfHIn;
    return {
      x: place.x(zone.xIn - zone.halfWIn),
      y: place.y(top),
      width: 2 * zone.halfWIn * place.pxPerIn,
      height: high * downPx
    };
  };
  /** a long joint's depth may be drawn larger than its length */
  const downPx = $derived(place.y(1) - place.y(0));
</script>

{#each keepOuts as keepOut, index (keepOut.id)}
  {@const zone = clear[index]}
  {@const own = {
    xIn: keepOut.xIn,
    yIn: keepOut.yIn,
    halfWIn: keepOut.wIn / 2,
    halfHIn:
      keepOut.shape === 'round'
        ? keepOut.wIn / 2
        : keepOut.hIn === null
          ? Infinity
          : keepOut.hIn / 2
  }}
  {@const box = boxOf(own)}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <g
    class="obstacle"
    role={named ? 'button' : 'presentation'}
    tabindex={named ? -1 : undefined}
    aria-label={named ? `Keep-out ${keepOut.name || index + 1}: drag to move` : undefined}
    data-drag={named ? 'keep-out' : undefined}
    data-keep-out={index}
    {@attach dragged(
      () => keepOut,
      ({ id, xIn, yIn }, { dxPx, dyPx }) =>
        onmove(id, xIn + dxPx / place.pxPerIn, yIn + dyPx / downPx)
    )}
  >
    {#if keepOut.shape === 'round'}
      {#if zone}<ellipse
          class="zone"
          cx={place.x(zone.xIn)}
          cy={place.y(zone.yIn)}
          rx={zone.halfWIn * place.pxPerIn}
          ry={zone.halfWIn * downPx}
        />{/if}
      <ellipse
        class="body"
        cx={place.x(keepOut.xIn)}
        cy={place.y(keepOut.yIn)}
        rx={(keepOut.wIn / 2) * place.pxPerIn}
        ry={(keepOut.wIn / 2) * downPx}
      />
    {:else}
      {#if zone}<rect class="zone" {...boxOf(zone)} />{/if}
      <rect class="body" {...box} />
    {/if}
    {#if named}
      {@const name = obstacleName(keepOut, index, extent, place, written)}
      <text x={name.x} y={name.y} text-anchor="middle">{name.text}</text>
    {/if}
  </g>
{/each}

<style>
  .obstacle {
    cursor: move;
    touch-action: none;
  }
  .zone {
    fill: color-mix(in srgb, var(--amber) 12%, transparent);
    stroke: var(--amber);
    stroke-dasharray: 4 3;
  }
  .body {
    fill: color-mix(in srgb, var(--amber) 40%, transparent);
    stroke: var(--amber);
    stroke-width: 1.5;
  }
  text {
    font-size: 13px;
    fill: var(--amber);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3;
  }
</style>
