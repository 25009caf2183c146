<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import type { LayerEnd } from '$core/stack/layer-ends.ts';
  import type { ComponentProps } from 'svelte';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import Dim from '../Dim.svelte';
  import { failingHoles, holeMarks, nameSpots, numbered, sayHole, type Spot } from './hole-marks';
  import type { Place } from './part-path';
  import { besideDrawingPx, datumLine, placeDims } from './plan-dims';
  import { markNameSpots, obstacleSpots, openSpots, openWords } from './names';
  import { MOST_ELEMENTS, nearestMark, type NumberPlace } from '../marks/map-mark';
  import MarkCanvas from '../marks/MarkCanvas.svelte';
  import MarkElements from '../marks/MarkElements.svelte';
  import { planMarks } from './plan-glyphs';
  import PlanFixedGrips from './PlanFixedGrips.svelte';
  import PlanLayerEnds from './PlanLayerEnds.svelte';
  import PlanLengthChanges from './PlanLengthChanges.svelte';
  import PlanImpossible from './PlanImpossible.svelte';
  import PlanMetal from './PlanMetal.svelte';
  import PlanReady from './PlanReady.svelte';
  import PlanObstacles from './PlanObstacles.svelte';
  import { picksHoles } from './picked-hole';
  import { extentOf, fitPlan } from './plan-scene';
  import { Zoomable } from '../gestures/zoomable.svelte';
  import { answersHints } from '$lib/ui/kit/hint.ts';

  /** The joint from above, to scale: sheets, cut-out, rivet lines, numbered holes, what is in the way, dimensions. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
    stale?: boolean;
    /** letters each hole by the largest size that could still go there */
    headroom?: boolean;
    /** holes that rework left another way than planned */
    reworked?: ReadonlySet<number>;
    /** sheet holders and holes that are done, at Make ready */
    ready?: { holders: ReadonlySet<number>; ticked: ReadonlySet<number> } | null;
    /** it cannot be as it stands: the holes to blame, and those of a way out */
    impossible?: ComponentProps<typeof PlanImpossible>['over'] | null;
    onkeepout?: (id: string, xIn: number, yIn: number) => void;
    onfixed?: (id: string, alongIn: number) => void;
    /** a sheet's end inside the joint was dragged */
    onlayerend?: (sheet: string, end: LayerEnd['end'], xIn: number) => void;
  }
  let {
    shown,
    picked,
    onpick,
    stale = false,
    headroom = false,
    reworked,
    ready = null,
    impossible = null,
    onkeepout = () => undefined,
    onfixed = () => undefined,
    onlayerend = () => undefined
  }: Props = $props();
  const preferences = usePreferences();

  /** kept free along the foot for the buttons */
  const TOOLS_PX = 40;
  const NUMBER_STEP = 1.15;
  const LEAST_BESIDE_PX = 118;
  const zoomable = new Zoomable();
  let widthPx = $state(800);
  let heightPx = $state(320);

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const extent = $derived(
    layout
      ? extentOf([...layout.parts, ...(impossible?.ghost?.parts ?? [])])
      : { xIn: 0, yIn: 0, wIn: 1, hIn: 1 }
  );
  const tall = $derived(extent.hIn > 0.45 * extent.wIn);
  const scene = $derived(
    fitPlan(extent, {
      widthPx,
      heightPx: heightPx - TOOLS_PX,
      marginX: Math.max(
        LEAST_BESIDE_PX,
        besideDrawingPx(layout?.dims ?? [], (inches) => preferences.text(inches))
      ),
      marginY: tall ? 44 : 56
    })
  );
  const place = $derived.by((): Place => {
    const { originX, originY, pxPerIn } = scene;
    const view = zoomable.view;
    return {
      x: (inches) => view.x + view.k * (originX + inches * pxPerIn),
      y: (inches) => view.y + view.k * (originY + inches * pxPerIn),
      pxPerIn: pxPerIn * view.k
    };
  });
  /** by itself, so that what depends on the scale alone is left alone while panning */
  const pxPerIn = $derived(scene.pxPerIn * zoomable.view.k);
  const holeRadius = $derived((rivetSize(shown.plan.dash).nominalHoleIn / 2) * pxPerIn);
  /** numbers are set anew at steps of the scale, not at every turn of the wheel */
  const numberScale = $derived(
    NUMBER_STEP ** Math.floor(Math.log(pxPerIn) / Math.log(NUMBER_STEP))
  );
  const pickedHole = $derived(shown.plan.holes.find((hole) => hole.number === picked));
  const failing = $derived(failingHoles(impossible ? [] : (layout?.checks ?? [])));
  /** asked for when somebody points at a hole: hundreds are drawn at every keystroke */
  const sayOf = ({ dataset }: HTMLElement | SVGElement): string =>
    sayHole(
      shown.plan.holes.find(({ number }) => String(number) === dataset['hole']),
      (inches) => preferences.exact(inches)
    );
  const marks = $derived(
    holeMarks(
      shown.plan.holes,
      new Map(shown.definition.fixed.map(({ id, kind }) => [id, kind])),
      failing,
      headroom ? shown.plan.headroom : null,
      reworked
    )
  );
  /** thousands of holes carry numbers only about where one looks; in half pages, so that panning leaves them be */
  const page = $derived({
    x: Math.round((2 * zoomable.view.x) / widthPx),
    y: Math.round((2 * zoomable.view.y) / heightPx)
  });
  const pageX = $derived(page.x);
  const pageY = $derived(page.y);
  const nearView = $derived.by(() => {
    if (marks.length <= MOST_ELEMENTS) return marks;
    const left = -scene.originX / scene.pxPerIn - ((pageX + 2) * widthPx) / 2 / numberScale;
    const top = -scene.originY / scene.pxPerIn - ((pageY + 2) * heightPx) / 2 / numberScale;
    const [wide, high] = [(3 * widthPx) / numberScale, (3 * heightPx) / numberScale];
    return marks.filter(
      ({ xIn, yIn }) => xIn >= left && xIn <= left + wide && yIn >= top && yIn <= top + high
    );
  });
  const numbers = $derived(
    layout
      ? numbered(
          layout.lines,
          new Map(
            nearView.map(({ number, xIn, yIn }) => [
              number,
              { x: xIn * numberScale, y: yIn * numberScale }
            ])
          ),
          Math.max(2, (rivetSize(shown.plan.dash).nominalHoleIn / 2) * numberScale),
          picked,
          taken(layout)
        )
      : new Map<number, NumberPlace>()
  );
  /** what is written about the drawing besides numbers and the names of obstacles */
  function writtenAt(of: NonNullable<typeof layout>, at: Place): Spot[] {
    const radius = (rivetSize(shown.plan.dash).nominalHoleIn / 2) * at.pxPerIn;
    const words = openWords(marks, at, radius);
    return [
      ...openSpots(words),
      ...markNameSpots(of.marksOnly, at, words),
      ...placeDims(of, shown.plan.holes, extent, at, (inches) => preferences.text(inches))
        .filter(({ axis }) => axis === 'x')
        .flatMap(({ from, to, at: y, text }) => nameSpots(text, { x: (from + to) / 2, y }))
    ];
  }
  /** names and dimensions that numbers keep clear of, at the numbers' own scale */
  function taken(of: NonNullable<typeof layout>): Spot[] {
    const at = (inches: number) => inches * numberScale;
    const own = { x: at, y: at, pxPerIn: numberScale };
    const written = writtenAt(of, own);
    return [...written, ...obstacleSpots(shown.definition.keepOuts, extent, own, written)];
  }
  const onCanvas = $derived(marks.length > MOST_ELEMENTS);
  const markRadius = $derived(Math.max(2, holeRadius));
  const NUMBER_PX = 24;
  /** how far the first row’s numbers stand out over the metal's edge, px */
  const overEdgePx = $derived(
    place.y(extent.yIn) -
      (place.y(Math.min(Infinity, ...nearView.map(({ yIn }) => yIn))) - markRadius - NUMBER_PX)
  );
  const drawn = $derived(planMarks(marks, place, holeRadius, picked));
  const middle = $derived<[number, number]>(
    pickedHole ? [place.x(pickedHole.xIn), place.y(pickedHole.yIn)] : [widthPx / 2, heightPx / 2]
  );

  const dims = $derived(
    layout && !impossible
      ? placeDims(layout, shown.plan.holes, extent, place, (inches) => preferences.text(inches))
      : []
  );
  const datum = $derived(
    layout ? datumLine(layout.lines[(pickedHole?.row ?? 1) - 1], extent, place) : null
  );

  function onkeydown(event: KeyboardEvent): void {
    if (zoomable.key(event, middle)) event.preventDefault();
  }
</script>

<div class="plan" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    {@attach zoomable.attach}
    {@attach picksHoles((x, y) => nearestMark(drawn, x, y), onpick)}
    {@attach answersHints(sayOf)}
    width={widthPx}
    height={heightPx}
    role="application"
    aria-label="Plan view to scale. Plus and minus zoom, arrows move, 0 fits. Square brackets step through the holes."
    tabindex="0"
    {onkeydown}
    data-testid="plan-view"
    data-px-per-in={place.pxPerIn}
  >
    {#if layout}
      <PlanMetal {layout} {place} written={openWords(marks, place, holeRadius)} />
      <PlanLayerEnds
        stackings={layout.stackings}
        alongIn={layout.widthIn}
        {extent}
        {place}
        onmove={onlayerend}
        abovePx={Math.max(layout.marksOnly.length > 0 ? 19 : 5, overEdgePx)}
      />
      <PlanObstacles
        keepOuts={shown.definition.keepOuts}
        clear={layout.clear}
        {extent}
        {place}
        onmove={onkeepout}
        written={shown.definition.keepOuts.length > 0 ? writtenAt(layout, place) : []}
      />
      {#if !onCanvas}
        <MarkElements marks={drawn} {numbers} radiusPx={markRadius} {picked} />
      {/if}
      <PlanLengthChanges
        changes={shown.plan.lengthChanges}
        lines={layout.lines}
        {place}
        topIn={extent.yIn}
      />
      {#if ready}
        <PlanReady holes={shown.plan.holes} {...ready} {place} radiusPx={holeRadius} />
      {/if}
      {#if impossible}<PlanImpossible over={impossible} {place} />{/if}
      {#each layout.removed as gone (gone.number)}
        <path
          class="gone"
          d="M{place.x(gone.xIn) - 6} {place.y(gone.yIn) - 6}l12 12m0 -12l-12 12"
          data-hint="hole {gone.number} was deleted"
        />
      {/each}
      <PlanFixedGrips
        holes={shown.plan.holes}
        lines={layout.lines}
        {place}
        radiusPx={holeRadius}
        {onpick}
        onmove={onfixed}
      />
      {#if datum}
        <path class="datum" d="M{datum.x1} {datum.y1}L{datum.x2} {datum.y2}" />
        <text class="datum-name" x={datum.x1 - 5} y={datum.y1 - 2} text-anchor="end">datum</text>
      {/if}
      {#each dims as dim, index (index)}<Dim {...dim} />{/each}
      <text class="note" x="4" y={heightPx - 8}>{preferences.drawingNote}</text>
    {/if}
  </svg>
  {#if onCanvas}
    <MarkCanvas marks={drawn} {numbers} radiusPx={holeRadius} {widthPx} {heightPx} {picked} />
  {/if}
  <div class="tools" role="toolbar" aria-label="View">
    <button
      class="act small"
      type="button"
      onclick={() => zoomable.by(1.5, middle)}
      aria-label={LAYOUT.zoomIn}>+</button
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
  .gone {
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    opacity: 0.6;
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
