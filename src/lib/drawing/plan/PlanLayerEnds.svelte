<script lang="ts">
  import { layerEnds, type LayerEnd } from '$core/stack/layer-ends.ts';
  import type { Stacking } from '$core/stack/layers.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { dragged } from '../gestures/dragged';
  import type { Extent } from './plan-scene';
  import type { Place } from './part-path';

  /** Where layers end inside the joint: a line across it, dragged along it. */
  interface Props {
    stackings: readonly Stacking[];
    alongIn: number;
    extent: Extent;
    place: Place;
    onmove: (sheet: string, end: LayerEnd['end'], xIn: number) => void;
    /** what of the joint is in sight, in */
    seen?: { fromIn: number; toIn: number };
    /** how far above the metal's edge the name stands, px: clear of what else is written there */
    abovePx?: number;
  }
  let { stackings, alongIn, extent, place, onmove, seen, abovePx = 5 }: Props = $props();
  const preferences = usePreferences();
  /** a layer of several stacks ends once */
  const ends = $derived([
    ...new Map(
      stackings
        .flatMap(({ layers }) => layerEnds(layers, alongIn))
        .filter(({ xIn }) => !seen || (xIn >= seen.fromIn && xIn <= seen.toIn))
        .map((end) => [`${end.sheet ?? end.layer} ${end.end}`, end])
    )
  ]);
  const LETTER_PX = 6.4;
  /** a name longer than the joint is drawn would stand over everything: then the line alone, its name where one points at it */
  const hasRoom = (layer: string, xIn: number): boolean =>
    `${layer} from ${preferences.text(xIn)}`.length * LETTER_PX < 0.6 * alongIn * place.pxPerIn ||
    seen !== undefined;
</script>

{#each ends as [key, { layer, sheet, end, xIn }] (key)}
  <g
    class="end"
    role="button"
    tabindex="-1"
    aria-label="{layer} {end === 'begin' ? 'begins' : 'ends'} at {preferences.text(
      xIn
    )}: drag to move"
    data-hint="{layer} {end === 'begin' ? 'from' : 'to'} {preferences.text(xIn)}"
    data-drag="layer-end"
    data-layer-end="{layer} {end}"
    {@attach dragged(
      () => (sheet === null ? null : { sheet, xIn }),
      (from, { dxPx }) => onmove(from.sheet, end, from.xIn + dxPx / place.pxPerIn)
    )}
  >
    <path
      class="grab"
      d="M{place.x(xIn)} {place.y(extent.yIn)}V{place.y(extent.yIn + extent.hIn)}"
    />
    <path
      class="line"
      d="M{place.x(xIn)} {place.y(extent.yIn)}V{place.y(extent.yIn + extent.hIn)}m{end === 'begin'
        ? 9
        : -9} -5l{end === 'begin' ? -9 : 9} 5"
    />
    {#if hasRoom(layer, xIn)}
      <text
        x={place.x(xIn) + (end === 'begin' ? 4 : -4)}
        y={place.y(extent.yIn) - abovePx}
        text-anchor={end === 'begin' ? 'start' : 'end'}
        >{layer} {end === 'begin' ? 'from' : 'to'} {preferences.text(xIn)}</text
      >
    {/if}
  </g>
{/each}

<style>
  .end {
    cursor: ew-resize;
    touch-action: none;
  }
  .grab {
    stroke: transparent;
    stroke-width: 26;
  }
  .line {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
    stroke-dasharray: 7 3;
  }
  text {
    font-size: 12px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3;
  }
</style>
