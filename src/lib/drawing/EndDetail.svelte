<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
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
  const LEFT = 252;
  const RIGHT = 24;
  const TOP = 26;
  const BOTTOM = 14;
  /** the least of the row worth showing, in pitches */
  const SPACES_SHOWN = 3.4;

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const rivet = $derived(rivetSize(shown.plan.dash));
  const headDiameterIn = $derived(rivet.head[shown.definition.head].diameterIn);
  const pxPerIn = $derived(
    layout
      ? Math.min(
          (heightPx - TOP - BOTTOM) / layout.overlapIn,
          (widthPx - LEFT - RIGHT) / (layout.edgeIn + SPACES_SHOWN * layout.pitchIn)
        )
      : 1
  );
  const shownIn = $derived((widthPx - LEFT - RIGHT) / pxPerIn);
  const x = $derived((inches: number) => LEFT + inches * pxPerIn);
  const y = $derived((inches: number) => TOP + inches * pxPerIn);
  const holes = $derived(
    shown.plan.holes.filter((hole) => hole.xIn < shownIn - headDiameterIn / 2)
  );
</script>

<div class="detail" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
  {#if layout}
    {@const endX = Math.min(x(shownIn), x(shown.definition.widthIn))}
    {@const foot = y(layout.overlapIn)}
    <svg width={widthPx} height={heightPx} role="img" aria-label="Datum corner enlarged, to scale">
      <text class="draw-title" x="14" y="24">Datum corner</text>
      <text class="draw-note" x="14" y="44">{(pxPerIn / 96).toFixed(1)} × full size</text>
      <text class="draw-note" x="14" y="62">dashed: {shown.definition.head} head</text>
      <text class="draw-note" x="14" y="80">{preferences.drawingNote}</text>
      <rect class="metal" x={x(0)} y={y(0)} width={endX - x(0)} height={foot - y(0)} />
      <path class="end" d="M{x(0)} {foot} V{y(0)} H{endX}" />
      <path class="hidden-edge" d="M{x(0)} {foot} H{endX}" />
      <path class="break" d="M{endX} {y(0)} V{foot}" />
      {#each layout.rows as row, index (index)}
        <path class="scribed" d="M{x(0) - 10} {y(row.offsetIn)} H{endX}" />
      {/each}
      {#each holes as hole (hole.number)}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g
          class="hole"
          class:picked={hole.number === picked}
          transform="translate({x(hole.xIn)} {y(hole.yIn)})"
          onclick={() => onpick(hole.number)}
        >
          <circle class="head" r={(headDiameterIn / 2) * pxPerIn} />
          <circle class="edge" r={(shown.plan.hole.diameterIn / 2) * pxPerIn} />
          <text y="5" text-anchor="middle">{hole.number}</text>
        </g>
      {/each}
      <Dim
        at={y(0) - 12}
        from={x(0)}
        to={x(layout.edgeIn)}
        text={preferences.text(layout.edgeIn)}
      />
      {#if x(layout.edgeIn + layout.pitchIn) < endX}
        <Dim
          at={y(0) - 12}
          from={x(layout.edgeIn)}
          to={x(layout.edgeIn + layout.pitchIn)}
          text={preferences.text(layout.pitchIn)}
          strong
        />
      {/if}
      <Dim
        axis="y"
        at={x(0) - 22}
        from={y(0)}
        to={y(layout.edgeIn)}
        text={preferences.text(layout.edgeIn)}
      />
      {#if layout.rows.length > 1}
        <Dim
          axis="y"
          at={x(0) - 22}
          from={y(layout.edgeIn)}
          to={y(layout.edgeIn + layout.transverseIn)}
          text={preferences.text(layout.transverseIn)}
        />
      {/if}
      <Dim
        axis="y"
        at={x(0) - 86}
        from={y(0)}
        to={foot}
        text="{preferences.text(layout.overlapIn)} lap"
      />
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
