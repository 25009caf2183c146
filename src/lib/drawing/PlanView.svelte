<script lang="ts">
  import { select, zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3';
  import type { Attachment } from 'svelte/attachments';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { exactDecimal } from '$core/units/format-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import { brokenEdge } from './broken-edge';
  import Dim from './Dim.svelte';
  import { fitPlan, shownBeyondIn } from './plan-scene';

  /** The joint from above, to scale: sheets, rivet lines, numbered holes, the long dimensions. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
    stale?: boolean;
  }
  let { shown, picked, onpick, stale = false }: Props = $props();
  const preferences = usePreferences();

  /** kept free along the foot for the buttons */
  const TOOLS_PX = 40;
  let widthPx = $state(800);
  let heightPx = $state(320);
  let view = $state.raw<ZoomTransform>(zoomIdentity);
  let behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null;
  let canvas: SVGSVGElement | null = null;

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const widthIn = $derived(shown.definition.widthIn);
  const beyondIn = $derived(layout ? shownBeyondIn(layout.overlapIn) : 0.5);
  const scene = $derived(
    fitPlan(widthIn, (layout?.overlapIn ?? 0.5) + 2 * beyondIn, {
      widthPx,
      heightPx: heightPx - TOOLS_PX,
      marginX: 34,
      marginY: 52
    })
  );
  const x = $derived((inches: number) => view.applyX(scene.originX + inches * scene.pxPerIn));
  const y = $derived((inches: number) =>
    view.applyY(scene.originY + (beyondIn + inches) * scene.pxPerIn)
  );
  const pxPerIn = $derived(scene.pxPerIn * view.k);
  const holeRadius = $derived((rivetSize(shown.plan.dash).nominalHoleIn / 2) * pxPerIn);
  const pickedHole = $derived(shown.plan.holes.find((hole) => hole.number === picked));
  const [upper, ...under] = $derived(shown.definition.sheets);
  const rowEnds = $derived(
    layout
      ? layout.rows.map((row, index) => {
          const numbers = shown.plan.holes.filter((hole) => hole.row === index + 1);
          return { row, first: numbers[0], last: numbers.at(-1) };
        })
      : []
  );

  const zoomable: Attachment<SVGSVGElement> = (element) => {
    canvas = element;
    behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, 40])
      .on('zoom', (event: { transform: ZoomTransform }) => (view = event.transform));
    const selection = select(element).call(behaviour).on('dblclick.zoom', null);
    return () => selection.on('.zoom', null);
  };
  function zoomBy(factor: number): void {
    if (!canvas || !behaviour) return;
    const at: [number, number] = pickedHole
      ? [x(pickedHole.xIn), y(pickedHole.yIn)]
      : [widthPx / 2, heightPx / 2];
    select(canvas).call(behaviour.scaleBy, factor, at);
  }
  function panBy(dx: number, dy: number): void {
    if (canvas && behaviour) select(canvas).call(behaviour.translateBy, dx / view.k, dy / view.k);
  }
  function fit(): void {
    if (canvas && behaviour) select(canvas).call(behaviour.transform, zoomIdentity);
  }
  function onkeydown(event: KeyboardEvent): void {
    const actions: Record<string, () => void> = {
      '+': () => zoomBy(1.5),
      '=': () => zoomBy(1.5),
      '-': () => zoomBy(1 / 1.5),
      '0': fit,
      ArrowLeft: () => panBy(60, 0),
      ArrowRight: () => panBy(-60, 0),
      ArrowUp: () => panBy(0, 60),
      ArrowDown: () => panBy(0, -60)
    };
    const action = actions[event.key];
    if (!action || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    action();
  }
</script>

<div class="plan" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    {@attach zoomable}
    width={widthPx}
    height={heightPx}
    role="application"
    aria-label="Plan view to scale. Plus and minus zoom, arrows move, 0 fits. Square brackets step through the holes."
    tabindex="0"
    {onkeydown}
    data-testid="plan-view"
    data-px-per-in={pxPerIn}
  >
    <defs>
      <linearGradient id="plan-metal" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="var(--metal-light)" />
        <stop offset="1" stop-color="var(--metal)" />
      </linearGradient>
    </defs>
    {#if layout}
      {@const left = x(0)}
      {@const right = x(widthIn)}
      {@const top = y(-beyondIn)}
      {@const bottom = y(layout.overlapIn + beyondIn)}
      <path class="under" d="M{left} {y(0)} V{top} {brokenEdge(left, right, top)} V{y(0)} Z" />
      <path
        class="over"
        d="M{left} {y(0)} H{right} V{bottom} {brokenEdge(right, left, bottom, -6)} Z"
      />
      <path class="hidden-edge" d="M{left} {y(layout.overlapIn)} H{right}" />

      {#each rowEnds as { row }, index (index)}
        <path class="scribed" d="M{left - 12} {y(row.offsetIn)} H{right + 12}" />
      {/each}
      {#each shown.plan.holes as hole (hole.number)}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g
          class="hole"
          class:picked={hole.number === picked}
          transform="translate({x(hole.xIn)} {y(hole.yIn)})"
          onclick={() => onpick(hole.number)}
          data-hole={hole.number}
        >
          <circle class="target" r={Math.max(holeRadius, 11)} />
          <path class="cross" d="M0 {-holeRadius - 4} V{holeRadius + 4}" />
          <circle class="edge" r={holeRadius} />
          <title
            >hole {hole.number}, row {hole.row}: {exactDecimal(hole.xIn)} from the datum edge</title
          >
        </g>
      {/each}

      {#each rowEnds as { row, first, last }, index (index)}
        {@const above = index === 0}
        {#each [first, last] as end, at (at)}
          {#if end && end.number !== picked}
            <text
              class="number"
              x={x(end.xIn)}
              y={above ? y(row.offsetIn) - holeRadius - 8 : y(row.offsetIn) + holeRadius + 17}
              text-anchor="middle">{end.number}</text
            >
          {/if}
        {/each}
      {/each}
      {#if pickedHole}
        <text
          class="number chosen"
          x={x(pickedHole.xIn)}
          y={pickedHole.row === 1
            ? y(pickedHole.yIn) - holeRadius - 8
            : y(pickedHole.yIn) + holeRadius + 18}
          text-anchor="middle">{pickedHole.number}</text
        >
      {/if}

      <text class="sheet" x={left + 10} y={bottom - 12}>
        {upper?.name ?? ''}
        {upper?.thicknessIn.toFixed(3)} in, on top
      </text>
      <text class="sheet" x={left + 10} y={top + 20}>
        {under.map((sheet) => `${sheet.name} ${sheet.thicknessIn.toFixed(3)} in`).join(' · ')}
      </text>
      <path class="datum" d="M{left} {top - 34} V{bottom + 12}" />
      <text class="datum-name" x={left} y={top - 38} text-anchor="middle">datum edge</text>

      <text class="sheet" x={left} y={bottom + 52}>{preferences.drawingNote}</text>
      <Dim at={top - 22} from={left} to={right} text={preferences.text(widthIn)} strong />
      <Dim
        at={bottom + 22}
        from={x(layout.edgeIn)}
        to={x(widthIn - layout.edgeIn)}
        text="{preferences.text(widthIn - 2 * layout.edgeIn)} between end rivets = {layout.perRow -
          1} × {preferences.text(layout.pitchIn)}"
      />
    {/if}
  </svg>
  <div class="tools" role="toolbar" aria-label="View">
    <button class="act small" type="button" onclick={() => zoomBy(1.5)} aria-label="Zoom in"
      >+</button
    >
    <button class="act small" type="button" onclick={() => zoomBy(1 / 1.5)} aria-label="Zoom out"
      >−</button
    >
    <button class="act small" type="button" onclick={fit}>Fit</button>
  </div>
</div>

<style>
  .plan {
    position: relative;
    min-height: 0;
    height: 100%;
    overflow: hidden;
  }
  svg {
    display: block;
    touch-action: none;
    cursor: grab;
  }
  /* a picked hole shows where one is; the frame is for those who came by keyboard */
  svg:focus {
    outline: none;
  }
  svg:focus-visible {
    outline: 2px solid var(--dye);
    outline-offset: -2px;
  }
  .stale svg {
    opacity: 0.35;
  }
  .over {
    fill: url(#plan-metal);
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .under {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .hidden-edge {
    fill: none;
    stroke: var(--metal-edge);
    stroke-dasharray: 6 4;
  }
  .scribed {
    stroke: var(--dye);
    stroke-width: 1.2;
  }
  .hole {
    cursor: pointer;
  }
  .target {
    fill: transparent;
  }
  .cross {
    stroke: var(--dye);
    stroke-width: 0.8;
    opacity: 0.7;
  }
  .edge {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .picked .edge {
    fill: var(--dye);
    stroke: var(--dye);
  }
  .picked .target {
    fill: none;
    stroke: var(--dye);
    stroke-width: 1.5;
  }
  .number {
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .chosen {
    font-size: 16px;
    font-weight: 700;
    fill: var(--dye);
  }
  .sheet {
    font-size: 13px;
    fill: var(--ink-soft);
  }
  .datum {
    stroke: var(--dye);
    stroke-dasharray: 10 3 2 3;
  }
  .datum-name {
    font-size: 12px;
    fill: var(--dye);
  }
  .tools {
    position: absolute;
    right: 0;
    bottom: 2px;
    display: flex;
    gap: 6px;
  }
</style>
