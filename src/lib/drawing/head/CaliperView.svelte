<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { bulgedHead } from './bulged-head';

  /** A head between the jaws, across and in height, to one scale, with the readings one should see. */
  interface Props {
    /** the head that is drawn: as typed, else nominal */
    diameterIn: number;
    heightIn: number;
    /** what passes, in */
    wideIn: { low: number; high: number };
    highIn: { low: number; high: number };
    typed: boolean;
  }
  let { diameterIn, heightIn, wideIn, highIn, typed }: Props = $props();
  const preferences = usePreferences();
  const WIDE = 368;
  const HIGH = 206;
  const FOOT = 128;
  const pxPerIn = $derived(Math.min(120 / diameterIn, 62 / heightIn));
  const half = $derived((diameterIn / 2) * pxPerIn);
  const high = $derived(heightIn * pxPerIn);
  const ACROSS = 104;
  const UP = 282;
  const range = ({ low, high: most }: { low: number; high: number }) =>
    `${preferences.text(low)} to ${preferences.inWords(most)}`;
  const said = $derived(
    `Across the head the calipers should read ${range(wideIn)}, from the sheet up ${range(highIn)}`
  );
</script>

<svg viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={said} data-testid="calipers">
  {#each [ACROSS, UP] as axis (axis)}
    <rect class="sheet" x={axis - 78} y={FOOT} width="156" height="14" />
    <path class="head" d={bulgedHead(axis, FOOT, half, -high)} />
  {/each}
  <!-- across: the jaws reach down over the widest place, clear of the sheet -->
  {#each [-1, 1] as side (side)}
    <path
      class="jaw"
      data-jaw="across"
      d="M{ACROSS + side * half} {FOOT - 5} V{FOOT - high - 26} H{ACROSS +
        side * (half + 14)} V{FOOT - high - 8} L{ACROSS + side * (half + 5)} {FOOT - 5} Z"
    />
  {/each}
  <path
    class="beam"
    d="M{ACROSS - half - 14} {FOOT - high - 34}h{2 * half + 28}v8h{-2 * half - 28}Z"
  />
  <!-- in height: the depth rod stands on the sheet, the beam's end on the head -->
  <path class="beam" d="M{UP - 22} {FOOT - high - 30}h44v30h-44Z" />
  <path class="jaw" data-jaw="up" d="M{UP + half + 7} {FOOT - high - 30}h7V{FOOT}h-7Z" />
  <path class="beam" d="M{UP - 22} {FOOT - high - 38}h{half + 36}v8h{-half - 36}Z" />
  <text x={ACROSS} y={FOOT + 34} text-anchor="middle">{range(wideIn)}</text>
  <text x={UP} y={FOOT + 34} text-anchor="middle">{range(highIn)}</text>
  <text class="soft" x={ACROSS} y={FOOT + 52} text-anchor="middle">across</text>
  <text class="soft" x={UP} y={FOOT + 52} text-anchor="middle">from the sheet up</text>
  {#if typed}
    <text class="soft" x={ACROSS} y={FOOT + 70} text-anchor="middle"
      >reads {preferences.text(diameterIn)}</text
    >
    <text class="soft" x={UP} y={FOOT + 70} text-anchor="middle"
      >reads {preferences.text(heightIn)}</text
    >
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
  }
  .sheet {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
  }
  .head {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .jaw {
    fill: var(--dye-soft);
    stroke: var(--dye);
    stroke-width: 1.5;
  }
  .beam {
    fill: var(--metal);
    stroke: var(--metal-edge);
  }
  text {
    font-size: 14px;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
    fill: var(--ink);
  }
  .soft {
    font-weight: 400;
    fill: var(--ink-soft);
  }
</style>
