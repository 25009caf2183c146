<script lang="ts">
  import { untrack } from 'svelte';
  import type { LayerEnd } from '$core/stack/layer-ends.ts';
  import { atLeast, atMost } from '$core/units/tolerance.ts';
  import type { Shape } from '$core/layout/shapes.ts';
  import type { JointLayout } from '$core/plan/plan-shape.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import { MOST_ELEMENTS, nearestMark } from '../marks/map-mark';
  import MarkCanvas from '../marks/MarkCanvas.svelte';
  import MarkElements from '../marks/MarkElements.svelte';
  import { numbered, type HoleMark } from './hole-marks';
  import { planMarks } from './plan-glyphs';
  import type { Place } from './part-path';
  import { markNameSpots, obstacleSpots, openSpots, openWords } from './names';
  import { inSight } from '../in-sight';
  import PlanFixedGrips from './PlanFixedGrips.svelte';
  import PlanLayerEnds from './PlanLayerEnds.svelte';
  import PlanLengthChanges from './PlanLengthChanges.svelte';
  import PlanMetal from './PlanMetal.svelte';
  import PlanReady from './PlanReady.svelte';
  import PlanObstacles from './PlanObstacles.svelte';
  import { picksHoles } from './picked-hole';
  import type { Extent } from './plan-scene';
  import type { Stretch } from './story-strip';
  import { rulerTicks } from './tape';

  /** One length of a long joint with its rows, and a ruler beneath that counts from the left edge. */
  interface Props {
    shown: ShownPlan;
    layout: JointLayout;
    extent: Extent;
    stretch: Stretch;
    name: string;
    /** in sight from the beginning */
    first: boolean;
    pxPerIn: number;
    /** depth is drawn so many times larger than length */
    larger: number;
    sidePx: number;
    marks: readonly HoleMark[];
    picked: number;
    onpick: (hole: number) => void;
    radiusPx: number;
    ready: { holders: ReadonlySet<number>; ticked: ReadonlySet<number> } | undefined;
    onkeepout: (id: string, xIn: number, yIn: number) => void;
    onfixed: (id: string, alongIn: number) => void;
    onlayerend: (sheet: string, end: LayerEnd['end'], xIn: number) => void;
  }
  let {
    shown,
    layout,
    extent,
    stretch,
    name,
    first,
    pxPerIn,
    larger,
    sidePx,
    marks,
    picked,
    onpick,
    radiusPx,
    ready,
    onkeepout,
    onfixed,
    onlayerend
  }: Props = $props();
  const preferences = usePreferences();
  const ABOVE_PX = 52;
  const BEYOND_IN = 1;
  type Rect = Extract<Shape, { shape: 'rect' }>;
  const RULER_PX = 30;
  const id = $props.id();
  let drawn = $state(untrack(() => first));

  const widthPx = $derived(2 * sidePx + (stretch.toIn - stretch.fromIn) * pxPerIn);
  const onCanvas = $derived(marks.length > MOST_ELEMENTS);
  const deepPx = $derived(extent.hIn * pxPerIn * larger);
  const highPx = $derived(ABOVE_PX + deepPx + RULER_PX);
  const place = $derived<Place>({
    x: (inches) => sidePx + (inches - stretch.fromIn) * pxPerIn,
    y: (inches) => ABOVE_PX + (inches - extent.yIn) * pxPerIn * larger,
    pxPerIn
  });
  const within = $derived(
    (xIn: number) => atLeast(xIn, stretch.fromIn) && atMost(xIn, stretch.toIn)
  );
  const own = $derived(drawn ? marks.filter(({ xIn }) => within(xIn)) : []);
  /** a long sheet as far as this line and a little more on both sides, beyond what is shown */
  function nearby(outline: Rect): Rect {
    const fromIn = Math.max(outline.xIn, stretch.fromIn - BEYOND_IN);
    const toIn = Math.min(outline.xIn + outline.wIn, stretch.toIn + BEYOND_IN);
    return { ...outline, xIn: fromIn, wIn: Math.max(0, toIn - fromIn) };
  }
  /** names stand where they are seen: at the end of this line, not of the joint */
  const onThisLine = $derived({
    ...layout,
    // a sheet's broken edge has a tooth an inch or so: only those in sight are drawn
    parts: layout.parts.map((part) =>
      part.outline.shape === 'rect' ? { ...part, outline: nearby(part.outline) } : part
    ),
    marksOnly: layout.marksOnly.flatMap(({ name: text, fromIn, toIn }): typeof layout.marksOnly => {
      if (fromIn[0] === toIn[0]) return within(fromIn[0]) ? [{ name: text, fromIn, toIn }] : [];
      return [{ name: text, fromIn, toIn: [Math.min(toIn[0], stretch.toIn), toIn[1]] }];
    }),
    drilledOnly: layout.drilledOnly.filter(({ xIn }) => within(xIn))
  });
  const words = $derived(openWords(own, place, radiusPx));
  const markNames = $derived(markNameSpots(onThisLine.marksOnly, place, words));
  /** names of obstacles keep clear of these */
  const written = $derived([...words, ...markNames]);
  const numbers = $derived(
    numbered(
      layout.lines.map(({ path, holes }) => ({ path, holes })),
      new Map(own.map(({ number, xIn, yIn }) => [number, { x: place.x(xIn), y: place.y(yIn) }])),
      Math.max(2, radiusPx),
      picked,
      [
        ...obstacleSpots(shown.definition.keepOuts, extent, place, written),
        ...markNames,
        ...openSpots(words)
      ],
      [0, widthPx]
    )
  );
  const drawnMarks = $derived(planMarks(own, place, radiusPx, picked));
  const rulerY = $derived(ABOVE_PX + deepPx + 3);
  const scale = $derived(preferences.lengths === 'mm' ? '1mm' : '1/32');
  const ticks = $derived(
    rulerTicks(layout.widthIn, scale, pxPerIn, stretch).filter(
      ({ atIn, rank }) => atIn >= stretch.fromIn && rank < 2
    )
  );
</script>

<div
  class="line"
  style:height="{highPx}px"
  data-testid="story-line"
  {@attach inSight((now) => (drawn = now))}
>
  {#if drawn}
    <svg
      width="100%"
      height={highPx}
      role="group"
      aria-label={name}
      {@attach picksHoles((x, y) => nearestMark(drawnMarks, x, y), onpick)}
    >
      <defs>
        <clipPath id="{id}-clip">
          <rect
            x={place.x(stretch.fromIn) - 2}
            y="0"
            width={(stretch.toIn - stretch.fromIn) * pxPerIn + 4}
            height={highPx}
          />
        </clipPath>
      </defs>
      <g clip-path="url(#{id}-clip)">
        <PlanMetal layout={onThisLine} {place} written={words} />
        <PlanObstacles
          keepOuts={shown.definition.keepOuts}
          clear={layout.clear}
          {extent}
          {place}
          onmove={onkeepout}
          {written}
        />
        <PlanLayerEnds
          stackings={layout.stackings}
          alongIn={layout.widthIn}
          {extent}
          {place}
          onmove={onlayerend}
          seen={stretch}
          abovePx={19}
        />
        <PlanLengthChanges
          changes={shown.plan.lengthChanges.filter(({ xIn }) => within(xIn))}
          lines={layout.lines}
          {place}
          topIn={extent.yIn}
        />
        {#each ticks as { atIn, rank, text } (atIn)}
          <path class="tick" d="M{place.x(atIn)} {rulerY}v{rank === 0 ? 10 : 5}" />
          {#if text !== null && place.x(atIn) + 30 < place.x(stretch.toIn) + sidePx}
            <text class="inch" x={place.x(atIn) + 3} y={rulerY + 20}>{text}</text>
          {/if}
        {/each}
      </g>
      {#if !onCanvas}<MarkElements
          marks={drawnMarks}
          {numbers}
          radiusPx={Math.max(2, radiusPx)}
          {picked}
        />{/if}
      {#if ready}
        <PlanReady
          holes={shown.plan.holes.filter(({ xIn }) => within(xIn))}
          {...ready}
          {place}
          {radiusPx}
        />
      {/if}
      <PlanFixedGrips
        holes={shown.plan.holes.filter(({ xIn }) => within(xIn))}
        lines={layout.lines}
        {place}
        {radiusPx}
        {onpick}
        onmove={onfixed}
      />
    </svg>
    {#if onCanvas}
      <MarkCanvas marks={drawnMarks} {numbers} {radiusPx} {widthPx} heightPx={highPx} {picked} />
    {/if}
  {/if}
</div>

<style>
  .line {
    position: relative;
  }
  svg {
    display: block;
    /* a finger along a row picks its holes; up and down scrolls */
    touch-action: pan-y;
  }
  .tick {
    stroke: var(--metal-edge);
  }
  .inch {
    font-size: 12px;
    fill: var(--ink-soft);
  }
</style>
