<script lang="ts">
  import type { HoleState } from '$core/check/hole-events.ts';
  import VerdictMark, { type MarkKind } from '$lib/ui/VerdictMark.svelte';
  import { fitPlan } from './plan-scene';

  /** Every hole of an issue where it lies, marked by its verdict; seen from the driven side. */
  interface Props {
    holes: { number: number; row: number; xIn: number; yIn: number }[];
    widthIn: number;
    overlapIn: number;
    states: Map<number, HoleState>;
    onItsWay: (hole: number) => boolean;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { holes, widthIn, overlapIn, states, onItsWay, picked, onpick }: Props = $props();

  let roomPx = $state(800);
  /** marks closer than this could not be told apart or hit: the map scrolls instead */
  const LEAST_PITCH_PX = 25;
  const perRow = $derived(holes.filter((hole) => hole.row === 1).length);
  const widthPx = $derived(Math.max(roomPx, perRow * LEAST_PITCH_PX + 90));
  const HIGH_PX = 190;
  /** marks must stay readable, so rows that lie closer than this on the screen are drawn apart */
  const LEAST_ROW_PX = 46;
  const rows = $derived(Math.max(1, ...holes.map((hole) => hole.row)));
  const scene = $derived(
    fitPlan(widthIn, overlapIn, { widthPx, heightPx: HIGH_PX, marginX: 30, marginY: 20 })
  );
  const rowGapPx = $derived.by(() => {
    const first = holes.find((hole) => hole.row === 1)?.yIn ?? 0;
    const second = holes.find((hole) => hole.row === 2)?.yIn;
    return Math.max(LEAST_ROW_PX, second === undefined ? 0 : (second - first) * scene.pxPerIn);
  });
  const spread = $derived(rows > 1 || overlapIn * scene.pxPerIn < 60);
  // Seen from the other side the datum is at the right hand.
  const x = $derived((inches: number) => widthPx - scene.originX - inches * scene.pxPerIn);
  const topY = $derived((HIGH_PX - (rows - 1) * rowGapPx) / 2);
  const y = $derived((row: number) => topY + (row - 1) * rowGapPx);
  const pitchPx = $derived(
    holes.length > 1 ? ((holes[1]?.xIn ?? 0) - (holes[0]?.xIn ?? 0)) * scene.pxPerIn : 40
  );
  const radius = $derived(Math.max(4, Math.min(12, Math.abs(pitchPx) * 0.36)));
  const kindOf = (hole: number): MarkKind =>
    onItsWay(hole) ? 'sending' : (states.get(hole)?.last?.judged.verdict ?? 'to-do');
  const labelled = $derived((number: number) => {
    const hole = holes.find((candidate) => candidate.number === number);
    const rowHoles = holes.filter((candidate) => candidate.row === hole?.row);
    return rowHoles[0]?.number === number || rowHoles.at(-1)?.number === number;
  });
</script>

<div class="map" bind:clientWidth={roomPx}>
  <svg
    width={widthPx}
    height={HIGH_PX}
    role="group"
    aria-label="Hole map by verdict"
    data-testid="hole-map"
  >
    <rect
      class="metal"
      x={x(widthIn)}
      y={topY - 46}
      width={x(0) - x(widthIn)}
      height={(rows - 1) * rowGapPx + 84}
      rx="3"
    />
    {#each holes as hole (hole.number)}
      {@const kind = kindOf(hole.number)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <g
        class="hole"
        transform="translate({x(hole.xIn)} {y(hole.row)})"
        role="button"
        tabindex="-1"
        aria-label="hole {hole.number}, {kind}"
        data-hole={hole.number}
        data-verdict={kind}
        onclick={() => onpick(hole.number)}
      >
        <rect
          class="target"
          x={-Math.max(11, Math.abs(pitchPx) / 2)}
          y="-22"
          width={Math.max(22, Math.abs(pitchPx))}
          height="44"
        />
        <VerdictMark {kind} {radius} />
        {#if hole.number === picked}
          <circle class="ring" r={radius + 6} />
        {/if}
        {#if hole.number === picked || labelled(hole.number)}
          <text class:chosen={hole.number === picked} y={-radius - 9} text-anchor="middle"
            >{hole.number}</text
          >
        {/if}
      </g>
    {/each}
    <text class="side" x={x(0)} y={HIGH_PX - 4} text-anchor="end"
      >datum edge, right hand from this side</text
    >
    {#if spread}
      <text class="side" x={x(widthIn)} y={HIGH_PX - 4}
        >along the row to scale; rows drawn apart</text
      >
    {/if}
  </svg>
</div>

<style>
  .map {
    overflow-x: auto;
    overflow-y: hidden;
  }
  svg {
    display: block;
  }
  .metal {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .hole {
    cursor: pointer;
  }
  /* the ring shows which one is picked */
  .hole:focus {
    outline: none;
  }
  .target {
    fill: transparent;
  }
  .ring {
    fill: none;
    stroke: var(--dye);
    stroke-width: 3;
  }
  text {
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .chosen {
    font-size: 17px;
    font-weight: 700;
    fill: var(--dye);
  }
  .side {
    font-size: 12px;
    fill: var(--ink-soft);
  }
</style>
