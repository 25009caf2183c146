<script lang="ts">
  import { alloyFacts } from '$core/catalog/alloys.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PartNumberResult } from '$core/stack/part-number.ts';
  import { sectionOf } from '$core/stack/section.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Dim from '../Dim.svelte';
  import HeadMark from './HeadMark.svelte';
  import { closedPath } from '../section/section-paths';

  /** One rivet to scale: from the side, and its head from above. */
  interface Props {
    rivet: PartNumberResult;
  }
  let { rivet }: Props = $props();
  const preferences = usePreferences();
  const WIDE = 460;
  const HIGH = 250;
  const size = $derived(rivetSize(rivet.dash));
  const head = $derived(size.head[rivet.head]);
  const section = $derived(
    sectionOf([], [], rivet, {
      holeIn: size.diameterIn,
      lengthIn: rivet.lengthIn,
      besideIn: head.diameterIn
    })
  );
  const pxPerIn = $derived(
    Math.min((HIGH - 70) / (section.headProudIn + rivet.lengthIn), 150 / head.diameterIn)
  );
  const faceY = $derived(36 + section.headProudIn * pxPerIn);
  const axis = 150;
  const footY = $derived(faceY + rivet.lengthIn * pxPerIn);
  const shank = $derived((size.diameterIn / 2) * pxPerIn);
  const topY = $derived(faceY - section.headProudIn * pxPerIn);
</script>

<svg
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="{rivet.canonical} to scale"
  data-testid="rivet-picture"
  data-px-per-in={pxPerIn}
>
  <path
    class="metal"
    d="M{axis - shank} {faceY} V{footY} H{axis + shank} V{faceY} Z"
    data-part="shank"
  />
  <path class="metal" d={closedPath(section.headIn, { axis, faceY, pxPerIn })} />
  <Dim
    axis="y"
    at={axis - (head.diameterIn / 2) * pxPerIn - 16}
    from={faceY}
    to={footY}
    text={preferences.text(rivet.lengthIn)}
    strong
  />
  <Dim
    at={footY + 18}
    from={axis - shank}
    to={axis + shank}
    text={preferences.text(size.diameterIn)}
    spill="after"
  />
  <Dim
    at={topY - 14}
    from={axis - (head.diameterIn / 2) * pxPerIn}
    to={axis + (head.diameterIn / 2) * pxPerIn}
    text={preferences.text(head.diameterIn)}
  />
  <HeadMark
    shape={alloyFacts(rivet.alloy).shape}
    cx={350}
    cy={36 + (head.diameterIn / 2) * pxPerIn}
    radius={(head.diameterIn / 2) * pxPerIn}
  />
  <text class="draw-note" x={WIDE - 4} y={HIGH - 8} text-anchor="end"
    >{(pxPerIn / 96).toFixed(1)} × full size · {preferences.drawingNote}</text
  >
</svg>

<style>
  svg {
    width: 100%;
    max-width: 560px;
    height: auto;
  }
  .metal {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-linejoin: round;
  }
</style>
