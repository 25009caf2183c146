<script lang="ts">
  import { hexagon } from './hole-canvas';
  import { numberAt, type HoleMark, type NumberPlace } from './hole-marks';
  import type { Place } from './part-path';

  /** Holes as elements of their own: for as many as a page draws without effort. */
  interface Props {
    marks: readonly HoleMark[];
    numbers: ReadonlyMap<number, NumberPlace>;
    place: Place;
    radiusPx: number;
    picked: number;
  }
  let { marks, numbers, place, radiusPx, picked }: Props = $props();
  const r = $derived(Math.max(2, radiusPx));
</script>

{#each marks as mark (mark.number)}
  {@const chosen = mark.number === picked}
  <g
    class="hole {mark.kind}"
    class:picked={chosen}
    class:failing={mark.failing}
    class:room={mark.letter !== null}
    data-room={mark.room}
    transform="translate({place.x(mark.xIn)} {place.y(mark.yIn)})"
    data-hole={mark.number}
    data-kind={mark.kind}
    data-hint=""
  >
    <circle class="target" r={Math.max(r, 11)} />
    {#if mark.letter === null}<path class="cross" d="M0 {-r - 4}V{r + 4}" />{/if}
    {#if mark.kind === 'held-open'}
      <path class="edge" d="M0 {-r - 4}L{r + 4} 0L0 {r + 4}L{-r - 4} 0Z" />
      <text class="word" y={r + 17} text-anchor="middle">open</text>
    {:else}
      <circle class="edge" r={mark.letter === null ? r : Math.max(r, 9)} />
      {#if mark.kind === 'reworked'}
        <polygon class="hexagon" points={hexagon(0, 0, r).join(' ')} />
      {/if}
      {#if mark.kind === 'existing'}<circle class="ring" r={r + 3.5} />{/if}
      {#if mark.kind === 'pinned'}<path class="pin" d="M-5 {-r - 12}h10L0 {-r - 2}Z" />{/if}
    {/if}
    {#if mark.failing}<path
        class="bad"
        d="M{-r - 6} {-r - 6}h{2 * r + 12}v{2 * r + 12}h{-2 * r - 12}Z"
      />{/if}
    {#if mark.letter !== null}<text class="letter" y="4.5" text-anchor="middle">{mark.letter}</text
      >{/if}
    {#if chosen || numbers.has(mark.number)}
      {@const { dx, dy, anchor } = numberAt(numbers.get(mark.number) ?? 'above', r)}
      <text class="number" class:chosen x={dx} y={dy} text-anchor={anchor}>{mark.number}</text>
    {/if}
  </g>
{/each}

<style>
  .hole {
    cursor: pointer;
  }
  .target {
    fill: transparent;
  }
  .cross {
    stroke: var(--dye);
    stroke-width: 0.8;
    opacity: 0.7;
  }
  .edge {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .ring {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .hexagon {
    fill: none;
    stroke: var(--amber);
    stroke-width: 2;
  }
  .pin {
    fill: var(--dye);
  }
  .held-open .edge {
    fill: var(--amber-soft);
    stroke: var(--amber);
    stroke-width: 2;
  }
  .word {
    font-size: 12px;
    font-weight: 700;
    fill: var(--amber);
  }
  .bad {
    fill: none;
    stroke: var(--brick);
    stroke-width: 2;
  }
  .picked .edge {
    fill: var(--dye);
    stroke: var(--dye);
  }
  .picked .target {
    fill: none;
    stroke: var(--dye);
    stroke-width: 1.5;
  }
  .room .edge {
    fill: var(--olive-soft);
    stroke: var(--olive-deep);
  }
  .room[data-room='0'] .edge {
    fill: var(--amber-soft);
    stroke: var(--amber);
  }
  .room.picked .edge {
    fill: var(--dye-soft);
    stroke: var(--dye);
    stroke-width: 2.5;
  }
  .letter {
    font-size: 13px;
    font-weight: 700;
    fill: var(--ink);
    pointer-events: none;
  }
  .number {
    font-size: 13px;
    font-variant-numeric: tabular-nums;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 2.5;
  }
  .number.chosen {
    font-size: 16px;
    font-weight: 700;
    fill: var(--dye);
  }
</style>
