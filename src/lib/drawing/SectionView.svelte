<script lang="ts">
  import type { PlannedStack } from '$core/plan-shape.ts';
  import { nominalHead } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import { bulgedHead } from './bulged-head';
  import Dim from './Dim.svelte';
  import { bandOutline, closedPath, mirroredPath } from './section-paths';
  import { sectionShape } from './section-shape';

  /** The section through one rivet, to one scale: as inserted, and driven as predicted. */
  interface Props {
    shown: ShownPlan;
    stack: PlannedStack;
    stale?: boolean;
  }
  let { shown, stack, stale = false }: Props = $props();
  const preferences = usePreferences();

  let widthPx = $state(800);
  let heightPx = $state(500);
  const TOP = 58;
  const BOTTOM = 74;
  /** half of the sheet shown beside each rivet, in diameters */
  const BESIDE_D = 1.3;

  const D = $derived(rivetSize(stack.dash).diameterIn);
  const length = $derived(stack.length.ok ? stack.length.result : null);
  const head = $derived(stack.head.ok ? stack.head.result : null);
  const shape = $derived(
    length
      ? sectionShape(
          stack.sheets,
          rivetSize(stack.dash),
          shown.definition.head,
          stack.hole.diameterIn,
          length.lengthIn
        )
      : null
  );
  const pxPerIn = $derived(
    shape
      ? Math.min(
          (heightPx - TOP - BOTTOM) / (shape.headProudIn + shape.shankEndIn),
          (widthPx - 300) / (2 * BESIDE_D * D) / 2
        )
      : 1
  );
  const px = $derived((inches: number) => inches * pxPerIn);
  const tallPx = $derived(px((shape?.headProudIn ?? 0) + (shape?.shankEndIn ?? 0)));
  const slackPx = $derived(Math.max(0, heightPx - TOP - BOTTOM - tallPx));
  const faceY = $derived(TOP + slackPx / 2 + px(shape?.headProudIn ?? 0));
  const gapPx = $derived(Math.max(0, widthPx - 130 - 4 * px(BESIDE_D * D)));
  const axes = $derived([92 + px(BESIDE_D * D), 92 + gapPx + 3 * px(BESIDE_D * D)]);
  const place = $derived((axis: number) => ({ axis, faceY, pxPerIn }));
  const nominal = $derived(nominalHead(D));
  const drivenWideIn = $derived(head?.diameterAtHalfDIn ?? nominal.wideIn);
</script>

<div class="section" class:stale bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  {#if shape && length}
    {@const [inserted = 0, driven = 0] = axes}
    {@const farY = faceY + px(shape.gripIn)}
    {@const half = px(BESIDE_D * D)}
    <svg
      width={widthPx}
      height={heightPx}
      role="img"
      aria-label="Section through one rivet, before and after driving, to scale"
      data-testid="section"
      data-px-per-in={pxPerIn}
    >
      <defs>
        <pattern
          id="hatch-a"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0 V9" />
        </pattern>
        <pattern
          id="hatch-b"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0 0 V9" />
        </pattern>
      </defs>
      <text class="draw-title" x={inserted - half} y="26">As inserted</text>
      <text class="draw-title" x={driven - half} y="26">Driven, predicted</text>
      <text class="draw-note" x={inserted - half + 100} y="26"
        >{(pxPerIn / 96).toFixed(0)} × full size</text
      >
      <text class="draw-note" x={inserted - half} y={heightPx - 8}>{preferences.drawingNote}</text>

      {#each [inserted, driven] as axis, view (view)}
        {#each shape.sheets as band, index (index)}
          <path
            class="band band-{index % 2}"
            d={mirroredPath(bandOutline(shape, band, BESIDE_D * D), place(axis))}
          />
          <path
            class="hatched hatched-{index % 2}"
            d={mirroredPath(bandOutline(shape, band, BESIDE_D * D), place(axis))}
          />
        {/each}
      {/each}

      <path
        class="rivet"
        d="M{inserted - px(shape.shankRadiusIn)} {faceY} V{faceY +
          px(shape.shankEndIn)} H{inserted + px(shape.shankRadiusIn)} V{faceY} Z"
      />
      <path class="rivet" d={closedPath(shape.headIn, place(inserted))} />
      <path
        class="rivet"
        d="M{driven - px(shape.holeRadiusIn)} {faceY} V{farY} H{driven +
          px(shape.holeRadiusIn)} V{faceY} Z"
      />
      <path class="rivet" d={closedPath(shape.headIn, place(driven))} />
      {#if head}
        <path
          class="rivet shop"
          d={bulgedHead(driven, farY, px(drivenWideIn / 2), px(nominal.highIn))}
        />
      {/if}
      <rect
        class="nominal"
        x={driven - px(nominal.wideIn / 2)}
        y={farY}
        width={px(nominal.wideIn)}
        height={px(nominal.highIn)}
      />
      {#each [inserted, driven] as axis, view (view)}
        <path
          class="axis"
          d="M{axis} {faceY - px(shape.headProudIn) - 16} V{view === 0
            ? faceY + px(shape.shankEndIn) + 12
            : farY + px(nominal.highIn) + 10}"
        />
      {/each}

      {#each shape.sheets as band, index (index)}
        <text
          class="thickness"
          x={inserted - half + 8}
          y={faceY + px((band.topIn + band.bottomIn) / 2) + 5}
          >{(band.bottomIn - band.topIn).toFixed(3)}</text
        >
      {/each}
      <Dim
        axis="y"
        at={inserted - half - 16}
        from={faceY}
        to={farY}
        text={preferences.text(shape.gripIn)}
        strong
      />
      <text class="draw-note" x={inserted - half - 26} y={(faceY + farY) / 2 + 22} text-anchor="end"
        >grip</text
      >
      <Dim
        axis="y"
        side="right"
        at={inserted + px(shape.shankRadiusIn) + 22}
        from={farY}
        to={faceY + px(shape.shankEndIn)}
        text="{preferences.text(length.protrusionIn)} = {length.protrusionD.toFixed(2)} D"
      />
      {#if head}
        {@const headFoot = farY + px(nominal.highIn)}
        <text class="result" x={driven} y={headFoot + 34} text-anchor="middle">
          {preferences.text(head.diameterAtHalfDIn)} wide × {preferences.text(nominal.highIn)} high
        </text>
        {#each [`${(head.diameterAtHalfDIn / D).toFixed(2)} D wide when ½ D high`, head.heightBandD ? `stop between ${preferences.text(head.heightBandD.low * D)} and ${preferences.text(head.heightBandD.high * D)} high` : 'no height makes a good head', 'dashed: nominal 1.5 D × ½ D'] as note, index (note)}
          <text class="draw-note" x={driven} y={headFoot + 56 + 20 * index} text-anchor="middle"
            >{note}</text
          >
        {/each}
      {/if}
    </svg>
  {/if}
</div>

<style>
  .section {
    height: 100%;
    min-height: 0;
    overflow: hidden;
  }
  .stale svg {
    opacity: 0.35;
  }
  .band {
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .band-0 {
    fill: var(--metal-light);
  }
  .band-1 {
    fill: var(--metal-dark);
  }
  .hatched-0 {
    fill: url(#hatch-a);
  }
  .hatched-1 {
    fill: url(#hatch-b);
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
  .shop {
    fill: var(--metal-light);
  }
  .nominal {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 2;
    stroke-dasharray: 7 5;
  }
  .axis {
    stroke: var(--ink-soft);
    stroke-dasharray: 14 4 3 4;
    stroke-width: 0.9;
  }
  .thickness {
    font-size: 15px;
    paint-order: stroke;
    stroke: var(--metal-light);
    stroke-width: 4px;
  }
  .result {
    font-size: 18px;
    font-weight: 700;
  }
</style>
