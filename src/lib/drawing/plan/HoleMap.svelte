<script lang="ts">
  import { verdictNow, type HoleState } from '$core/check/hole-events.ts';
  import VerdictMark, { MARK_WORDS, type MarkKind } from '$lib/ui/kit/VerdictMark.svelte';
  import { holeMapScene } from './hole-map-scene';
  import MapSheet from './MapSheet.svelte';

  /** Every hole of an issue where it lies, marked by its verdict; seen from the driven side. */
  interface Props {
    holes: { number: number; row: number; xIn: number; yIn: number }[];
    /** drilled and never riveted */
    heldOpen: { number: number; row: number; xIn: number; yIn: number; reason: string }[];
    widthIn: number;
    overlapIn: number;
    states: Map<number, HoleState>;
    onItsWay: (hole: number) => boolean;
    /** what rework makes of it; null where nothing */
    reworked?: (hole: number) => 'out' | 'left' | null;
    picked: number;
    onpick: (hole: number) => void;
  }
  let {
    holes,
    heldOpen,
    widthIn,
    overlapIn,
    states,
    onItsWay,
    reworked = () => null,
    picked,
    onpick
  }: Props = $props();

  let roomPx = $state(800);
  const scene = $derived(
    holeMapScene(holes, heldOpen, { widthIn, heightIn: overlapIn }, roomPx, true)
  );
  const { x, y, radius, pitchPx } = $derived(scene);
  const kindOf = (hole: number): MarkKind => {
    if (onItsWay(hole)) return 'sending';
    const state = states.get(hole);
    return reworked(hole) ?? (state ? verdictNow(state) : null) ?? 'to-do';
  };
  const labelled = $derived((number: number) => {
    const hole = holes.find((candidate) => candidate.number === number);
    const rowHoles = holes.filter((candidate) => candidate.row === hole?.row);
    return rowHoles[0]?.number === number || rowHoles.at(-1)?.number === number;
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="map"
  bind:clientWidth={roomPx}
  role="region"
  aria-label="Heads by verdict: arrow keys scroll"
  tabindex="0"
>
  <MapSheet
    {scene}
    label="Hole map by verdict"
    testId="hole-map"
    {heldOpen}
    {widthIn}
    datum="datum edge, right hand from this side"
  >
    {#each holes as hole (hole.number)}
      {@const kind = kindOf(hole.number)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <g
        class="hole"
        transform="translate({x(hole.xIn)} {y(hole)})"
        role="button"
        tabindex="-1"
        aria-label="hole {hole.number}, {MARK_WORDS[kind]}"
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
  </MapSheet>
</div>

<style>
  .map {
    overflow-x: auto;
    overflow-y: hidden;
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
</style>
