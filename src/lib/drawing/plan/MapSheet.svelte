<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HoleMapScene, MapHole } from './hole-map-scene';

  /** The sheet of a map of holes: its metal, the holes that stay open, and from where it is seen; marks lie on it. */
  interface Props {
    scene: HoleMapScene;
    label: string;
    testId: string;
    heldOpen: readonly (MapHole & { reason: string })[];
    widthIn: number;
    /** said beside the datum's edge */
    datum: string;
    /** one that stays open may be pointed at */
    onopen?: (hole: number) => void;
    children: Snippet;
  }
  let { scene, label, testId, heldOpen, widthIn, datum, onopen, children }: Props = $props();
  const { x, y, radius, highPx, metal } = $derived(scene);
  const mirrored = $derived(x(widthIn) < x(0));
  /** both lines under it, side by side */
  const LINES_PX = 330;
  const isNarrow = $derived(Math.abs(x(widthIn) - x(0)) < LINES_PX);
</script>

<svg width={scene.widthPx} height={highPx} role="group" aria-label={label} data-testid={testId}>
  <rect class="metal" {...metal} rx="3" />
  {@render children()}
  {#each heldOpen as hole (hole.number)}
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
    <g
      class="open"
      transform="translate({x(hole.xIn)} {y(hole)})"
      role="img"
      aria-label="hole {hole.number} is held open: {hole.reason}. It gets no rivet."
      data-held-open={hole.number}
      data-hint="hole {hole.number} is held open: {hole.reason}. It gets no rivet."
      onclick={() => onopen?.(hole.number)}
    >
      <rect class="target" x="-22" y="-22" width="44" height="44" />
      <path d="M0 {-radius - 2}L{radius + 2} 0L0 {radius + 2}L{-radius - 2} 0Z" />
      <text y={radius + 15} text-anchor="middle">open</text>
    </g>
  {/each}
  <text class="side" x={x(0)} y={highPx - 4} text-anchor={mirrored ? 'end' : 'start'}>{datum}</text>
  {#if scene.spread}
    <text
      class="side"
      x={isNarrow ? x(0) : x(widthIn)}
      y={isNarrow ? highPx - 20 : highPx - 4}
      text-anchor={mirrored === isNarrow ? 'end' : 'start'}
      >along the row to scale; rows drawn apart</text
    >
  {/if}
</svg>

<style>
  svg {
    display: block;
  }
  .metal {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
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
  .side {
    font-size: 12px;
    fill: var(--ink-soft);
  }
</style>
