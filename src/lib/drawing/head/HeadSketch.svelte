<script lang="ts">
  import { nominalHead } from '$core/catalog/head-limits.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { bulgedHead } from './bulged-head';

  /** The measured head over the nominal one, to one scale. */
  interface Props {
    diameterIn: number;
    /** the rivet's D */
    rivetIn: number;
    heightIn: number;
  }
  let { diameterIn, rivetIn, heightIn }: Props = $props();
  const preferences = usePreferences();
  const WIDE = 368;
  const HIGH = 138;
  const nominal = $derived(nominalHead(rivetIn));
  const pxPerIn = $derived(
    Math.min(165 / Math.max(diameterIn, nominal.wideIn), 84 / Math.max(heightIn, nominal.highIn))
  );
  const half = $derived((diameterIn / 2) * pxPerIn);
  const high = $derived(heightIn * pxPerIn);
  const axis = WIDE / 2;
  const foot = 108;
</script>

<svg
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="Measured head over the nominal head, to scale"
>
  <rect class="sheet" x="10" y={foot} width={WIDE - 20} height="24" />
  <path class="measured" d={bulgedHead(axis, foot, half, -high)} />
  <rect
    class="nominal"
    x={axis - (nominal.wideIn / 2) * pxPerIn}
    y={foot - nominal.highIn * pxPerIn}
    width={nominal.wideIn * pxPerIn}
    height={nominal.highIn * pxPerIn}
  />
  <path class="axis" d="M{axis} 6 V{HIGH - 2}" />
  <text x="8" y="20">measured{preferences.drawingNote ? ', in' : ''}</text>
  <text x="8" y="38">{preferences.text(diameterIn)} × {preferences.text(heightIn)}</text>
  <text class="good" x={WIDE - 8} y="20" text-anchor="end"
    >nominal{preferences.drawingNote ? ', in' : ''}</text
  >
  <text class="good" x={WIDE - 8} y="38" text-anchor="end"
    >{preferences.text(nominal.wideIn)} × {preferences.text(nominal.highIn)}</text
  >
</svg>

<style>
  svg {
    width: 100%;
    max-height: 150px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
  }
  .sheet {
    fill: var(--metal);
    stroke: var(--metal-edge);
  }
  .measured {
    fill: var(--metal-dark);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .nominal {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .axis {
    stroke: var(--ink-soft);
    stroke-dasharray: 10 4 2 4;
  }
  text {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  .good {
    fill: var(--olive-deep);
  }
</style>
