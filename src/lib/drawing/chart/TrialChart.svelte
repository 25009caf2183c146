<script lang="ts">
  import { extent, line, scaleLinear } from 'd3';
  import { predictAt, type CageGuide } from '$core/ready/cage/guide.ts';
  import { filmRaisesIn } from '$core/ready/countersink-next.ts';
  import { filmOf, type CageSetup } from '$core/ready/cage/setup.ts';
  import type { SettingState } from '$core/ready/cage/setting.ts';
  import { MM_PER_IN, THOU_PER_IN } from '$core/units/factors.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { MEASURED } from '$lib/words/cages';
  import Axis from './Axis.svelte';

  /** Trial holes: how far the head stood out at each setting, with the limits, the line through them and what comes next. */
  interface Props {
    guide: CageGuide;
    readings: SettingState['readings'];
    setup: CageSetup;
  }
  let { guide, readings, setup }: Props = $props();
  const preferences = usePreferences();
  const raisedIn = $derived(filmRaisesIn(filmOf(setup)));
  const measured = $derived(MEASURED[setup.seat]);
  let widthPx = $state(700);
  let heightPx = $state(380);
  const LEFT = 74;
  const RIGHT = 24;
  const TOP = 40;
  const BOTTOM = 46;
  const CLICKS_BESIDE = 3;
  const LEAST_ABOVE_IN = 0.006;
  const LEAST_BELOW_IN = 0.002;

  const metric = $derived(preferences.lengths === 'mm');
  /** thou or hundredths of a millimetre: what one reads off a gauge */
  const per = $derived(metric ? MM_PER_IN : THOU_PER_IN);
  const unit = $derived(metric ? 'mm' : 'thou');
  const figure = (valueIn: number) => {
    const value = valueIn * per;
    const text = Math.abs(value).toFixed(metric ? 3 : 1);
    return Number(text) === 0 ? '0' : `${value < 0 ? '−' : '+'}${text}`;
  };
  const next = $derived(
    guide.nextClicks !== null && guide.predictedIn !== null && guide.said.state !== 'set'
      ? { clicks: guide.nextClicks, flushIn: guide.predictedIn }
      : null
  );
  const clicks = $derived([
    ...readings.map((reading) => reading.clicks),
    ...(guide.nextClicks === null ? [] : [guide.nextClicks])
  ]);
  const [fewest = 0, most = 20] = $derived(clicks.length > 0 ? extent(clicks) : [0, 20]);
  const x = $derived(
    scaleLinear(
      [fewest - CLICKS_BESIDE, Math.max(most, fewest + 6) + CLICKS_BESIDE],
      [LEFT, widthPx - RIGHT]
    )
  );
  const flushes = $derived(readings.map((reading) => reading.flushnessIn + raisedIn));
  const y = $derived(
    scaleLinear(
      [
        Math.min(guide.band.lowIn - LEAST_BELOW_IN, ...flushes) * per,
        Math.max(guide.band.highIn + LEAST_ABOVE_IN, ...flushes) * per
      ],
      [heightPx - BOTTOM, TOP]
    ).nice()
  );
  const at = $derived((flushIn: number) => y(flushIn * per));
  const fitted = $derived.by(() => {
    const [from, to] = x.domain() as [number, number];
    const points = [from, to].flatMap((click): [number, number][] => {
      const predicted = predictAt(guide, click);
      return predicted === null ? [] : [[x(click), at(predicted.flushIn)]];
    });
    return line()(points);
  });
  const doubted = $derived(new Set(guide.doubts.flatMap((doubt) => doubt.readings)));
</script>

<div class="trials" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <svg
    width={widthPx}
    height={heightPx}
    role="img"
    aria-label="{measured} over clicks: {readings.length} trial holes, limits {figure(
      guide.band.lowIn
    )} to {figure(guide.band.highIn)} {unit}"
  >
    <defs>
      <clipPath id="plot"
        ><rect
          x={LEFT}
          y={TOP}
          width={Math.max(0, widthPx - LEFT - RIGHT)}
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
      gridPx={widthPx - LEFT - RIGHT}
      say={(tick) => `${tick > 0 ? '+' : tick < 0 ? '−' : ''}${Math.abs(tick)}`}
    />
    <rect
      class="band"
      x={LEFT}
      y={at(guide.band.highIn)}
      width={Math.max(0, widthPx - LEFT - RIGHT)}
      height={at(guide.band.lowIn) - at(guide.band.highIn)}
    />
    <path class="limit" d="M{LEFT} {at(guide.band.highIn)} H{widthPx - RIGHT}" />
    <path class="limit low" d="M{LEFT} {at(guide.band.lowIn)} H{widthPx - RIGHT}" />
    <text class="limit-name" x={LEFT + 8} y={at(guide.band.highIn) - 5}
      >proud limit {figure(guide.band.highIn)}</text
    >
    <text class="limit-name low" x={LEFT + 8} y={at(guide.band.lowIn) + 16}
      >low limit {figure(guide.band.lowIn)}: cannot be undone below</text
    >
    <path class="target" d="M{LEFT} {at(guide.band.targetIn)} H{widthPx - RIGHT}" />
    <Axis
      side="bottom"
      scale={x}
      at={heightPx - BOTTOM}
      ticks={x.ticks(Math.min(14, widthPx / 60)).filter((tick) => Number.isInteger(tick))}
      strokePx={6}
      say={String}
    />
    <text class="draw-note" x={widthPx - RIGHT} y={heightPx - 8} text-anchor="end"
      >clicks, deeper to the right</text
    >
    <g clip-path="url(#plot)">
      {#if fitted}
        <path class="line" class:assumed={guide.line?.confidence === 'assumed'} d={fitted} />
      {/if}
    </g>
    {#if next}
      <g data-next={next.clicks}>
        <path class="drop" d="M{x(next.clicks)} {heightPx - BOTTOM} V{at(next.flushIn)}" />
        <circle class="next" cx={x(next.clicks)} cy={at(next.flushIn)} r="8" />
        <text class="next-name" x={x(next.clicks)} y={at(next.flushIn) - 14} text-anchor="middle"
          >{next.clicks}</text
        >
      </g>
    {/if}
    {#each readings as reading (reading.id)}
      {@const px = x(reading.clicks)}
      {@const py = at(reading.flushnessIn + raisedIn)}
      <g
        data-trial={reading.id}
        data-hint="{reading.clicks} clicks: {figure(
          reading.flushnessIn + raisedIn
        )} {unit}, {reading.by}{reading.struck === null ? '' : `; struck: ${reading.struck}`}"
      >
        {#if reading.struck !== null}
          <path class="struck" d="M{px - 5} {py - 5} l10 10 m0 -10 l-10 10" />
        {:else if reading.from !== 'typed'}
          <path class="point" d="M{px} {py - 7} l7 7 l-7 7 l-7 -7 z" />
        {:else}
          <circle class="point" cx={px} cy={py} r="6" />
        {/if}
        {#if doubted.has(reading.id) && reading.struck === null}
          <circle class="doubt" cx={px} cy={py} r="11" />
        {/if}
      </g>
    {/each}
  </svg>
</div>

<style>
  .trials {
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
    font-size: 12.5px;
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
