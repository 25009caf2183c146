<script lang="ts">
  import type { Surroundings } from '$core/reworking/surroundings.ts';

  /** What lies around a hole that a question is about, to scale. */
  interface Props {
    around: Surroundings;
  }
  let { around }: Props = $props();
  const SIDE = 240;
  const PX = $derived(SIDE / around.widthIn);
  const edges = $derived(around.edges);
  const left = $derived((edges.left ?? 0) * PX);
  const top = $derived((edges.top ?? 0) * PX);
  const right = $derived((edges.right ?? around.widthIn) * PX);
  const bottom = $derived((edges.bottom ?? around.heightIn) * PX);
</script>

<svg
  viewBox="0 0 {SIDE} {SIDE}"
  role="img"
  aria-label="Hole {around.hole.number} and what lies around it, to scale"
>
  <rect class="metal" x={left} y={top} width={right - left} height={bottom - top} />
  {#if edges.left !== null}<path class="edge" d="M{left} {top} V{bottom}" />{/if}
  {#if edges.right !== null}<path class="edge" d="M{right} {top} V{bottom}" />{/if}
  {#if edges.top !== null}<path class="edge" d="M{left} {top} H{right}" />{/if}
  {#if edges.bottom !== null}<path class="edge" d="M{left} {bottom} H{right}" />{/if}
  {#each [...around.others, around.hole] as { number, xIn, yIn, diameterIn, open } (number)}
    <circle
      class:open
      class:here={number === around.hole.number}
      cx={xIn * PX}
      cy={yIn * PX}
      r={(diameterIn / 2) * PX}
    />
    <text x={xIn * PX} y={(yIn - diameterIn) * PX - 3} text-anchor="middle">{number}</text>
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    max-width: 300px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
  }
  .metal {
    fill: var(--metal-light);
  }
  .edge {
    fill: none;
    stroke: var(--metal-edge);
    stroke-width: 2;
  }
  circle {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .open {
    stroke-dasharray: 3 3;
  }
  .here {
    fill: var(--amber-soft);
    stroke: var(--amber-line);
    stroke-width: 3;
  }
  text {
    font-size: 11px;
    font-variant-numeric: tabular-nums;
  }
</style>
