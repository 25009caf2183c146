<script lang="ts">
  import { drillIn } from '$core/catalog/drills.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import Dim from './Dim.svelte';

  /** The joint's datum corner enlarged to its own scale, with the short dimensions. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { shown, picked, onpick }: Props = $props();
  const preferences = usePreferences();

  let widthPx = $state(700);
  let heightPx = $state(210);
  const LEFT = 276;
  const RIGHT = 24;
  const TOP = 26;
  const BOTTOM = 14;
  /** the least of the row worth showing, in pitches */
  const SPACES_SHOWN = 3.4;

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const rivet = $derived(rivetSize(shown.plan.dash));
  const headDiameterIn = $derived(rivet.head[shown.definition.head].diameterIn);
  const first = $derived(shown.plan.holes.find((hole) => hole.row === 1));
  const second = $derived(
    shown.plan.holes.find((hole) => hole.number === layout?.lines[0]?.holes[1])
  );
  const nextRow = $derived(
    layout?.transverseIn === null ? undefined : shown.plan.holes.find((hole) => hole.row === 2)
  );
  const pitchIn = $derived(layout?.pitchIn ?? 1);
  const heightIn = $derived(layout?.heightIn ?? 1);
  const pxPerIn = $derived(
    Math.min(
      (heightPx - TOP - BOTTOM) / heightIn,
      (widthPx - LEFT - RIGHT) / ((first?.xIn ?? 0) + SPACES_SHOWN * pitchIn)
    )
  );
  const shownIn = $derived((widthPx - LEFT - RIGHT) / pxPerIn);
  const x = $derived((inches: number) => LEFT + inches * pxPerIn);
  const y = $derived((inches: number) => TOP + inches * pxPerIn);
  const holes = $derived(
    shown.plan.holes.filter((hole) => hole.xIn < shownIn - headDiameterIn / 2)
  );
  const holeRadius = (dash: Dash) => (drillIn(rivetSize(dash).drill.close) / 2) * pxPerIn;
  const rows = $derived([
    ...new Set(shown.plan.holes.filter((hole) => hole.xIn < shownIn).map((hole) => hole.yIn))
  ]);
</script>

<div class="detail" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  {#if layout}
    {@const endX = Math.min(x(shownIn), x(layout.widthIn))}
    {@const foot = y(heightIn)}
    <svg width={widthPx} height={heightPx} role="img" aria-label="Datum corner enlarged, to scale">
      <text class="draw-title" x="14" y="24">Datum corner</text>
      <text class="draw-note" x="14" y="44">{(pxPerIn / 96).toFixed(1)} × full size</text>
      <text class="draw-note" x="14" y="62">dashed: {shown.definition.head} head</text>
      <text class="draw-note" x="14" y="80">{preferences.drawingNote}</text>
      <rect class="metal" x={x(0)} y={y(0)} width={endX - x(0)} height={foot - y(0)} />
      <path class="end" d="M{x(0)} {foot} V{y(0)} H{endX}" />
      <path class="hidden-edge" d="M{x(0)} {foot} H{endX}" />
      <path class="break" d="M{endX} {y(0)} V{foot}" />
      {#if rows.length <= 8}
        {#each rows as rowIn (rowIn)}
          <path class="scribed" d="M{x(0) - 10} {y(rowIn)} H{endX}" />
        {/each}
      {/if}
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
          <circle class="edge" r={holeRadius(hole.dash)} />
          <text y="5" text-anchor="middle">{hole.number}</text>
        </g>
      {/each}
      {#if first}
        <Dim at={y(0) - 12} from={x(0)} to={x(first.xIn)} text={preferences.text(first.xIn)} />
        {#if second && x(second.xIn) < endX}
          <Dim
            at={y(0) - 12}
            from={x(first.xIn)}
            to={x(second.xIn)}
            text={preferences.text(second.xIn - first.xIn)}
            spill="after"
            strong
          />
        {/if}
        <Dim
          axis="y"
          at={x(0) - 22}
          from={y(0)}
          to={y(first.yIn)}
          text={preferences.text(first.yIn)}
        />
        {#if nextRow}
          <Dim
            axis="y"
            at={x(0) - 22}
            from={y(first.yIn)}
            to={y(nextRow.yIn)}
            text={preferences.text(nextRow.yIn - first.yIn)}
          />
        {/if}
      {/if}
      <Dim axis="y" at={x(0) - 86} from={y(0)} to={foot} text={preferences.text(heightIn)} />
    </svg>
  {/if}
</div>

<style>
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
  .picked text {
    fill: var(--paper);
    font-weight: 700;
  }
</style>
