<script lang="ts">
  import Glyph from '$lib/ui/marks/Glyph.svelte';
  import { numberAt, type MapMark, type NumberPlace } from './map-mark';

  /** Holes as elements of their own: for as many as a page draws without effort. */
  interface Props {
    marks: readonly MapMark[];
    numbers: ReadonlyMap<number, NumberPlace>;
    radiusPx: number;
    picked: number | null;
  }
  let { marks, numbers, radiusPx, picked }: Props = $props();
  /** A gloved finger's reach, for the pointer to show it. */
  const LEAST_TARGET_PX = 11;
</script>

{#each marks as { number, x, y, glyph, letter, word, label, data } (number)}
  {@const chosen = number === picked}
  <g
    class="hole"
    transform="translate({x} {y})"
    data-hole={number}
    {...data}
    {...label === undefined
      ? { 'data-hint': '' }
      : { role: 'button', tabindex: -1, 'aria-label': label }}
  >
    <circle class="target" r={Math.max(radiusPx, LEAST_TARGET_PX)} />
    <Glyph {glyph} />
    {#if letter}<text class="letter" y="4.5" text-anchor="middle">{letter}</text>{/if}
    {#if word}<text class="word" y={radiusPx + 17} text-anchor="middle">{word}</text>{/if}
    {#if chosen || numbers.has(number)}
      {@const { dx, dy, anchor } = numberAt(numbers.get(number) ?? 'above', radiusPx)}
      <text class="number" class:chosen x={dx} y={dy} text-anchor={anchor}>{number}</text>
    {/if}
  </g>
{/each}

<style>
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
  .letter {
    font-size: 13px;
    font-weight: 700;
    pointer-events: none;
  }
  .word {
    font-size: 12px;
    font-weight: 700;
    fill: var(--amber);
  }
  .number {
    font-size: 13px;
    font-variant-numeric: tabular-nums;
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
