<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HoleMapScene, MapHole } from './hole-map-scene';
  import MarkCanvas from './MarkCanvas.svelte';
  import MarkElements from './MarkElements.svelte';
  import { MOST_ELEMENTS, nearestMark, type MapMark, type NumberPlace } from './map-mark';

  /** A map of marks large enough to hit: the sheet, the holes that stay open, one mark a rivet, and from where it is seen. */
  interface Props {
    scene: HoleMapScene;
    marks: readonly MapMark[];
    numbers: ReadonlyMap<number, NumberPlace>;
    picked: number | null;
    label: string;
    testId: string;
    heldOpen: readonly (MapHole & { reason: string })[];
    widthIn: number;
    /** said beside the datum's edge */
    datum: string;
    onpick: (hole: number) => void;
    /** one that stays open may be pointed at */
    onopen?: (hole: number) => void;
    /** under the marks */
    children?: Snippet;
    roomPx: number;
  }
  let {
    scene,
    marks,
    numbers,
    picked,
    label,
    testId,
    heldOpen,
    widthIn,
    datum,
    onpick,
    onopen,
    children,
    roomPx = $bindable()
  }: Props = $props();
  const { x, y, radius, highPx, metal } = $derived(scene);
  const mirrored = $derived(x(widthIn) < x(0));
  /** both lines under it, side by side */
  const LINES_PX = 330;
  const isNarrow = $derived(Math.abs(x(widthIn) - x(0)) < LINES_PX);
  const onCanvas = $derived(marks.length > MOST_ELEMENTS);

  function click(event: MouseEvent): void {
    const { target, currentTarget, clientX, clientY } = event;
    if (!(target instanceof Element) || !(currentTarget instanceof Element)) return;
    const open = target.closest<SVGElement>('[data-held-open]')?.dataset['heldOpen'];
    if (open !== undefined) return onopen?.(Number(open));
    const own = target.closest<SVGElement>('[data-hole]')?.dataset['hole'];
    const box = currentTarget.getBoundingClientRect();
    const near =
      own === undefined ? nearestMark(marks, clientX - box.left, clientY - box.top) : Number(own);
    if (near !== null) onpick(near);
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="map"
  bind:clientWidth={roomPx}
  role="region"
  aria-label="{label}: arrow keys scroll"
  tabindex="0"
>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    width={scene.widthPx}
    height={highPx}
    role="group"
    aria-label={label}
    data-testid={testId}
    onclick={click}
  >
    <rect class="metal" {...metal} rx="3" />
    {@render children?.()}
    {#if !onCanvas}<MarkElements {marks} {numbers} radiusPx={radius} {picked} />{/if}
    {#each heldOpen as hole (hole.number)}
      <g
        class="open"
        transform="translate({x(hole.xIn)} {y(hole)})"
        role="img"
        aria-label="hole {hole.number} is left open: {hole.reason}. No rivet in this hole."
        data-held-open={hole.number}
        data-hint="hole {hole.number} is left open: {hole.reason}. No rivet in this hole."
      >
        <rect class="target" x="-22" y="-22" width="44" height="44" />
        <path d="M0 {-radius - 2}L{radius + 2} 0L0 {radius + 2}L{-radius - 2} 0Z" />
        <text y={radius + 15} text-anchor="middle">open</text>
      </g>
    {/each}
    <text class="side" x={x(0)} y={highPx - 4} text-anchor={mirrored ? 'end' : 'start'}
      >{datum}</text
    >
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
  {#if onCanvas}
    <MarkCanvas
      {marks}
      {numbers}
      radiusPx={radius}
      widthPx={scene.widthPx}
      heightPx={highPx}
      {picked}
    />
  {/if}
</div>

<style>
  .map {
    position: relative;
    overflow-x: auto;
    overflow-y: hidden;
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
