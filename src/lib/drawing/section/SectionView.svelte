<script lang="ts">
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { drivingMoment } from '$core/stack/driving.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Choice from '$lib/ui/kit/Choice.svelte';
  import Dim from '../Dim.svelte';
  import { closedPath } from './section-paths';
  import SectionCuts from './SectionCuts.svelte';
  import SectionDriven from './SectionDriven.svelte';
  import SectionList from './SectionList.svelte';
  import SectionSheets from './SectionSheets.svelte';

  /** The section through one rivet, to one scale: as inserted, and as it is driven. */
  interface Props {
    stack: PlannedStack;
    view: StackView;
    /** how high shank or head stand past the sheets in the view at the right, in */
    heightIn: number;
    stale?: boolean;
  }
  let { stack, view, heightIn, stale = false }: Props = $props();
  const preferences = usePreferences();

  let widthPx = $state(800);
  let heightPx = $state(420);
  /** narrower than this there is room for one of the two at a time, and its figures stand in a list beneath */
  const NARROW_PX = 640;
  const narrow = $derived(widthPx < NARROW_PX);
  let side = $state<'inserted' | 'driven'>('driven');
  const shows = $derived((one: 'inserted' | 'driven') => !narrow || side === one);
  const TOP = $derived(narrow ? 12 : 36);
  const BOTTOM = $derived(narrow ? 16 : 54);
  const LEFT = 92;
  const BETWEEN = 150;
  const RIGHT = 88;
  /** beside the only section: a dimension line and a short word */
  const BESIDE_PX = 64;

  const D = $derived(rivetSize(stack.dash).diameterIn);
  const section = $derived(view.section);
  const length = $derived(stack.length.ok ? stack.length.result : null);
  const head = $derived(stack.head.ok ? stack.head.result : null);
  const pxPerIn = $derived(
    Math.min(
      (heightPx - TOP - BOTTOM) /
        (section.headProudIn + Math.max(section.shankEndIn, section.lipIn)),
      narrow
        ? (widthPx - 2 * BESIDE_PX) / (2 * view.besideIn)
        : (widthPx - LEFT - BETWEEN - RIGHT) / (4 * view.besideIn)
    )
  );
  const px = $derived((inches: number) => inches * pxPerIn);
  const half = $derived(px(view.besideIn));
  const slackPx = $derived(
    Math.max(0, heightPx - TOP - BOTTOM - px(section.headProudIn + section.shankEndIn))
  );
  const faceY = $derived(TOP + slackPx / 3 + px(section.headProudIn));
  const inserted = $derived(narrow ? widthPx / 2 : LEFT + half);
  const driven = $derived(
    narrow
      ? widthPx / 2
      : Math.min(widthPx - RIGHT - half, inserted + 2 * half + BETWEEN + slackPx / 4)
  );
  const place = $derived((axis: number) => ({ axis, faceY, pxPerIn }));
  const farY = $derived(faceY + px(section.gripIn));
  const lipY = $derived(faceY + px(section.lipIn));
  const moment = $derived(view.rivet ? drivingMoment(view.rivet, heightIn) : null);
  const band = $derived(head?.heightBandD ?? null);
  /** sheets that are drilled larger than the rivet */
  const wide = $derived(
    section.sheets.filter(({ holeRadiusIn }) => holeRadiusIn > section.holeRadiusIn)
  );
  const axes = $derived(narrow ? [side === 'inserted' ? inserted : driven] : [inserted, driven]);
  const scale = $derived(`${(pxPerIn / 96).toFixed(1)} × full size`);
  const standsOut = $derived(
    length ? `${preferences.text(length.protrusionIn)} = ${length.protrusionD.toFixed(2)} D` : ''
  );
  const atDimple = $derived(
    length && length.atDimpleIn !== null
      ? `${preferences.text(length.atDimpleIn)} = ${(length.atDimpleIn / D).toFixed(2)} D at the dimple`
      : ''
  );
  /** what the hole is, in lines short enough to stand beside the shank */
  const notes = $derived([
    `hole ${preferences.text(stack.hole.diameterIn)}`,
    `shank ${preferences.text(D)}`,
    `free ${preferences.text(view.clearanceIn)} round`,
    ...wide.map(({ name, holeRadiusIn }) => `${name} ${preferences.text(2 * holeRadiusIn)}`)
  ]);
</script>

<div class="frame" class:narrow>
  {#if narrow}
    <Choice
      label="Section"
      quiet
      value={side}
      options={[
        { value: 'inserted', text: 'As inserted' },
        { value: 'driven', text: 'As driven' }
      ]}
      onchoose={(value) => (side = value)}
    />
  {/if}
  <div class="section" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
    {#if length}
      <svg
        width={widthPx}
        height={heightPx}
        role="img"
        aria-label="Section through one rivet, {narrow
          ? side === 'inserted'
            ? 'as inserted'
            : 'driving'
          : 'as inserted and driven'}, to scale"
        data-testid="section"
        data-px-per-in={pxPerIn}
      >
        <defs>
          {#each [['a', 45], ['b', -45]] as [name, turn] (name)}
            <pattern
              id="hatch-{name}"
              width="9"
              height="9"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate({turn})"
            >
              <path d="M0 0 V9" />
            </pattern>
          {/each}
        </defs>
        {#if !narrow}
          <text class="draw-title" x={inserted} y="20" text-anchor="middle">As inserted</text>
          <text class="draw-title" x={driven} y="20" text-anchor="middle">As driven</text>
          <text class="draw-note" x={(inserted + driven) / 2} y="20" text-anchor="middle"
            >{scale}</text
          >
          <text class="draw-note" x="6" y={heightPx - 6}>{preferences.drawingNote}</text>
        {/if}

        {#each axes as axis, index (index)}
          <SectionSheets {section} place={place(axis)} besidePx={half} />
        {/each}

        {#if shows('inserted')}
          <path
            class="rivet"
            d="M{inserted - px(section.shankRadiusIn)} {faceY} V{faceY +
              px(section.shankEndIn)} H{inserted + px(section.shankRadiusIn)} V{faceY} Z"
            data-part="shank"
          />
          <path class="rivet" d={closedPath(section.headIn, place(inserted))} />
        {/if}
        {#if shows('driven')}
          <SectionDriven {stack} {view} {moment} axis={driven} {faceY} {pxPerIn} besidePx={half} />
        {/if}
        {#each axes as axis, index (index)}
          <path
            class="axis"
            d="M{axis} {faceY - px(section.headProudIn) - 12} V{faceY +
              px(section.shankEndIn) +
              10}"
          />
        {/each}

        {#each section.sheets as sheet, index (index)}
          {@const roomPx = px(sheet.thicknessIn)}
          {#if roomPx >= 14}
            <text
              class="thickness"
              x={(axes[0] ?? 0) - half + 6}
              y={faceY + px((sheet.topIn + sheet.bottomIn) / 2) + 5}
              >{preferences.text(sheet.thicknessIn)}</text
            >
          {/if}
        {/each}
        <Dim
          axis="y"
          at={(axes[0] ?? 0) - half - 14}
          from={faceY}
          to={farY}
          text={narrow ? 'grip' : preferences.text(section.gripIn)}
          strong
        />
        {#if !narrow}
          <text
            class="draw-note"
            x={inserted - half - 24}
            y={(faceY + farY) / 2 + 20}
            text-anchor="end">grip</text
          >
        {/if}
        {#if shows('inserted')}
          <Dim
            axis="y"
            side="right"
            at={inserted + half + 14}
            from={farY}
            to={faceY + px(section.shankEndIn)}
            text={narrow ? 'out' : standsOut}
          />
          {#if length.atDimpleIn !== null}
            <Dim
              axis="y"
              side="right"
              at={inserted + px(section.shankRadiusIn) + 12}
              from={faceY + px(section.shankEndIn - length.atDimpleIn)}
              to={faceY + px(section.shankEndIn)}
              text=""
            />
            {#if !narrow}
              <text
                class="draw-note"
                x={inserted + px(section.shankRadiusIn) + 18}
                y={faceY + px(section.shankEndIn) - 6}>{atDimple}</text
              >
            {/if}
          {/if}
          {#if view.flush}
            <SectionCuts
              tools={view.flush.tools}
              {section}
              place={place(inserted)}
              besidePx={half}
            />
          {/if}
        {/if}
        {#if !narrow}
          {#each notes as note, index (note)}
            <text class="draw-note" x="6" y={heightPx - 26 - 18 * (notes.length - 1 - index)}
              >{note}</text
            >
          {/each}
          {#if moment}
            {#if band}
              {@const right = driven + half + 6}
              <text class="stop" x={right} y={lipY + px(band.low * D) - 2}
                >stop {preferences.text(band.low * D)}</text
              >
              <text class="stop" x={right} y={lipY + px(band.high * D) + 12}
                >to {preferences.text(band.high * D)}</text
              >
            {/if}
            <text class="result" x={driven} y={heightPx - 30} text-anchor="middle">
              {preferences.text(moment.diameterIn)} wide × {preferences.text(moment.heightIn)} high
            </text>
            <text class="draw-note" x={driven} y={heightPx - 10} text-anchor="middle">
              {(moment.diameterIn / D).toFixed(2)} D × {(moment.heightIn / D).toFixed(2)} D · dashed:
              nominal 1.5 D × ½ D
            </text>
          {/if}
        {/if}
      </svg>
    {/if}
  </div>
  {#if narrow && length}
    <SectionList {stack} {view} {side} {notes} {scale} {moment} {standsOut} {atDimple} />
  {/if}
</div>

<style>
  .frame {
    display: grid;
    grid-template-rows: minmax(0, 1fr);
    grid-template-columns: minmax(0, 1fr);
    height: 100%;
    min-height: 0;
  }
  .frame.narrow {
    grid-template-rows: auto minmax(0, 1fr) auto;
    justify-items: start;
  }
  /* where there is room the list stands beside it */
  @container (min-width: 480px) {
    .frame.narrow {
      grid-template-rows: auto minmax(0, 1fr);
      grid-template-columns: minmax(0, 1fr) 13rem;
    }
    .frame.narrow > :global(:first-child) {
      grid-column: 1 / -1;
    }
  }
  .section {
    width: 100%;
    height: 100%;
    min-height: 0;
    overflow: hidden;
  }
  .stale svg {
    opacity: 0.35;
  }
  pattern path {
    stroke: var(--metal-edge);
    stroke-width: 0.8;
    opacity: 0.5;
  }
  .rivet {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-linejoin: round;
  }
  .stop {
    font-size: 14px;
    font-weight: 700;
    fill: var(--olive-deep);
  }
  .axis {
    stroke: var(--ink-soft);
    stroke-dasharray: 14 4 3 4;
    stroke-width: 0.9;
  }
  .thickness {
    font-size: 14px;
    paint-order: stroke;
    stroke: var(--metal-light);
    stroke-width: 4px;
  }
  .result {
    font-size: 18px;
    font-weight: 700;
  }
</style>
