<script lang="ts">
  import { ticksApart } from './ticks';
  import { axisBottom, axisLeft, select, type AxisScale } from 'd3';

  /** One side of a chart: its numbers, and lines through the chart from each where wanted. */
  interface Props {
    side: 'left' | 'bottom';
    scale: AxisScale<number>;
    /** where it stands across the other direction, px */
    at: number;
    /** about how many numbers, or which */
    ticks: number | readonly number[];
    say: (value: number) => string;
    /** how far the lines through the chart run, px; 0 for none */
    gridPx?: number;
    /** a short stroke at each number, px */
    strokePx?: number;
  }
  let { side, scale, at, ticks, say, gridPx = 0, strokePx = 0 }: Props = $props();
  const GAP_PX = 8;
  let group = $state<SVGGElement>();

  $effect(() => {
    if (!group) return;
    const axis = side === 'left' ? axisLeft<number>(scale) : axisBottom<number>(scale);
    if (typeof ticks === 'number') axis.ticks(ticks);
    else
      axis.tickValues(
        side === 'bottom' ? ticksApart(ticks, (tick) => Number(scale(tick)), say) : [...ticks]
      );
    axis
      .tickFormat((value) => say(value))
      .tickPadding(GAP_PX)
      .tickSizeOuter(0)
      .tickSizeInner(gridPx > 0 ? -gridPx : strokePx);
    select(group).call(axis).attr('font-size', null).attr('font-family', null);
  });
</script>

<g
  bind:this={group}
  class="axis"
  class:grid={gridPx > 0}
  transform={side === 'left' ? `translate(${at} 0)` : `translate(0 ${at})`}
></g>

<style>
  .axis :global(.domain) {
    display: none;
  }
  .axis :global(text) {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
    fill: var(--ink-soft);
  }
  .axis :global(line) {
    stroke: var(--line-strong);
  }
  .grid :global(line) {
    stroke: var(--line);
  }
</style>
