<script lang="ts">
  import { scaleLinear } from 'd3';
  import { headLimits, NOMINAL_DIAMETER_D, NOMINAL_HEIGHT_D } from '$core/catalog/head-limits.ts';
  import { headsInD, type HoleEvent } from '$core/inspect/hole-events.ts';
  import { atLeast, atMost } from '$core/units/tolerance.ts';
  import type { HeadLimitsName } from '$core/schema/fields.ts';
  import VerdictMark from '$lib/ui/kit/VerdictMark.svelte';
  import Axis from './Axis.svelte';

  /** Both measures of a head at once: the gate that it must pass, the head as typed, and the last ten behind it. */
  interface Props {
    events: readonly HoleEvent[];
    limits: HeadLimitsName;
    /** the head that is being typed */
    now: { diameterD: number; heightD: number } | null;
  }
  let { events, limits, now }: Props = $props();
  let widthPx = $state(300);
  let heightPx = $state(260);
  const LEFT = 48;
  const RIGHT = 14;
  const TOP = 34;
  const BOTTOM = 40;
  const TRAIL = 10;
  /** shown beyond the gate on every side, D */
  const AROUND_D = { wide: 0.16, high: 0.09 };

  const gate = $derived(headLimits(limits));
  const trail = $derived(headsInD(events).slice(-TRAIL));
  const heads = $derived([...trail, ...(now ? [now] : [])]);
  const domain = (low: number, high: number, around: number, of: readonly number[]) => [
    Math.min(low - around, ...of),
    Math.max(high + around, ...of)
  ];
  const x = $derived(
    scaleLinear(
      domain(
        gate.diameterD.low,
        gate.diameterD.high,
        AROUND_D.wide,
        heads.map(({ diameterD }) => diameterD)
      ),
      [LEFT, widthPx - RIGHT]
    )
  );
  const y = $derived(
    scaleLinear(
      domain(
        gate.heightD.low,
        gate.heightD.high,
        AROUND_D.high,
        heads.map(({ heightD }) => heightD)
      ),
      [heightPx - BOTTOM, TOP]
    )
  );
  const path = $derived(
    trail
      .map(
        ({ diameterD, heightD }, index) => `${index === 0 ? 'M' : 'L'}${x(diameterD)} ${y(heightD)}`
      )
      .join('')
  );
  const within = (value: number, { low, high }: { low: number; high: number }) =>
    atLeast(value, low) && atMost(value, high);
  const inside = $derived(
    now !== null && within(now.diameterD, gate.diameterD) && within(now.heightD, gate.heightD)
  );
  const said = $derived(
    now === null
      ? `The last ${trail.length} heads, height over diameter in D`
      : `Head as typed: ${now.diameterD.toFixed(2)} D wide, ${now.heightD.toFixed(2)} D high, ${inside ? 'inside' : 'outside'} the gate`
  );
</script>

<div class="gate" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <svg width={widthPx} height={heightPx} role="img" aria-label={said} data-testid="gate-chart">
    <text class="draw-title" x="4" y="18">Gate: height over diameter</text>
    <rect
      class="box"
      x={x(gate.diameterD.low)}
      y={y(gate.heightD.high)}
      width={x(gate.diameterD.high) - x(gate.diameterD.low)}
      height={Math.max(0, y(gate.heightD.low) - y(gate.heightD.high))}
    />
    <path class="nominal" d="M{x(NOMINAL_DIAMETER_D) - 6} {y(NOMINAL_HEIGHT_D)}h12m-6 -6v12" />
    <Axis
      side="left"
      scale={y}
      at={LEFT}
      ticks={[gate.heightD.low, NOMINAL_HEIGHT_D, gate.heightD.high]}
      say={(limit) => limit.toFixed(2)}
    />
    <Axis
      side="bottom"
      scale={x}
      at={heightPx - BOTTOM}
      ticks={[gate.diameterD.low, NOMINAL_DIAMETER_D, gate.diameterD.high]}
      say={(limit) => limit.toFixed(2)}
    />
    <path class="trail" d={path} />
    {#each trail as event, index (event.id)}
      <g
        transform="translate({x(event.diameterD)} {y(event.heightD)})"
        opacity={0.35 + (0.65 * (index + 1)) / trail.length}
        data-hint="hole {event.hole}: {event.diameterD.toFixed(2)} D wide, {event.heightD.toFixed(
          2
        )} D high"
      >
        <VerdictMark kind={event.verdict} radius={5} />
      </g>
    {/each}
    {#if now}
      <g
        class="now"
        class:inside
        transform="translate({x(now.diameterD)} {y(now.heightD)})"
        data-testid="gate-now"
        data-inside={inside}
      >
        <circle r="9" />
        <path d="M-14 0h28M0 -14v28" />
      </g>
    {/if}
    <text class="foot" x={LEFT} y={heightPx - 4}>diameter in D; upward: height in D</text>
  </svg>
</div>

<style>
  .gate {
    height: 100%;
    min-height: 190px;
    overflow: hidden;
  }
  .box {
    fill: color-mix(in srgb, var(--olive-soft) 60%, transparent);
    stroke: var(--olive-deep);
    stroke-width: 1.5;
  }
  .nominal {
    stroke: var(--olive-deep);
  }
  .trail {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 2 3;
  }
  .now circle,
  .now path {
    fill: none;
    stroke: var(--brick);
    stroke-width: 2.5;
  }
  .inside circle,
  .inside path {
    stroke: var(--dye);
  }
  .foot {
    font-size: 14px;
    fill: var(--ink-soft);
  }
</style>
