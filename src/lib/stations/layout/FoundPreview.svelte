<script lang="ts">
  import type { FoundHole } from '$core/edit/take-up.ts';
  import type { JointLayout } from '$core/plan/plan-shape.ts';
  import { partPath, type Place } from '$lib/drawing/plan/part-path';
  import { extentOf, fitPlan } from '$lib/drawing/plan/plan-scene';

  /** The holes of a file over the joint, before they are taken up. */
  interface Props {
    layout: JointLayout;
    holes: readonly FoundHole[];
  }
  let { layout, holes }: Props = $props();
  const W = 560;
  const H = 200;
  const scene = $derived(
    fitPlan(extentOf(layout.parts), { widthPx: W, heightPx: H, marginX: 20, marginY: 16 })
  );
  const place = $derived<Place>({
    x: (inches) => scene.originX + inches * scene.pxPerIn,
    y: (inches) => scene.originY + inches * scene.pxPerIn,
    pxPerIn: scene.pxPerIn
  });
</script>

<svg
  viewBox="0 0 {W} {H}"
  role="img"
  aria-label="Holes of the file over the joint"
  data-testid="found-preview"
>
  {#each layout.parts as part (part.key)}<path
      class="part"
      fill-rule="evenodd"
      d={partPath(part, place)}
    />{/each}
  {#each holes as hole, index (index)}
    <circle
      cx={place.x(hole.xIn)}
      cy={place.y(hole.yIn)}
      r={Math.max(3, ((hole.diameterIn ?? 0) / 2) * place.pxPerIn)}
    />
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  .part {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  circle {
    fill: none;
    stroke: var(--dye);
    stroke-width: 2;
  }
</style>
