<script lang="ts">
  import { line, scaleLinear } from 'd3';
  import { headLimits, NOMINAL_DIAMETER_D, NOMINAL_HEIGHT_D } from '$core/catalog/head-limits.ts';
  import { runStatistics, runWork, type RunWarning } from '$core/inspect/run-statistics.ts';
  import { type HeadInD } from '$core/inspect/hole-events.ts';
  import type { HeadLimitsName } from '$core/schema/fields.ts';
  import Arithmetic from '$lib/ui/kit/Arithmetic.svelte';
  import VerdictMark from '$lib/ui/kit/VerdictMark.svelte';
  import Axis from './Axis.svelte';
  import ChartHead from './ChartHead.svelte';

  /** Head diameters or heights in D in the order they were measured, against the limits. */
  interface Props {
    /** in the order measured */
    heads: readonly HeadInD[];
    measure: 'wide' | 'high';
    /** the head that comes next; null where none does */
    next: number | null;
    limits: HeadLimitsName;
    picked: number;
    onpick: (hole: number) => void;
    /** its figures are opened to their arithmetic */
    arithmetic: boolean;
  }
  let { heads, measure, next, limits, picked, onpick, arithmetic }: Props = $props();
  let widthPx = $state(800);
  let heightPx = $state(260);
  const LEFT = 58;
  const RIGHT = 36;
  const TOP = 14;
  const BOTTOM = 40;
  const MOST_SHOWN = 60;
  const shown = $derived(heads.slice(-MOST_SHOWN));
  const { low, high } = $derived(headLimits(limits)[measure === 'wide' ? 'diameterD' : 'heightD']);
  const nominal = $derived(measure === 'wide' ? NOMINAL_DIAMETER_D : NOMINAL_HEIGHT_D);
  const word = $derived(measure === 'wide' ? 'diameter' : 'height');
  const valueOf = (head: HeadInD) => (measure === 'wide' ? head.diameterD : head.heightD);
  const values = $derived(shown.map(valueOf));
  const x = $derived(
    scaleLinear([0, Math.max(11, shown.length - 1)], [LEFT + 14, widthPx - RIGHT])
  );
  const y = $derived(
    scaleLinear(
      [Math.min(low - 0.1, ...values), Math.max(high + 0.1, ...values)],
      [heightPx - BOTTOM, TOP]
    )
  );
  const statistics = $derived(runStatistics(values, { low, high }));
  const SAYS: Record<RunWarning['rule'], string> = {
    'beyond-limits': 'outside the limits',
    'seven-one-side': 'in a row on one side of the mean',
    'six-rising': 'in a row, each more than the one before',
    'six-falling': 'in a row, each less than the one before'
  };
  /** rising diameters and falling heights: it closes further each time */
  const DRIFTS = {
    'six-rising': 'rising: the setting drifts',
    'six-falling': 'falling: the setting drifts'
  } as const;
  /** the latest pattern that single heads do not show */
  const pattern = $derived(
    statistics.warnings.filter(({ rule }) => rule !== 'beyond-limits').at(-1) ?? null
  );
  const inside = $derived(Math.round(statistics.withinShare * statistics.count));
  const path = $derived(
    line<HeadInD>(
      (_, index) => x(index),
      (head) => y(valueOf(head))
    )(shown) ?? ''
  );
</script>

<div class="whole">
  <ChartHead title="Head {word} in D, in the order measured">
    {#if statistics.count > 1}
      <span data-testid="run-statistics"
        >mean {statistics.mean.toFixed(2)} D, spread {(statistics.spread ?? 0).toFixed(3)} D, {word}
        inside its limits in {inside} of {statistics.count}</span
      >
    {/if}
    {#if pattern}
      <span class="warns" data-testid="run-pattern"
        >△ holes {shown[pattern.first]?.hole} to {shown[pattern.last]?.hole}: {pattern.last -
          pattern.first +
          1}
        {pattern.rule === 'six-rising' || pattern.rule === 'six-falling'
          ? DRIFTS[pattern.rule]
          : SAYS[pattern.rule]}. Check the setting{next === null
          ? ''
          : ` before hole ${next}`}</span
      >
    {/if}
  </ChartHead>
  <div class="run" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
    <svg
      width={widthPx}
      height={heightPx}
      role="group"
      aria-label="Head {word} in D in the order measured"
    >
      <rect
        class="band"
        x={LEFT}
        y={y(high)}
        width={widthPx - LEFT - RIGHT + 14}
        height={Math.max(0, y(low) - y(high))}
      />
      {#each [low, nominal, high] as limit (limit)}
        <path
          class="limit"
          class:nominal={limit === nominal}
          d="M{LEFT} {y(limit)} H{widthPx - RIGHT + 14}"
        />
      {/each}
      <Axis
        side="left"
        scale={y}
        at={LEFT}
        ticks={[low, nominal, high]}
        say={(limit) => limit.toFixed(2)}
      />
      <Axis
        side="bottom"
        scale={x}
        at={heightPx - BOTTOM}
        ticks={shown.map((_, index) => index)}
        say={(index) => String(shown[index]?.hole ?? '')}
      />
      <path class="line" d={path} />
      {#each shown as event, index (event.id)}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g
          class="point"
          data-hint="hole {event.hole}: {event.diameterD.toFixed(2)} D wide, {event.heightD.toFixed(
            2
          )} D high, {event.by}"
          transform="translate({x(index)} {y(valueOf(event))})"
          onclick={() => onpick(event.hole)}
        >
          <circle class="target" r="16" />
          <VerdictMark kind={event.verdict} radius={6} />
          {#if event.hole === picked}<circle class="ring" r="11" />{/if}
        </g>
      {/each}
      <text class="foot" x={LEFT} y={heightPx - 4}>hole number</text>
      {#if shown.length === 0}
        <text class="foot" x={LEFT + 20} y={(y(low) + y(high)) / 2}>No heads measured yet</text>
      {/if}
    </svg>
    {#if arithmetic && statistics.count > 1}
      <div class="sum">
        <Arithmetic
          work={runWork(values, statistics)}
          source="the readings shown, {MOST_SHOWN} maximum, every inspection counted"
        />
      </div>
    {/if}
  </div>
</div>

<style>
  .whole {
    display: grid;
    grid-template-rows: auto minmax(150px, 1fr);
    height: 100%;
    min-height: 0;
  }
  .run {
    position: relative;
    min-height: 0;
    overflow: hidden;
  }
  .sum {
    position: absolute;
    top: 40px;
    right: 10px;
    max-width: 26rem;
  }
  text {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  .foot {
    fill: var(--ink-soft);
  }
  .band {
    fill: color-mix(in srgb, var(--olive-soft) 60%, transparent);
  }
  .limit {
    stroke: var(--olive-deep);
    stroke-dasharray: 6 4;
  }
  .limit.nominal {
    stroke-dasharray: none;
  }
  .line {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.3;
  }
  .point {
    cursor: pointer;
  }
  .target {
    fill: transparent;
  }
  .ring {
    fill: none;
    stroke: var(--dye);
    stroke-width: 2.5;
  }
</style>
