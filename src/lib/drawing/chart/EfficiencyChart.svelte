<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { line, scaleLinear } from 'd3';
  import type { EfficiencyPoint } from '$core/size/efficiency-curve.ts';
  import type { StrengthView } from '$core/plan/strength-view.ts';
  import type { Multipliers } from '$core/rules/multipliers.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Axis from './Axis.svelte';
  import ChartHead from './ChartHead.svelte';
  import { ticksApart } from './ticks';

  /** How much of the whole sheet the joint carries at every pitch it may have, and what governs there. */
  interface Props {
    view: StrengthView;
    limits: Multipliers;
    stale?: boolean;
  }
  let { view, limits, stale = false }: Props = $props();
  const preferences = usePreferences();
  let widthPx = $state(800);
  let heightPx = $state(500);
  const LEFT = 64;
  const RIGHT = 30;
  const TOP = 44;
  const BOTTOM = 84;
  const WORDS = {
    shear: LAYOUT.rivetsShearFirst,
    bearing: 'bearing governs',
    'net-tension': 'net tension governs'
  };

  const x = $derived(
    scaleLinear([limits.pitchMinD - 0.6, limits.pitchMaxD + 0.6], [LEFT, widthPx - RIGHT])
  );
  const most = $derived(Math.max(0.2, ...view.curve.map((point) => point.efficiency)));
  const y = $derived(scaleLinear([0, Math.min(1, most * 1.12)], [heightPx - BOTTOM, TOP]));
  const path = $derived(
    line<EfficiencyPoint>(
      (point) => x(point.pitchD),
      (point) => y(point.efficiency)
    )
  );
  /** stretches of the curve with one limit governing, each joined to the next */
  const stretches = $derived.by(() => {
    const found: { governs: EfficiencyPoint['governs']; points: EfficiencyPoint[] }[] = [];
    for (const point of view.curve) {
      const last = found.at(-1);
      if (last?.governs === point.governs) last.points.push(point);
      else {
        last?.points.push(point);
        found.push({ governs: point.governs, points: [point] });
      }
    }
    return found;
  });
  const at = $derived(view.at.ok ? view.at.result : null);
  const inside = $derived(
    view.pitchD >= limits.pitchMinD - 0.6 && view.pitchD <= limits.pitchMaxD + 0.6
  );
  const pitches = $derived(
    x.ticks(10).filter((tick) => tick >= limits.pitchMinD && tick <= limits.pitchMaxD)
  );
  const percent = (share: number) => `${(share * 100).toFixed(0)} %`;
  const pitchIn = (pitchD: number) => (pitchD * view.pitchIn) / view.pitchD;
</script>

<div class="whole" class:stale>
  <ChartHead title="Share of the whole sheet that the joint carries">
    <span
      >{view.sheet}{view.sheetChosen ? '' : ', the weakest of the family'}, {preferences.inWords(
        view.thicknessIn
      )} · {view.rows} row{view.rows > 1 ? 's' : ''} in single shear · published reference values</span
    >
  </ChartHead>
  <div class="efficiency" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
    <svg
      width={widthPx}
      height={heightPx}
      role="img"
      aria-label="Joint efficiency against pitch"
      data-testid="efficiency"
    >
      <Axis
        side="left"
        scale={y}
        at={LEFT}
        ticks={5}
        gridPx={widthPx - LEFT - RIGHT}
        say={percent}
      />
      <Axis
        side="bottom"
        scale={x}
        at={heightPx - BOTTOM}
        ticks={pitches}
        strokePx={6}
        say={(tick) => `${tick} D`}
      />
      {#each ticksApart(pitches, x, (tick) => preferences.text(pitchIn(tick))) as tick (tick)}
        <text class="draw-note" x={x(tick)} y={heightPx - BOTTOM + 40} text-anchor="middle"
          >{preferences.text(pitchIn(tick))}</text
        >
      {/each}
      <text
        class="draw-title"
        x={(LEFT + widthPx - RIGHT) / 2}
        y={heightPx - BOTTOM + 62}
        text-anchor="middle">pitch</text
      >
      {#each [{ d: limits.pitchMinD, text: `least ${limits.pitchMinD} D`, anchor: 'start' as const }, { d: limits.pitchMaxD, text: `most ${limits.pitchMaxD} D`, anchor: 'end' as const }] as limit (limit.text)}
        <path class="limit" d="M{x(limit.d)} {TOP - 22}V{heightPx - BOTTOM}" />
        <text
          class="limit-name"
          x={x(limit.d) + (limit.anchor === 'start' ? 5 : -5)}
          y={TOP - 12}
          text-anchor={limit.anchor}>{limit.text}</text
        >
      {/each}
      {#each stretches as stretch, index (index)}
        {@const first = stretch.points[0]}
        {@const last = stretch.points.at(-1)}
        <path class="curve {stretch.governs}" d={path(stretch.points)} />
        {#if first && last}
          {@const wide = x(last.pitchD) - x(first.pitchD)}
          <path
            class="span {stretch.governs}"
            d="M{x(first.pitchD) + 2} {heightPx - BOTTOM - 10}H{x(last.pitchD) - 2}"
          />
          {#if wide > 150}
            <text
              class="governs"
              x={(x(first.pitchD) + x(last.pitchD)) / 2}
              y={heightPx - BOTTOM - 18}
              text-anchor="middle">{WORDS[stretch.governs]}</text
            >
          {:else if wide > 60}
            <text
              class="governs"
              x={(x(first.pitchD) + x(last.pitchD)) / 2}
              y={heightPx - BOTTOM - 18}
              text-anchor="middle">{stretch.governs.replace('-', ' ')}</text
            >
          {/if}
        {/if}
      {/each}
      {#if view.best}
        <path
          class="best"
          d="M{x(view.best.pitchD)} {y(view.best.efficiency)}m-6 0l6 -6l6 6l-6 6z"
        />
        <text
          class="draw-note"
          x={x(view.best.pitchD)}
          y={y(view.best.efficiency) - 12}
          text-anchor="start">best {percent(view.best.efficiency)}</text
        >
      {/if}
      {#if at && inside}
        {@const right = x(view.pitchD) > widthPx * 0.65}
        <path class="chosen" d="M{x(view.pitchD)} {TOP - 22}V{heightPx - BOTTOM}" />
        <circle class="here" cx={x(view.pitchD)} cy={y(at.efficiency)} r="6" />
        <text
          class="chosen-name"
          x={x(view.pitchD) + (right ? -12 : 12)}
          y={heightPx - BOTTOM - 44}
          text-anchor={right ? 'end' : 'start'}
        >
          here: {percent(at.efficiency)} at {view.pitchD.toFixed(1)} D
        </text>
      {/if}
      {#if view.curve.length === 0}
        <text class="draw-note" x={LEFT + 12} y={(TOP + heightPx - BOTTOM) / 2}
          >{view.at.ok ? '' : preferences.refusal(view.at.error.said)}</text
        >
      {/if}
    </svg>
  </div>
</div>

<style>
  .whole {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    height: 100%;
    min-height: 0;
  }
  .efficiency {
    min-height: 0;
    overflow: hidden;
  }
  .stale svg {
    opacity: 0.35;
  }
  .limit {
    stroke: var(--brick-line);
    stroke-dasharray: 7 4;
  }
  .limit-name {
    font-size: 14px;
    fill: var(--brick);
  }
  .span {
    stroke: var(--ink);
    stroke-width: 6;
  }
  .span.net-tension {
    stroke: var(--olive-deep);
  }
  .span.bearing {
    stroke: var(--dye);
  }
  .curve {
    fill: none;
    stroke-width: 3;
    stroke: var(--ink);
  }
  .curve.shear {
    stroke-dasharray: 10 4;
  }
  .curve.net-tension {
    stroke: var(--olive-deep);
  }
  .curve.bearing {
    stroke: var(--dye);
    stroke-dasharray: 3 4;
  }
  .governs {
    font-size: 14px;
  }
  .best {
    fill: var(--olive-fill);
  }
  .chosen {
    stroke: var(--dye);
    stroke-width: 1.5;
  }
  .here {
    fill: var(--dye);
  }
  .chosen-name {
    font-size: 15px;
    font-weight: 700;
    fill: var(--dye);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4;
  }
</style>
