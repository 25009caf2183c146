<script lang="ts" module>
  import type { ScaleLinear } from 'd3';

  /** One reading of the chart; inches up, steps of the adjuster along. */
  export interface PlotPoint {
    id: string;
    at: number;
    valueIn: number;
    /** between which it lies, where it is not known to the point */
    highIn?: number;
    by: 'dot' | 'diamond' | 'struck';
    doubted?: boolean;
    hint: string;
  }
  export type PlotScale = ScaleLinear<number, number>;
</script>

<script lang="ts">
  import { extent, scaleLinear } from 'd3';
  import { MM_PER_IN, THOU_PER_IN } from '$core/units/factors.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Axis from './Axis.svelte';

  /** Trials of an adjuster: what came out at each setting, with the limits, the line through them and what comes next. */
  interface Props {
    /** what is measured */
    measured: string;
    /** under the lower axis */
    along: string;
    band: { lowIn: number; highIn: number; targetIn: number };
    /** above the upper and below the lower limit, with the figure put in */
    names: { high: string; low: string };
    points: readonly PlotPoint[];
    next: { at: number; valueIn: number } | null;
    /** where the line passes at a setting, in; null while there is none */
    lineAt: (at: number) => number | null;
    assumed: boolean;
    /** heights may lie under nothing: figures carry their sign */
    signed: boolean;
    /** what is at least shown over and under the limits, in */
    beside: { aboveIn: number; belowIn: number };
    /** steps shown while nothing was tried, and at least */
    leastSteps: number;
  }
  let {
    measured,
    along,
    band,
    names,
    points,
    next,
    lineAt,
    assumed,
    signed,
    beside,
    leastSteps
  }: Props = $props();
  const preferences = usePreferences();
  let widthPx = $state(700);
  let heightPx = $state(380);
  const LEFT = 74;
  const RIGHT = 24;
  const TOP = 40;
  const BOTTOM = 46;
  const STEPS_BESIDE = 3;
  const NO_TRIALS: [number, number] = [0, 20];

  const metric = $derived(preferences.lengths === 'mm');
  /** thou or hundredths of a millimetre: what one reads off a gauge */
  const per = $derived(metric ? MM_PER_IN : THOU_PER_IN);
  const unit = $derived(metric ? 'mm' : 'thou');
  const figure = $derived((valueIn: number) => {
    const value = valueIn * per;
    const text = Math.abs(value).toFixed(metric ? 3 : 1);
    return Number(text) === 0 ? '0' : `${value < 0 ? '−' : signed ? '+' : ''}${text}`;
  });
  const steps = $derived([...points.map(({ at }) => at), ...(next === null ? [] : [next.at])]);
  const [fewest, most] = $derived(
    steps.length > 0 ? (extent(steps) as [number, number]) : NO_TRIALS
  );
  const x = $derived(
    scaleLinear(
      [fewest - STEPS_BESIDE, Math.max(most, fewest + leastSteps) + STEPS_BESIDE],
      [LEFT, widthPx - RIGHT]
    )
  );
  const values = $derived(points.flatMap(({ valueIn, highIn }) => [valueIn, highIn ?? valueIn]));
  const y = $derived(
    scaleLinear(
      [
        Math.min(band.lowIn - beside.belowIn, ...values) * per,
        Math.max(band.highIn + beside.aboveIn, ...values) * per
      ],
      [heightPx - BOTTOM, TOP]
    ).nice()
  );
  const at = $derived((valueIn: number) => y(valueIn * per));
  const fitted = $derived.by(() => {
    const ends = (x.domain() as [number, number]).flatMap((step) => {
      const valueIn = lineAt(step);
      return valueIn === null ? [] : [`${x(step)} ${at(valueIn)}`];
    });
    return ends.length === 2 ? `M${ends.join(' L')}` : null;
  });
  const plotPx = $derived(Math.max(0, widthPx - LEFT - RIGHT));
</script>

<div class="plot" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <svg
    width={widthPx}
    height={heightPx}
    role="img"
    aria-label="{measured} over {along}: {points.length} trials, limits {figure(
      band.lowIn
    )} to {figure(band.highIn)} {unit}"
  >
    <defs>
      <clipPath id="plot"
        ><rect
          x={LEFT}
          y={TOP}
          width={plotPx}
          height={Math.max(0, heightPx - TOP - BOTTOM)}
        /></clipPath
      >
    </defs>
    <text class="draw-title" x="12" y="24">{measured}, {unit}</text>
    <Axis
      side="left"
      scale={y}
      at={LEFT}
      ticks={6}
      gridPx={plotPx}
      say={(tick) => `${signed && tick > 0 ? '+' : tick < 0 ? '−' : ''}${Math.abs(tick)}`}
    />
    <rect
      class="band"
      x={LEFT}
      y={at(band.highIn)}
      width={plotPx}
      height={at(band.lowIn) - at(band.highIn)}
    />
    <path class="limit" d="M{LEFT} {at(band.highIn)} h{plotPx}" />
    <path class="limit low" d="M{LEFT} {at(band.lowIn)} h{plotPx}" />
    <text class="limit-name" x={LEFT + 8} y={at(band.highIn) - 5}
      >{names.high} {figure(band.highIn)}</text
    >
    <text class="limit-name low" x={LEFT + 8} y={at(band.lowIn) + 16}
      >low limit {figure(band.lowIn)}: {names.low}</text
    >
    <path class="target" d="M{LEFT} {at(band.targetIn)} h{plotPx}" />
    <Axis
      side="bottom"
      scale={x}
      at={heightPx - BOTTOM}
      ticks={x.ticks(Math.min(14, widthPx / 60)).filter((tick) => Number.isInteger(tick))}
      strokePx={6}
      say={String}
    />
    <text class="draw-note" x={widthPx - RIGHT} y={heightPx - 8} text-anchor="end">{along}</text>
    <g clip-path="url(#plot)">
      {#if fitted}<path class="line" class:assumed d={fitted} />{/if}
    </g>
    {#if next}
      <g data-next={next.at}>
        <path class="drop" d="M{x(next.at)} {heightPx - BOTTOM} V{at(next.valueIn)}" />
        <circle class="next" cx={x(next.at)} cy={at(next.valueIn)} r="8" />
        <text class="next-name" x={x(next.at)} y={at(next.valueIn) - 14} text-anchor="middle"
          >{next.at}</text
        >
      </g>
    {/if}
    {#each points as point (point.id)}
      {@const px = x(point.at)}
      {@const py = at(point.valueIn)}
      <g data-trial={point.id} data-hint={point.hint}>
        {#if point.highIn !== undefined}
          <path class="between" d="M{px} {py} V{at(point.highIn)} m-5 0 h10" />
        {/if}
        {#if point.by === 'struck'}
          <path class="struck" d="M{px - 5} {py - 5} l10 10 m0 -10 l-10 10" />
        {:else if point.by === 'diamond'}
          <path class="point" d="M{px} {py - 7} l7 7 l-7 7 l-7 -7 z" />
        {:else}
          <circle class="point" cx={px} cy={py} r="6" />
        {/if}
        {#if point.doubted && point.by !== 'struck'}
          <circle class="doubt" cx={px} cy={py} r="11" />
        {/if}
      </g>
    {/each}
  </svg>
</div>

<style>
  .plot {
    height: 100%;
    min-height: 260px;
    overflow: hidden;
  }
  .band {
    fill: color-mix(in srgb, var(--olive-soft) 75%, transparent);
  }
  .limit {
    stroke: var(--olive-deep);
    stroke-dasharray: 6 4;
  }
  .limit.low {
    stroke: var(--brick-line);
    stroke-width: 2;
    stroke-dasharray: none;
  }
  .limit-name {
    font-size: 14px;
    fill: var(--olive-deep);
  }
  .limit-name.low {
    fill: var(--brick);
  }
  .target {
    stroke: var(--olive);
    stroke-dasharray: 2 4;
  }
  .line {
    fill: none;
    stroke: var(--dye);
    stroke-width: 1.6;
  }
  .line.assumed {
    stroke-dasharray: 8 5;
  }
  .point {
    fill: var(--ink);
    stroke: var(--panel);
    stroke-width: 1.5;
  }
  .between {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
  }
  .struck {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
  }
  .doubt {
    fill: none;
    stroke: var(--amber-line);
    stroke-width: 2.5;
  }
  .next {
    fill: var(--panel);
    stroke: var(--dye);
    stroke-width: 2.5;
  }
  .next-name {
    font-size: 14px;
    font-weight: 700;
    fill: var(--dye);
  }
  .drop {
    stroke: var(--dye);
    stroke-dasharray: 3 4;
  }
</style>
