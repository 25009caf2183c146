<script lang="ts">
  import { nominalHead } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import type { DrivingMoment } from '$core/stack/driving.ts';
  import { closedPath } from './section-paths';

  /** The rivet as it is driven at one moment, the heights to stop at, and the nominal head over it. */
  interface Props {
    stack: PlannedStack;
    view: StackView;
    moment: DrivingMoment | null;
    /** where its axis and the sheets' face lie, px */
    axis: number;
    faceY: number;
    pxPerIn: number;
    /** half of what is shown of the sheets, px */
    besidePx: number;
  }
  let { stack, view, moment, axis, faceY, pxPerIn, besidePx }: Props = $props();
  const D = $derived(rivetSize(stack.dash).diameterIn);
  const px = $derived((inches: number) => inches * pxPerIn);
  const section = $derived(view.section);
  const place = $derived({ axis, faceY, pxPerIn });
  const lipY = $derived(faceY + px(section.lipIn));
  const nominal = $derived(nominalHead(D));
  const band = $derived(stack.head.ok ? stack.head.result.heightBandD : null);
  const shankPx = $derived(px((moment?.shankDiameterIn ?? D) / 2));
  /** sheets that are drilled larger than the rivet */
  const wide = $derived(
    section.sheets.filter(({ holeRadiusIn }) => holeRadiusIn > section.holeRadiusIn)
  );
</script>

{#if moment}
  {#if band}
    <rect
      class="band"
      x={axis - besidePx}
      y={lipY + px(band.low * D)}
      width={2 * besidePx}
      height={Math.max(2, px((band.high - band.low) * D))}
      data-part="band"
    />
  {/if}
  <path class="rivet" d="M{axis - shankPx} {faceY} V{lipY} H{axis + shankPx} V{faceY} Z" />
  {#if view.travel && moment.heightIn <= view.travel.fullHoleIn}
    {#each wide as sheet (sheet.topIn)}
      <rect
        class="rivet"
        x={axis - px(sheet.swelledRadiusIn)}
        y={faceY + px(sheet.topIn)}
        width={2 * px(sheet.swelledRadiusIn)}
        height={px(sheet.thicknessIn)}
        data-part="swelled"
      />
    {/each}
  {/if}
  <path class="rivet" d={closedPath(section.headIn, place)} />
  <path
    class="rivet shop"
    d={closedPath(moment.outlineIn, { ...place, faceY: lipY })}
    data-part="shop-head"
  />
{/if}
<rect
  class="nominal"
  x={axis - px(nominal.wideIn / 2)}
  y={lipY}
  width={px(nominal.wideIn)}
  height={px(nominal.highIn)}
/>

<style>
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
  .band {
    fill: color-mix(in srgb, var(--olive) 34%, transparent);
    stroke: var(--olive-deep);
    stroke-width: 1;
  }
</style>
