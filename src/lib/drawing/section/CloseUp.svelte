<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedHole } from '$core/plan/holes.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import { detailWindow } from '../plan/detail-window';
  import { numberAt } from '../marks/map-mark';
  import { nameSpots, numbered } from '../plan/hole-marks';
  import Dim from '../Dim.svelte';
  import { dimTextPx } from '../dim-text';
  import PlanObstacles from '../plan/PlanObstacles.svelte';

  /** The joint's datum corner, or the picked hole, enlarged to its own scale with the short dimensions. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { shown, picked, onpick }: Props = $props();
  const preferences = usePreferences();

  let widthPx = $state(700);
  let heightPx = $state(210);
  /** what it is stands beneath on a narrow screen, else at the left */
  const NARROW_PX = 560;
  const narrow = $derived(widthPx < NARROW_PX);
  const LINE_PX = 18;
  /** the notes at the left, dimension lines and the gaps about their texts */
  const NOTES_PX = $derived(narrow ? 8 : 164);
  const NEAR_PX = 22;
  const GAP_PX = 10;
  const RIGHT = 24;
  const TOP = 26;
  const BOTTOM = $derived(narrow ? 34 : 14);
  const IN_HOLE_PX = 8;
  const OF_A_DIM = '88 88/88';
  /** the least of the row worth showing, in pitches */
  const SPACES_SHOWN = 3.4;

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const rivet = $derived(rivetSize(shown.plan.dash));
  const headDiameterIn = $derived(rivet.head[shown.definition.head].diameterIn);
  const pickedHole = $derived(
    shown.plan.holes.find((hole) => hole.number === picked) ?? shown.plan.holes[0]
  );
  const heightIn = $derived(layout?.heightIn ?? 1);
  const nearestIn = $derived(Math.max(layout?.transverseIn ?? 0, pickedHole?.yIn ?? 0));
  /** the outer dimension stands clear of the inner ones' texts, however long a unit makes them */
  const outerPx = $derived(NEAR_PX + 3 * GAP_PX + dimTextPx(preferences.text(nearestIn)));
  const LEFT = $derived(NOTES_PX + outerPx + GAP_PX + dimTextPx(preferences.text(heightIn)));
  const pxPerIn = $derived(
    Math.min(
      (heightPx - TOP - BOTTOM) / heightIn,
      (widthPx - LEFT - RIGHT) / (SPACES_SHOWN * (layout?.pitchIn ?? 1))
    )
  );
  const seen = $derived(
    detailWindow(
      layout?.widthIn ?? 1,
      pickedHole?.xIn ?? 0,
      (widthPx - LEFT - RIGHT) / pxPerIn,
      headDiameterIn
    )
  );
  const atDatum = $derived(seen.fromIn === 0);
  const title = $derived(atDatum ? COMMON.datumCorner : `About hole ${picked}`);
  const scale = $derived(`${(pxPerIn / 96).toFixed(1)} × full size`);
  const x = $derived((inches: number) => LEFT + (inches - seen.fromIn) * pxPerIn);
  const y = $derived((inches: number) => TOP + inches * pxPerIn);
  const inSight = $derived((inches: number) => inches >= seen.fromIn && inches <= seen.toIn);
  const holes = $derived(
    shown.plan.holes.filter(
      (hole) =>
        hole.xIn > seen.fromIn + headDiameterIn / 2 - (atDatum ? 1 : 0) &&
        hole.xIn < seen.toIn - headDiameterIn / 2
    )
  );
  /** the hole that the dimensions stand at: the corner's first, or the picked one, with the next on its line */
  const at = $derived(atDatum ? holes[0] : pickedHole);
  const along = $derived(layout?.lines[(at?.row ?? 1) - 1]?.holes ?? []);
  const next = $derived(
    shown.plan.holes.find((hole) => hole.number === along[along.indexOf(at?.number ?? -1) + 1])
  );
  const nextRow = $derived(
    layout?.transverseIn === null || !atDatum
      ? undefined
      : holes.find((hole) => hole.row === (at?.row ?? 1) + 1)
  );
  /** where the texts of the dimensions at the left stand: numbers keep clear of them */
  const dimSpots = $derived([
    ...[
      [0, at?.yIn ?? 0],
      [at?.yIn ?? 0, nextRow?.yIn ?? at?.yIn ?? 0]
    ].flatMap(([from = 0, to = 0]) =>
      nameSpots(OF_A_DIM, { x: x(seen.fromIn) - 2 * NEAR_PX, y: y((from + to) / 2) })
    ),
    ...(next ? nameSpots(OF_A_DIM, { x: x(next.xIn) + 2 * NEAR_PX, y: y(0) - 12 }) : [])
  ]);
  const holeRadius = (hole: PlannedHole) =>
    ((shown.plan.stacks[hole.stack]?.hole.diameterIn ?? rivet.nominalHoleIn) / 2) * pxPerIn;
  /** a number stands in its hole where it has room, else beside it */
  const inside = (hole: PlannedHole) =>
    holeRadius(hole) > IN_HOLE_PX && holeRadius(hole) > 4.2 * String(hole.number).length;
  const numbers = $derived(
    numbered(
      layout?.lines ?? [],
      new Map(
        holes
          .filter((hole) => !inside(hole))
          .map((hole) => [hole.number, { x: x(hole.xIn), y: y(hole.yIn) }])
      ),
      holes[0] ? Math.max(holeRadius(holes[0]), (headDiameterIn / 2) * pxPerIn) : 0,
      0,
      dimSpots,
      [0, widthPx]
    )
  );
  const rows = $derived([...new Set(holes.map((hole) => hole.yIn))]);
</script>

<div class="detail" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  {#if layout}
    {@const startX = x(seen.fromIn)}
    {@const endX = x(seen.toIn)}
    {@const foot = y(heightIn)}
    <svg
      width={widthPx}
      height={heightPx}
      role="img"
      aria-label="{atDatum ? COMMON.datumCorner : `Hole ${picked}`} enlarged, to scale"
    >
      <defs
        ><clipPath id="close-up"
          ><rect x={startX} y="0" width={endX - startX} height={heightPx} /></clipPath
        ></defs
      >
      {#if narrow}
        <text class="draw-note" x="8" y={heightPx - 9}>{title} · {scale} · dashed: head</text>
      {:else}
        <text class="draw-title" x="14" y="24">{title}</text>
        <text class="draw-note" x="14" y="44">{scale}</text>
        <text class="draw-note" x="14" y="62">dashed: {shown.definition.head} head</text>
        <text class="draw-note" x="14" y="80">{preferences.drawingNote}</text>
      {/if}
      <rect class="metal" x={startX} y={y(0)} width={endX - startX} height={foot - y(0)} />
      {#if atDatum}
        <path class="end" d="M{startX} {foot} V{y(0)} H{endX}" />
      {:else}
        <path class="end" d="M{startX} {y(0)} H{endX}" />
        <path class="break" d="M{startX} {y(0)} V{foot}" />
      {/if}
      <path class="hidden-edge" d="M{startX} {foot} H{endX}" />
      <path class={seen.toIn >= layout.widthIn ? 'end' : 'break'} d="M{endX} {y(0)} V{foot}" />
      {#if rows.length <= 8}
        {#each rows as rowIn (rowIn)}
          <path class="scribed" d="M{startX - 10} {y(rowIn)} H{endX}" />
        {/each}
      {/if}
      <g clip-path="url(#close-up)" class="still">
        <PlanObstacles
          keepOuts={shown.definition.keepOuts}
          clear={layout.clear}
          extent={{ xIn: 0, yIn: 0, wIn: layout.widthIn, hIn: heightIn }}
          place={{ x, y, pxPerIn }}
          onmove={() => undefined}
          named={false}
        />
      </g>
      {#each holes as hole (hole.number)}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g
          class="hole"
          class:picked={hole.number === picked}
          class:open={hole.state === 'held-open'}
          transform="translate({x(hole.xIn)} {y(hole.yIn)})"
          onclick={() => onpick(hole.number)}
        >
          {#if hole.state === 'rivet'}<circle
              class="head"
              r={(rivetSize(hole.dash).head[shown.definition.head].diameterIn / 2) * pxPerIn}
            />{/if}
          <circle class="edge" r={holeRadius(hole)} />
          {#if inside(hole)}
            <text y="5" text-anchor="middle">{hole.number}</text>
          {:else if numbers.has(hole.number)}
            {@const beside = numberAt(
              numbers.get(hole.number) ?? 'above',
              Math.max(holeRadius(hole), (headDiameterIn / 2) * pxPerIn)
            )}
            <text class="beside" x={beside.dx} y={beside.dy} text-anchor={beside.anchor}
              >{hole.number}</text
            >
          {/if}
        </g>
      {/each}
      {#if at}
        {#if atDatum}
          <Dim at={y(0) - 12} from={x(0)} to={x(at.xIn)} text={preferences.text(at.xIn)} />
        {/if}
        {#if next && inSight(next.xIn) && x(next.xIn) + 2 * GAP_PX + dimTextPx(preferences.text(next.xIn - at.xIn)) < widthPx}
          <Dim
            at={y(0) - 12}
            from={x(at.xIn)}
            to={x(next.xIn)}
            text={preferences.text(next.xIn - at.xIn)}
            spill="after"
            strong
          />
        {/if}
        <Dim
          axis="y"
          at={startX - NEAR_PX}
          from={y(0)}
          to={y(at.yIn)}
          text={preferences.text(at.yIn)}
        />
        {#if nextRow && (y(nextRow.yIn) - y(0)) / 2 > LINE_PX}
          <Dim
            axis="y"
            at={startX - NEAR_PX}
            from={y(at.yIn)}
            to={y(nextRow.yIn)}
            text={preferences.text(nextRow.yIn - at.yIn)}
          />
        {/if}
      {/if}
      <Dim axis="y" at={startX - outerPx} from={y(0)} to={foot} text={preferences.text(heightIn)} />
    </svg>
  {/if}
</div>

<style>
  /* beside numbers and dimensions there is no room for more */
  text.draw-note {
    font-size: 12.5px;
  }
  .detail {
    height: 100%;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
    overflow: hidden;
  }
  .metal {
    fill: var(--metal-light);
  }
  .end {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .hidden-edge {
    fill: none;
    stroke: var(--metal-edge);
    stroke-dasharray: 6 4;
  }
  .break {
    stroke: var(--metal-edge);
    stroke-dasharray: 2 3;
  }
  .scribed {
    stroke: var(--dye);
    stroke-width: 1.2;
  }
  .still {
    pointer-events: none;
  }
  .open .edge {
    fill: var(--amber-soft);
    stroke: var(--amber);
  }
  .hole {
    cursor: pointer;
  }
  .head {
    fill: transparent;
    stroke: var(--metal-edge);
    stroke-dasharray: 4 3;
  }
  .edge {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .hole text {
    font-size: 12px;
  }
  .picked .edge {
    fill: var(--dye);
    stroke: var(--dye);
  }
  .picked text:not(.beside) {
    fill: var(--paper);
    font-weight: 700;
  }
</style>
