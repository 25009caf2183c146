<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HoleMapScene, MapHole } from './hole-map-scene';
  import HoleSeven from './HoleSeven.svelte';
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
    /** holes one after the other, as they are worked */
    order: readonly number[];
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
    order,
    onpick,
    onopen,
    children,
    roomPx = $bindable()
  }: Props = $props();
  const { x, at, radius, highPx, mirrored, strips } = $derived(scene);
  /** both lines under it, side by side */
  const LINES_PX = 330;
  const acrossPx = $derived((strips[0]?.metal.width ?? 0) - 2 * radius);
  const isNarrow = $derived(strips.length > 1 || acrossPx < LINES_PX);
  /** under the strip that begins at the datum */
  const datumY = $derived.by(() => {
    const [first] = strips;
    return first && strips.length > 1 ? first.metal.y + first.metal.height + 14 : highPx - 4;
  });
  /** closer than this, seven are shown enlarged */
  const DENSE_PX = 24;
  const onCanvas = $derived(marks.length > MOST_ELEMENTS);

  function click(event: MouseEvent): void {
    const { target, currentTarget, clientX, clientY } = event;
    if (!(target instanceof Element) || !(currentTarget instanceof Element)) return;
    const open = target.closest<SVGElement>('[data-held-open]')?.dataset['heldOpen'];
    if (open !== undefined) return onopen?.(Number(open));
    const own = target.closest<SVGElement>('[data-hole]')?.dataset['hole'];
    const box = currentTarget.getBoundingClientRect();
    // a press without a place, by a screen reader, means the mark itself
    const near =
      event.detail === 0 && own !== undefined
        ? Number(own)
        : nearestMark(marks, clientX - box.left, clientY - box.top);
    if (near !== null) onpick(near);
  }
</script>

<div class="whole">
  <div class="map" bind:clientWidth={roomPx}>
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
    <svg
      width={scene.widthPx}
      height={highPx}
      role="group"
      aria-label={label}
      data-testid={testId}
      onclick={click}
    >
      {#each strips as { metal }, index (index)}<rect class="metal" {...metal} rx="3" />{/each}
      {@render children?.()}
      {#if !onCanvas}<MarkElements {marks} {numbers} radiusPx={radius} {picked} />{/if}
      {#each heldOpen as hole (hole.number)}
        <g
          class="open"
          transform="translate({at(hole).x} {at(hole).y})"
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
      <text class="side" x={x(0)} y={datumY} text-anchor={mirrored ? 'end' : 'start'}>{datum}</text>
      {#if scene.spread}
        <text
          class="side"
          x={isNarrow ? scene.widthPx / 2 : x(widthIn)}
          y={isNarrow && strips.length === 1 ? highPx - 20 : highPx - 4}
          text-anchor={isNarrow ? 'middle' : mirrored ? 'start' : 'end'}
          >{strips.length > 1
            ? `rows drawn apart, in ${strips.length} strips`
            : 'along the row to scale; rows drawn apart'}</text
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
  <HoleSeven {marks} {order} {picked} radiusPx={radius} dense={scene.pitchPx < DENSE_PX} {onpick} />
</div>

<style>
  .whole {
    min-width: 0;
  }
  .map {
    position: relative;
    overflow: hidden;
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
    font-size: 14px;
    fill: var(--amber);
  }
  .side {
    font-size: 14px;
    fill: var(--ink-soft);
  }
</style>
