<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedHole } from '$core/layout/holes.ts';
  import { exactDecimal } from '$core/units/format-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import Dim from './Dim.svelte';
  import { holeMarks, numbered, type NumberPlace } from './hole-marks';
  import { partPath, shapePath, type Place } from './part-path';
  import PlanHoles from './PlanHoles.svelte';
  import PlanHolesCanvas from './PlanHolesCanvas.svelte';
  import PlanObstacles from './PlanObstacles.svelte';
  import { extentOf, fitPlan } from './plan-scene';
  import { Zoomable } from './zoomable.svelte';

  /** The joint from above, to scale: sheets, cut-out, rivet lines, numbered holes, what is in the way, dimensions. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
    stale?: boolean;
    /** letters each hole by the largest size that could still go there */
    headroom?: boolean;
    onkeepout?: (index: number, xIn: number, yIn: number) => void;
    onfixed?: (index: number, alongIn: number) => void;
  }
  let {
    shown,
    picked,
    onpick,
    stale = false,
    headroom = false,
    onkeepout = () => undefined,
    onfixed = () => undefined
  }: Props = $props();
  const preferences = usePreferences();

  /** kept free along the foot for the buttons */
  const TOOLS_PX = 40;
  /** measured: so many elements still repaint in a frame while panning; more go on a canvas */
  const MOST_ELEMENTS = 400;
  const zoomable = new Zoomable();
  let widthPx = $state(800);
  let heightPx = $state(320);
  let canvas = $state<PlanHolesCanvas>();

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const extent = $derived(layout ? extentOf(layout.parts) : { xIn: 0, yIn: 0, wIn: 1, hIn: 1 });
  const tall = $derived(extent.hIn > 0.45 * extent.wIn);
  const scene = $derived(
    fitPlan(extent, {
      widthPx,
      heightPx: heightPx - TOOLS_PX,
      marginX: 118,
      marginY: tall ? 44 : 56
    })
  );
  const place = $derived.by((): Place => {
    const { originX, originY, pxPerIn } = scene;
    const view = zoomable.view;
    return {
      x: (inches) => view.applyX(originX + inches * pxPerIn),
      y: (inches) => view.applyY(originY + inches * pxPerIn),
      pxPerIn: pxPerIn * view.k
    };
  });
  const holeRadius = $derived((rivetSize(shown.plan.dash).nominalHoleIn / 2) * place.pxPerIn);
  const pickedHole = $derived(shown.plan.holes.find((hole) => hole.number === picked));
  const failing = $derived(
    new Set(
      layout?.checks
        .filter((check) => !check.ok && check.rule !== 'open-gap')
        .flatMap((check) => check.holes) ?? []
    )
  );
  const say = (hole: PlannedHole): string =>
    `hole ${hole.number}${hole.state === 'held-open' ? `, held open: ${hole.reason}` : ''}: ${exactDecimal(hole.xIn)} right, ${exactDecimal(hole.yIn)} down`;
  const marks = $derived(
    holeMarks(
      shown.plan.holes,
      shown.definition.fixed.map((hole) => hole.kind),
      failing,
      headroom ? shown.plan.headroom : null,
      say
    )
  );
  const numbers = $derived(
    layout
      ? numbered(layout.lines, marks, place.pxPerIn, Math.max(2, holeRadius))
      : new Map<number, NumberPlace>()
  );
  const onCanvas = $derived(marks.length > MOST_ELEMENTS);
  const middle = $derived<[number, number]>(
    pickedHole ? [place.x(pickedHole.xIn), place.y(pickedHole.yIn)] : [widthPx / 2, heightPx / 2]
  );

  /** Where the dimensions of each side stand, the first nearest to the metal. */
  const dims = $derived.by(() => {
    if (!layout) return [];
    const next = { top: 0, bottom: 0, left: 0, right: 0 };
    const top = place.y(extent.yIn) - 26;
    const bottom = place.y(extent.yIn + extent.hIn) + 22;
    const left = place.x(Math.min(0, extent.xIn)) - 16;
    const right = place.x(Math.max(layout.widthIn, extent.xIn + extent.wIn)) + 16;
    return layout.dims.map((dim) => {
      const level = next[dim.side]++;
      const at = {
        top: top - level * 24,
        bottom: bottom + level * 24,
        left: left - level * 22,
        right: right + level * 22
      }[dim.side];
      const of = dim.axis === 'x' ? place.x : place.y;
      return {
        ...dim,
        at,
        from: of(dim.fromIn),
        to: of(dim.toIn),
        text: `${preferences.text(dim.toIn - dim.fromIn)}${dim.label ? ` ${dim.label}` : ''}`
      };
    });
  });
  /** Between the end rivets of the first line, and how it divides. */
  const between = $derived.by(() => {
    const line = layout?.lines[0];
    if (!layout || !line || line.path.path === 'circle' || line.pitchIn === null) return null;
    if (Math.abs(line.path.dirX) < 0.9 || layout.dims.some((dim) => dim.side === 'bottom'))
      return null;
    const own = line.holes.map((number) => shown.plan.holes.find((hole) => hole.number === number));
    const [first, last] = [own[0], own.at(-1)];
    if (!first || !last || first === last) return null;
    return {
      at: place.y(extent.yIn + extent.hIn) + 22,
      from: place.x(first.xIn),
      to: place.x(last.xIn),
      text: `${preferences.text(last.xIn - first.xIn)} between end rivets = ${line.laidCount - 1} × ${preferences.text(line.pitchIn)}`
    };
  });

  /** Where the picked hole's line is measured from. */
  const datum = $derived.by(() => {
    const line = layout?.lines[(pickedHole?.row ?? 1) - 1];
    if (!layout || line?.path.path !== 'straight') return null;
    const { xIn, yIn, dirX, dirY } = line.path;
    const at = { x: xIn + line.datumIn * dirX, y: yIn + line.datumIn * dirY };
    return Math.abs(dirX) > Math.abs(dirY)
      ? {
          x1: place.x(at.x),
          x2: place.x(at.x),
          y1: place.y(extent.yIn) - 6,
          y2: place.y(extent.yIn + extent.hIn) + 8
        }
      : {
          y1: place.y(at.y),
          y2: place.y(at.y),
          x1: place.x(extent.xIn) - 8,
          x2: place.x(extent.xIn + extent.wIn) + 8
        };
  });

  function onclick(event: MouseEvent): void {
    if (!onCanvas || !canvas || !(event.currentTarget instanceof Element)) return;
    const box = event.currentTarget.getBoundingClientRect();
    const hole = canvas.holeAt(event.clientX - box.left, event.clientY - box.top);
    if (hole !== null) onpick(hole);
  }
  function onkeydown(event: KeyboardEvent): void {
    if (zoomable.key(event, middle)) event.preventDefault();
  }

  let dragging: {
    index: number;
    x: number;
    y: number;
    alongIn: number;
    dirX: number;
    dirY: number;
  } | null = null;
  function grab(event: PointerEvent, hole: PlannedHole): void {
    const path = layout?.lines[hole.row - 1]?.path;
    if (hole.fixed === null || path?.path !== 'straight') return;
    event.stopPropagation();
    if (event.currentTarget instanceof Element)
      event.currentTarget.setPointerCapture(event.pointerId);
    dragging = {
      index: hole.fixed,
      x: event.clientX,
      y: event.clientY,
      alongIn: hole.alongIn,
      dirX: path.dirX,
      dirY: path.dirY
    };
    onpick(hole.number);
  }
  function drag(event: PointerEvent): void {
    if (!dragging) return;
    const { index, x, y, alongIn, dirX, dirY } = dragging;
    onfixed(
      index,
      alongIn + ((event.clientX - x) * dirX + (event.clientY - y) * dirY) / place.pxPerIn
    );
  }
  const drop = () => (dragging = null);
</script>

<div class="plan" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    {@attach zoomable.attach}
    width={widthPx}
    height={heightPx}
    role="application"
    aria-label="Plan view to scale. Plus and minus zoom, arrows move, 0 fits. Square brackets step through the holes."
    tabindex="0"
    {onkeydown}
    {onclick}
    data-testid="plan-view"
    data-px-per-in={place.pxPerIn}
  >
    <defs>
      <linearGradient id="plan-metal" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="var(--metal-light)" />
        <stop offset="1" stop-color="var(--metal)" />
      </linearGradient>
    </defs>
    {#if layout}
      {#each layout.parts as part (part.key)}
        <path class="part {part.layer}" fill-rule="evenodd" d={partPath(part, place)}
          ><title>{part.name}</title></path
        >
      {/each}
      {#each layout.parts.filter((part) => part.layer === 'under') as part (part.key)}
        <path class="hidden-edge" d={shapePath(part.outline, place, part.goesOn)} />
      {/each}
      {#if layout.cutOut}<path class="cut-out" d={shapePath(layout.cutOut, place)} />{/if}
      {#each layout.reliefs as relief, index (index)}
        <circle
          class="relief"
          cx={place.x(relief.xIn)}
          cy={place.y(relief.yIn)}
          r={(relief.diameterIn / 2) * place.pxPerIn}
        />
        <path
          class="relief-centre"
          d="M{place.x(relief.xIn) - 4} {place.y(relief.yIn)}h8m-4 -4v8"
        />
      {/each}
      {#each layout.marksOnly as mark, index (index)}
        <path
          class="mark-only"
          d="M{place.x(mark.fromIn[0])} {place.y(mark.fromIn[1])}L{place.x(mark.toIn[0])} {place.y(
            mark.toIn[1]
          )}"
        />
        {@const level = mark.fromIn[1] === mark.toIn[1]}
        <text
          class="mark-name"
          x={level ? place.x(mark.toIn[0]) - 8 : place.x(mark.fromIn[0]) + 6}
          y={level ? place.y(mark.toIn[1]) - 5 : place.y(mark.fromIn[1]) - 4}
          text-anchor={level ? 'end' : 'start'}>{mark.name}</text
        >
      {/each}
      {#each layout.lines as line (line.key)}
        {#if line.path.path === 'straight'}
          {@const { xIn, yIn, dirX, dirY, lengthIn } = line.path}
          <path
            class="scribed"
            d="M{place.x(xIn) - 10 * dirX} {place.y(yIn) - 10 * dirY}L{place.x(
              xIn + dirX * lengthIn
            ) +
              10 * dirX} {place.y(yIn + dirY * lengthIn) + 10 * dirY}"
          />
        {:else}
          <circle
            class="scribed"
            cx={place.x(line.path.xIn)}
            cy={place.y(line.path.yIn)}
            r={line.path.radiusIn * place.pxPerIn}
          />
          <path
            class="centre"
            d="M{place.x(line.path.xIn) - 9} {place.y(line.path.yIn)}h18m-9 -9v18"
          />
        {/if}
      {/each}
      <PlanObstacles
        keepOuts={shown.definition.keepOuts}
        clear={layout.clear}
        {extent}
        {place}
        onmove={onkeepout}
      />
      {#each layout.drilledOnly as drilled, index (index)}
        <g transform="translate({place.x(drilled.xIn)} {place.y(drilled.yIn)})">
          <circle class="stop-drill" r={Math.max(3, (drilled.diameterIn / 2) * place.pxPerIn)} />
          <text class="mark-name" x="9" y="-6">{drilled.drill} stop-drill</text>
        </g>
      {/each}
      {#if !onCanvas}
        <PlanHoles {marks} {numbers} {place} radiusPx={holeRadius} {picked} {onpick} />
      {/if}
      {#each layout.removed as gone (gone.number)}
        <path class="gone" d="M{place.x(gone.xIn) - 6} {place.y(gone.yIn) - 6}l12 12m0 -12l-12 12"
          ><title>hole {gone.number} was taken out</title></path
        >
      {/each}
      {#each shown.plan.holes.filter((hole) => hole.fixed !== null) as hole (hole.number)}
        <circle
          class="grip"
          role="button"
          tabindex="-1"
          aria-label="Fixed hole {hole.number}: drag to move"
          data-drag="fixed"
          data-fixed={hole.fixed}
          cx={place.x(hole.xIn)}
          cy={place.y(hole.yIn)}
          r={Math.max(holeRadius, 12)}
          onpointerdown={(event) => grab(event, hole)}
          onpointermove={drag}
          onpointerup={drop}
          onpointercancel={drop}
        />
      {/each}
      {#if datum}
        <path class="datum" d="M{datum.x1} {datum.y1}L{datum.x2} {datum.y2}" />
        <text class="datum-name" x={datum.x1 - 5} y={datum.y2} text-anchor="end">datum</text>
      {/if}
      {#each dims as dim, index (index)}
        <Dim
          axis={dim.axis}
          at={dim.at}
          from={dim.from}
          to={dim.to}
          text={dim.text}
          side={dim.side === 'right' ? 'right' : 'left'}
          strong={dim.strong ?? false}
        />
      {/each}
      {#if between}<Dim
          at={between.at}
          from={between.from}
          to={between.to}
          text={between.text}
          spill="below"
        />{/if}
      <text class="note" x="4" y={heightPx - 8}>{preferences.drawingNote}</text>
    {/if}
  </svg>
  {#if onCanvas}
    <PlanHolesCanvas
      bind:this={canvas}
      {marks}
      {numbers}
      {place}
      radiusPx={holeRadius}
      {widthPx}
      {heightPx}
      {picked}
    />
  {/if}
  <div class="tools" role="toolbar" aria-label="View">
    <button
      class="act small"
      type="button"
      onclick={() => zoomable.by(1.5, middle)}
      aria-label="Zoom in">+</button
    >
    <button
      class="act small"
      type="button"
      onclick={() => zoomable.by(1 / 1.5, middle)}
      aria-label="Zoom out">−</button
    >
    <button class="act small" type="button" onclick={() => zoomable.fit()}>Fit</button>
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
  .stale svg,
  .stale :global(canvas) {
    opacity: 0.35;
  }
  .part {
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .over {
    fill: url(#plan-metal);
    fill-opacity: 0.93;
  }
  .under {
    fill: var(--metal-dark);
  }
  .filler {
    fill: var(--metal-light);
  }
  .hidden-edge {
    fill: none;
    stroke: var(--metal-edge);
    stroke-dasharray: 6 4;
  }
  .cut-out {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .relief {
    fill: none;
    stroke: var(--dye);
    stroke-dasharray: 3 3;
  }
  .relief-centre,
  .centre {
    stroke: var(--dye);
  }
  .mark-only {
    stroke: var(--ink-soft);
    stroke-dasharray: 12 4 3 4;
  }
  .mark-name {
    font-size: 12px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3;
  }
  .stop-drill {
    fill: var(--paper);
    stroke: var(--brick);
    stroke-width: 2;
  }
  .scribed {
    fill: none;
    stroke: var(--dye);
    stroke-width: 1.2;
  }
  .gone {
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    opacity: 0.6;
  }
  .grip {
    fill: transparent;
    cursor: ew-resize;
    touch-action: none;
  }
  .datum {
    stroke: var(--dye);
    stroke-dasharray: 10 3 2 3;
  }
  .datum-name {
    font-size: 12px;
    fill: var(--dye);
  }
  .note {
    font-size: 13px;
    fill: var(--ink-soft);
  }
  .tools {
    position: absolute;
    right: 0;
    bottom: 2px;
    display: flex;
    gap: 6px;
  }
</style>
