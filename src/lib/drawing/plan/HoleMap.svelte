<script lang="ts">
  import type { HoleState } from '$core/check/hole-events.ts';
  import VerdictMark, { type MarkKind } from '$lib/ui/kit/VerdictMark.svelte';
  import { fitPlan } from './plan-scene';

  /** Every hole of an issue where it lies, marked by its verdict; seen from the driven side. */
  interface Props {
    holes: { number: number; row: number; xIn: number; yIn: number }[];
    /** drilled and never riveted */
    heldOpen: { number: number; row: number; xIn: number; yIn: number; reason: string }[];
    widthIn: number;
    overlapIn: number;
    states: Map<number, HoleState>;
    onItsWay: (hole: number) => boolean;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { holes, heldOpen, widthIn, overlapIn, states, onItsWay, picked, onpick }: Props = $props();

  let roomPx = $state(800);
  /** marks closer than this could not be told apart or hit: the map scrolls instead */
  const LEAST_PITCH_PX = 25;
  const MOST_ROWS = 6;
  const ROWS_HIGH_PX = 190;
  const TRUE_HIGH_PX = 340;
  /** marks must stay readable, so rows that lie closer than this on the screen are drawn apart */
  const LEAST_ROW_PX = 46;
  /** a long strip's lines may slant: they are told apart by their number, not by how far down they lie */
  const strip = $derived(widthIn > 8 * overlapIn);
  const rowOf = $derived(({ row, yIn }: { row: number; yIn: number }) =>
    strip ? row : Number(yIn.toFixed(6))
  );
  const rowsIn = $derived([...new Set([...holes, ...heldOpen].map(rowOf))].sort((a, b) => a - b));
  /** straight rows are drawn apart; rings and slants as they lie */
  const inRows = $derived(rowsIn.length <= MOST_ROWS);
  const highPx = $derived(inRows ? ROWS_HIGH_PX : TRUE_HIGH_PX);
  const perRow = $derived(
    inRows
      ? Math.max(...rowsIn.map((rowIn) => holes.filter((hole) => rowOf(hole) === rowIn).length))
      : 0
  );
  const widthPx = $derived(Math.max(roomPx, perRow * LEAST_PITCH_PX + 90));
  const scene = $derived(
    fitPlan(
      { xIn: 0, yIn: 0, wIn: widthIn, hIn: overlapIn },
      { widthPx, heightPx: highPx, marginX: 30, marginY: 24 }
    )
  );
  const rowGapPx = $derived(
    strip
      ? LEAST_ROW_PX
      : Math.max(LEAST_ROW_PX, ((rowsIn[1] ?? 0) - (rowsIn[0] ?? 0)) * scene.pxPerIn)
  );
  const spread = $derived(inRows && (rowsIn.length > 1 || overlapIn * scene.pxPerIn < 60));
  // Seen from the other side the datum is at the right hand.
  const x = $derived((inches: number) => widthPx - scene.originX - inches * scene.pxPerIn);
  const topY = $derived((highPx - (rowsIn.length - 1) * rowGapPx) / 2);
  const y = $derived((hole: { row: number; yIn: number }) =>
    inRows
      ? topY + Math.max(0, rowsIn.indexOf(rowOf(hole))) * rowGapPx
      : scene.originY + hole.yIn * scene.pxPerIn
  );
  const pitchPx = $derived(
    holes.length > 1
      ? Math.hypot(
          (holes[1]?.xIn ?? 0) - (holes[0]?.xIn ?? 0),
          inRows ? 0 : (holes[1]?.yIn ?? 0) - (holes[0]?.yIn ?? 0)
        ) * scene.pxPerIn
      : 40
  );
  const radius = $derived(Math.max(4, Math.min(12, Math.abs(pitchPx) * 0.36)));
  const kindOf = (hole: number): MarkKind =>
    onItsWay(hole) ? 'sending' : (states.get(hole)?.last?.frozen.verdict ?? 'to-do');
  const labelled = $derived((number: number) => {
    const hole = holes.find((candidate) => candidate.number === number);
    const rowHoles = holes.filter((candidate) => candidate.row === hole?.row);
    return rowHoles[0]?.number === number || rowHoles.at(-1)?.number === number;
  });
</script>

<div class="map" bind:clientWidth={roomPx}>
  <svg
    width={widthPx}
    height={highPx}
    role="group"
    aria-label="Hole map by verdict"
    data-testid="hole-map"
  >
    <rect
      class="metal"
      x={x(widthIn)}
      y={inRows ? topY - 46 : scene.originY}
      width={x(0) - x(widthIn)}
      height={inRows ? (rowsIn.length - 1) * rowGapPx + 84 : overlapIn * scene.pxPerIn}
      rx="3"
    />
    {#each holes as hole (hole.number)}
      {@const kind = kindOf(hole.number)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <g
        class="hole"
        transform="translate({x(hole.xIn)} {y(hole)})"
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
    {#each heldOpen as hole (hole.number)}
      <g
        class="open"
        transform="translate({x(hole.xIn)} {y(hole)})"
        data-held-open={hole.number}
        data-hint="hole {hole.number} is held open: {hole.reason}. It gets no rivet."
      >
        <path d="M0 {-radius - 2}L{radius + 2} 0L0 {radius + 2}L{-radius - 2} 0Z" />
        <text y={radius + 15} text-anchor="middle">open</text>
      </g>
    {/each}
    <text class="side" x={x(0)} y={highPx - 4} text-anchor="end"
      >datum edge, right hand from this side</text
    >
    {#if spread}
      <text class="side" x={x(widthIn)} y={highPx - 4}
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
  .open path {
    fill: var(--amber-soft);
    stroke: var(--amber);
    stroke-width: 2;
  }
  .open text {
    font-size: 12px;
    fill: var(--amber);
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
