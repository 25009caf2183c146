<script lang="ts">
  import { scaleLinear } from 'd3';
  import { MOST_PER_INCH } from '$core/catalog/families.ts';
  import { RIVET_SIZES, rivetSize } from '$core/catalog/rivets.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import Axis from './Axis.svelte';

  /** Every standard rivet through this stack to one scale, and how many an inch each limit asks for. */
  interface Props {
    shown: ShownPlan;
    stale?: boolean;
    onpick: (dash: Dash) => void;
  }
  let { shown, stale = false, onpick }: Props = $props();
  const preferences = usePreferences();

  let widthPx = $state(800);
  let heightPx = $state(540);
  const LEFT = 116;
  const RIGHT = 20;
  const PICTURE_TOP = 44;
  const AXIS_ROOM = 64;

  const HEADS = RIVET_SIZES.flatMap(({ head }) => Object.values(head));
  const TALLEST_HEAD_IN = Math.max(...HEADS.map(({ heightIn }) => heightIn));
  const WIDEST_HEAD_IN = Math.max(...HEADS.map(({ diameterIn }) => diameterIn));
  /** of the shank, past the sheets */
  const BELOW_IN = 0.05;
  /** columns too narrow for words: the count alone, and beneath it the bar that governs */
  const NARROW_COLUMN_PX = 96;
  const narrow = $derived((widthPx - LEFT - RIGHT) / shown.plan.sizes.length < NARROW_COLUMN_PX);
  const GOVERNS = { bearing: 'bear.', shear: 'shear' } as const;
  const column = $derived((widthPx - LEFT - RIGHT) / shown.plan.sizes.length);
  const stackIn = $derived(
    shown.definition.sheets.reduce((sum, sheet) => sum + sheet.thicknessIn, 0)
  );
  const pictureHigh = $derived(heightPx * 0.3);
  const pxPerIn = $derived(
    Math.min((column * 0.8) / WIDEST_HEAD_IN, pictureHigh / (stackIn + TALLEST_HEAD_IN + BELOW_IN))
  );
  const faceY = $derived(PICTURE_TOP + TALLEST_HEAD_IN * pxPerIn + 8);
  const chartTop = $derived(faceY + stackIn * pxPerIn + 74);
  const chartFoot = $derived(heightPx - AXIS_ROOM);
  const most = $derived(
    Math.min(
      MOST_PER_INCH * 1.25,
      Math.max(...shown.plan.sizes.flatMap((size) => [size.bearingPerInch, size.shearPerInch]), 4) *
        1.08
    )
  );
  const perInchY = $derived(scaleLinear([0, most], [chartFoot, chartTop]));
  const barWide = $derived(Math.min(34, column * 0.26));
  const centre = $derived((index: number) => LEFT + (index + 0.5) * column);
  const layers = $derived.by(() => {
    let depthIn = 0;
    return shown.definition.sheets.map(({ thicknessIn }) => {
      const topIn = depthIn;
      depthIn += thicknessIn;
      return { topIn, thicknessIn };
    });
  });
</script>

<div class="sizes" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <svg
    width={widthPx}
    height={heightPx}
    role="group"
    aria-label="Standard rivets in this stack, to one scale, with the rivets per inch required by bearing and shear"
  >
    <text class="draw-title" x="14" y="24">In these sheets</text>
    <text class="draw-note" x="14" y="42">one scale,</text>
    {#if !narrow}
      <text class="draw-note" x="14" y="58">{(pxPerIn / 96).toFixed(1)} × full size</text>
    {/if}
    {#each layers as layer, index (index)}
      <rect
        class="layer layer-{index % 2}"
        x={LEFT}
        y={faceY + layer.topIn * pxPerIn}
        width={widthPx - LEFT - RIGHT}
        height={layer.thicknessIn * pxPerIn}
      />
    {/each}

    <text class="draw-note" x={LEFT - 8} y={faceY + (stackIn / 2) * pxPerIn + 4} text-anchor="end"
      >{preferences.inWords(stackIn)} stack</text
    >
    <text class="draw-title" x="14" y={chartTop - 20}>Rivets per inch</text>
    <Axis
      side="left"
      scale={perInchY}
      at={LEFT}
      ticks={5}
      gridPx={widthPx - LEFT - RIGHT}
      say={String}
    />
    {#if perInchY(MOST_PER_INCH) >= chartTop}
      <path class="limit" d="M{LEFT} {perInchY(MOST_PER_INCH)} H{widthPx - RIGHT}" />
      <text class="limit-name" x={widthPx - RIGHT} y={perInchY(MOST_PER_INCH) - 5} text-anchor="end"
        >{narrow ? 'over 14: rows do not fit' : 'over 14 per inch: rows do not fit'}</text
      >
    {/if}

    {#each shown.plan.sizes as size, index (size.dash)}
      {@const rivet = rivetSize(size.dash)}
      {@const shank = (rivet.diameterIn / 2) * pxPerIn}
      {@const head = rivet.head[shown.definition.head]}
      {@const headHalf = (head.diameterIn / 2) * pxPerIn}
      {@const headHigh = head.heightIn * pxPerIn}
      {@const x = centre(index)}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g
        class="size"
        class:chosen={size.dash === shown.plan.dash}
        class:refused={size.required?.ok === false}
        onclick={() => onpick(size.dash)}
      >
        <rect
          class="target"
          x={x - column / 2 + 4}
          y="6"
          width={column - 8}
          height={heightPx - 12}
          rx="10"
        />
        {#if shown.definition.head === 'universal'}
          <path
            class="rivet"
            d="M{x - headHalf} {faceY} A{headHalf} {headHigh} 0 0 1 {x + headHalf} {faceY} Z"
          />
          <rect
            class="rivet"
            x={x - shank}
            y={faceY}
            width={2 * shank}
            height={stackIn * pxPerIn + 12}
          />
        {:else}
          <path
            class="rivet"
            d="M{x - headHalf} {faceY} H{x + headHalf} L{x + shank} {faceY + headHigh} V{faceY +
              stackIn * pxPerIn +
              12} H{x - shank} V{faceY + headHigh} Z"
          />
        {/if}
        <text class="dash" {x} y="30" text-anchor="middle">dash {size.dash}</text>
        <text class="draw-note" {x} y={faceY + stackIn * pxPerIn + 32} text-anchor="middle"
          >{preferences.text(rivet.diameterIn)}</text
        >
        {#each [{ kind: 'bearing', value: size.bearingPerInch, at: x - barWide - 2, side: 'end', edge: x - 2 }, { kind: 'shear', value: size.shearPerInch, at: x + 2, side: 'start', edge: x + 2 }] as const as bar (bar.kind)}
          {@const top = Math.max(chartTop, perInchY(bar.value))}
          <rect
            class="bar {bar.kind}"
            x={bar.at}
            y={top}
            width={barWide}
            height={chartFoot - top}
          />
          <!-- two figures are wider than two narrow bars: each stands over its own, away from the other -->
          <text
            class="value"
            x={narrow ? bar.edge : bar.at + barWide / 2}
            y={top - 5}
            text-anchor={narrow ? bar.side : 'middle'}>{bar.value.toFixed(1)}</text
          >
        {/each}
        <text class="need" {x} y={chartFoot + 24} text-anchor="middle">
          {size.required === null
            ? ''
            : size.required.ok
              ? `${size.required.result.required}${narrow ? '' : ' rivets'}`
              : narrow
                ? '—'
                : 'not given'}
        </text>
        <text class="draw-note" {x} y={chartFoot + 43} text-anchor="middle">
          {size.required === null
            ? ''
            : size.required.ok
              ? size.required.result.critical === null
                ? narrow
                  ? 'own'
                  : 'by own data'
                : narrow
                  ? GOVERNS[size.required.result.critical]
                  : `${size.required.result.critical} governs`
              : size.shearPerInch > MOST_PER_INCH
                ? 'too small'
                : 'too large'}
        </text>
      </g>
    {/each}
    <rect class="bar bearing" x="14" y={chartTop + 10} width="12" height="12" />
    <text class="draw-note" x="32" y={chartTop + 21}>bearing</text>
    <rect class="bar shear" x="14" y={chartTop + 30} width="12" height="12" />
    <text class="draw-note" x="32" y={chartTop + 41}>shear</text>
  </svg>
</div>

<style>
  .sizes {
    height: 100%;
    min-height: 0;
    overflow: hidden;
  }
  .stale svg {
    opacity: 0.35;
  }
  .layer {
    stroke: var(--metal-edge);
  }
  .layer-0 {
    fill: var(--metal-light);
  }
  .layer-1 {
    fill: var(--metal-dark);
  }
  .limit {
    stroke: var(--brick-line);
    stroke-dasharray: 7 4;
  }
  .limit-name {
    font-size: 14px;
    fill: var(--brick);
  }
  .size {
    cursor: pointer;
  }
  .target {
    fill: transparent;
    stroke: transparent;
    stroke-width: 2;
  }
  .size:hover .target {
    stroke: var(--line-strong);
  }
  .chosen .target {
    stroke: var(--olive);
    fill: color-mix(in srgb, var(--olive-soft) 55%, transparent);
  }
  .rivet {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .dash {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 15px;
  }
  .bar.bearing {
    fill: var(--metal-edge);
  }
  .bar.shear {
    fill: var(--olive);
  }
  .value {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  .need {
    font-size: 15px;
    font-weight: 700;
  }
  .refused .need,
  .refused .dash,
  .refused .value {
    fill: var(--ink-soft);
    font-weight: 400;
  }
  .refused .bar,
  .refused .rivet {
    opacity: 0.4;
  }
</style>
