<script lang="ts">
  import { line, scaleLinear } from 'd3';
  import { headLimits, NOMINAL_DIAMETER_D, NOMINAL_HEIGHT_D } from '$core/catalog/head-limits.ts';
  import type { HeadLimitsName } from '$core/schema/fields.ts';
  import type { DrivingMoment } from '$core/stack/driving.ts';
  import { headCurve, type HeadMoment } from '$core/stack/head-curve.ts';
  import type { PredictHeadResult } from '$core/stack/predict-head.ts';
  import Axis from './Axis.svelte';

  /** How the head widens as it goes down, and between which heights it is inside the limits. */
  interface Props {
    head: PredictHeadResult;
    diameterIn: number;
    limits: HeadLimitsName;
    /** where the section stands */
    now?: DrivingMoment | null;
  }
  let { head, diameterIn, limits, now = null }: Props = $props();
  let widthPx = $state(700);
  let heightPx = $state(220);
  const LEFT = 62;
  const RIGHT = 20;
  const TOP = 40;
  const BOTTOM = 42;
  const LOWEST_D = 0.3;
  const WIDEST_SHOWN_D = 2.2;

  const curve = $derived(headCurve(head.volumeIn3, diameterIn, LOWEST_D));
  const tallest = $derived(Math.max(1.2, curve[0]?.heightD ?? 1.2));
  // Driving goes from left to right: the height falls.
  const x = $derived(scaleLinear([tallest, LOWEST_D], [LEFT, widthPx - RIGHT]));
  const y = $derived(scaleLinear([0.9, WIDEST_SHOWN_D], [heightPx - BOTTOM, TOP]));
  const { diameterD, heightD } = $derived(headLimits(limits));
  const band = $derived(head.heightBandD);
  const path = $derived(
    line<HeadMoment>(
      (moment) => x(moment.heightD),
      (moment) => y(moment.diameterD)
    )(curve.filter((moment) => moment.diameterD <= WIDEST_SHOWN_D)) ?? ''
  );
</script>

<div class="curve" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <svg
    width={widthPx}
    height={heightPx}
    role="img"
    aria-label="Head diameter against height while driving, with the limits"
  >
    <text class="draw-title" x="14" y="22">Driving it down: head width against height</text>
    <Axis
      side="left"
      scale={y}
      at={LEFT}
      ticks={5}
      gridPx={widthPx - LEFT - RIGHT}
      say={(tick) => `${tick.toFixed(1)} D`}
    />
    <Axis
      side="bottom"
      scale={x}
      at={heightPx - BOTTOM}
      ticks={8}
      say={(tick) => `${tick.toFixed(1)} D`}
    />
    <text class="draw-note" x={LEFT} y={heightPx - 6}>height while driving →</text>
    <rect
      class="window"
      x={x(heightD.high)}
      y={y(diameterD.high)}
      width={x(heightD.low) - x(heightD.high)}
      height={y(diameterD.low) - y(diameterD.high)}
    />
    {#if band}
      <rect
        class="band"
        x={x(band.high)}
        y={TOP}
        width={Math.max(2, x(band.low) - x(band.high))}
        height={heightPx - TOP - BOTTOM}
      />
      <text class="stop" x={(x(band.high) + x(band.low)) / 2} y={TOP - 8} text-anchor="middle">
        stop {band.high.toFixed(2)} to {band.low.toFixed(2)} D
      </text>
    {/if}
    <path class="line" d={path} />
    {#if now && now.heightIn <= tallest * diameterIn}
      <circle
        class="now"
        cx={x(now.heightIn / diameterIn)}
        cy={y(now.diameterIn / diameterIn)}
        r="6"
      />
    {/if}
    <path class="nominal" d="M{x(NOMINAL_HEIGHT_D) - 6} {y(NOMINAL_DIAMETER_D)} h12 m-6 -6 v12" />
    <text
      class="draw-note"
      x={x(NOMINAL_HEIGHT_D)}
      y={y(NOMINAL_DIAMETER_D) + 20}
      text-anchor="middle">nominal</text
    >
  </svg>
</div>

<style>
  .curve {
    height: 100%;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
    overflow: hidden;
  }
  .window {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 1.5;
    stroke-dasharray: 6 4;
  }
  .band {
    fill: color-mix(in srgb, var(--olive) 28%, transparent);
  }
  .stop {
    font-size: 14px;
    font-weight: 700;
    fill: var(--olive-deep);
  }
  .line {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  .now {
    fill: var(--ink);
  }
  .nominal {
    stroke: var(--olive-deep);
    stroke-width: 2;
  }
</style>
