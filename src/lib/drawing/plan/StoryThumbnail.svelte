<script lang="ts">
  import type { HoleMark } from './hole-marks';
  import type { Extent } from './plan-scene';
  import type { Stretch } from './story-strip';

  /** The whole of a long joint, small, with the lines it is told in: a tap goes to one. */
  interface Props {
    extent: Extent;
    /** how the lines beneath are drawn */
    note: string;
    lines: readonly Stretch[];
    /** the line of the picked hole */
    at: number;
    marks: readonly HoleMark[];
    picked: number;
    ongo: (line: number) => void;
  }
  let { extent, note, lines, at, marks, picked, ongo }: Props = $props();
  const HIGH_PX = 44;
  const METAL_PX = 16;
  const SIDE_PX = 22;
  /** as many as can be told apart, in strokes that are quick to draw */
  const MOST_DOTS = 160;
  let widthPx = $state(800);
  const x = $derived(
    (inches: number) => SIDE_PX + ((inches - extent.xIn) / extent.wIn) * (widthPx - 2 * SIDE_PX)
  );
  const top = (HIGH_PX - METAL_PX) / 2;
  const y = $derived((inches: number) => top + ((inches - extent.yIn) / extent.hIn) * METAL_PX);
  const dots = $derived(
    marks
      .filter((_, index) => index % Math.ceil(marks.length / MOST_DOTS) === 0)
      .map(({ xIn, yIn }) => `M${x(xIn) - 1} ${y(yIn)}h2`)
      .join('')
  );
  const chosen = $derived(marks.find(({ number }) => number === picked));
</script>

<div class="thumbnail" bind:clientWidth={widthPx}>
  <svg width={widthPx} height={HIGH_PX} role="group" aria-label="The whole joint">
    <rect class="metal" x={x(extent.xIn)} y={top} width={widthPx - 2 * SIDE_PX} height={METAL_PX} />
    <path class="dots" d={dots} />
    {#each lines as { fromIn, toIn }, index (fromIn)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <g
        class="length"
        class:here={index === at}
        role="button"
        tabindex="-1"
        data-testid="go-to-strip-{index + 1}"
        aria-label="go to line {index + 1}"
        onclick={() => ongo(index)}
      >
        <rect x={x(fromIn)} y="0" width={Math.max(1, x(toIn) - x(fromIn))} height={HIGH_PX} />
        <path d="M{x(fromIn)} 4V{HIGH_PX - 4}" />
        {#if index < lines.length - 1 || x(toIn) - x(fromIn) > 24}
          <text x={x(fromIn) + 4} y={HIGH_PX - 2}>{index + 1}</text>
        {/if}
      </g>
    {/each}
    <text class="note" x={widthPx - SIDE_PX} y="11" text-anchor="end">{note}</text>
    {#if chosen}<path class="picked" d="M{x(chosen.xIn)} 2V{HIGH_PX - 2}" />{/if}
  </svg>
</div>

<style>
  .metal {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .dots {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .length {
    cursor: pointer;
  }
  .length rect {
    fill: transparent;
  }
  .length path {
    stroke: var(--metal-edge);
    stroke-dasharray: 3 3;
  }
  .here rect {
    fill: color-mix(in srgb, var(--dye) 14%, transparent);
  }
  .here text {
    fill: var(--dye);
    font-weight: 700;
  }
  text {
    font-size: 12px;
  }
  .note {
    fill: var(--ink-soft);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
  .picked {
    stroke: var(--dye);
    stroke-width: 2;
  }
</style>
