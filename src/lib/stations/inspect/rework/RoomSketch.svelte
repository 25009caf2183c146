<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { ReleasedRoom } from '$core/release/release.ts';
  import type { ReplacedRivet } from '$core/reworking/replaced-rivet.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** The hole among its nearest edge and neighbor, to scale, with the shank that goes in. */
  interface Props {
    room: ReleasedRoom;
    dash: Dash;
    rivet: Pick<ReplacedRivet, 'dash'> | null;
    /** as measured, in */
    holeIn: number;
  }
  let { room, dash, rivet, holeIn }: Props = $props();
  const preferences = usePreferences();
  const WIDE = 368;
  const HIGH = 132;
  const EDGE_AT = 22;
  const acrossIn = $derived(room.edgeIn + (room.pitchIn ?? room.edgeIn) + holeIn);
  const pxPerIn = $derived((WIDE - EDGE_AT - 16) / acrossIn);
  const x = $derived(EDGE_AT + room.edgeIn * pxPerIn);
  const y = 62;
  const r = $derived((holeIn / 2) * pxPerIn);
  const shank = $derived((rivetSize(rivet?.dash ?? dash).diameterIn / 2) * pxPerIn);
  const neighbor = $derived(room.pitchIn === null ? null : x + room.pitchIn * pxPerIn);
  const beside = $derived((rivetSize(dash).diameterIn / 2) * pxPerIn);
</script>

<svg
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="The hole, its nearest edge and neighbor, to scale"
>
  <rect class="sheet" x={EDGE_AT} y="14" width={WIDE} height="96" />
  <circle class="hole" cx={x} cy={y} {r} />
  {#if rivet}<circle class="shank" cx={x} cy={y} r={shank} />{/if}
  {#if neighbor !== null}<circle class="hole" cx={neighbor} cy={y} r={beside} />{/if}
  <path class="dim" d="M{EDGE_AT} 118 H{x} M{EDGE_AT} 113 V123 M{x} 113 V123" />
  <text x={(EDGE_AT + x) / 2} y="110" text-anchor="middle">{preferences.inWords(room.edgeIn)}</text>
  {#if neighbor !== null}
    <path class="dim" d="M{x} 118 H{neighbor} M{neighbor} 113 V123" />
    <text x={(x + neighbor) / 2} y="110" text-anchor="middle"
      >{preferences.inWords(room.pitchIn ?? 0)}</text
    >
  {/if}
  <text {x} y={y - r - 6} text-anchor="middle">{preferences.inWords(holeIn)}</text>
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
    fill: var(--bench);
    stroke: var(--metal-dark);
  }
  .hole {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .shank {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 2;
    stroke-dasharray: 4 3;
  }
  .dim {
    fill: none;
    stroke: var(--dye);
  }
  text {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
</style>
