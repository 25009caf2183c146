<script lang="ts">
  import type { PlannedHole } from '$core/plan/holes.ts';
  import type { Place } from './part-path';

  /** Sheet holders as squares round their holes, and a tick over each hole that is done. */
  interface Props {
    holes: readonly PlannedHole[];
    holders: ReadonlySet<number>;
    ticked: ReadonlySet<number>;
    place: Place;
    radiusPx: number;
  }
  let { holes, holders, ticked, place, radiusPx }: Props = $props();
  const signed = $derived(holes.filter(({ number }) => holders.has(number) || ticked.has(number)));
  const side = $derived(Math.max(9, radiusPx * 1.9));
  const mark = $derived(Math.max(6, radiusPx));
</script>

{#each signed as hole (hole.number)}
  {@const x = place.x(hole.xIn)}
  {@const y = place.y(hole.yIn)}
  {#if holders.has(hole.number)}
    <rect
      class="holder"
      x={x - side}
      y={y - side}
      width={2 * side}
      height={2 * side}
      data-holder={hole.number}
    />
  {/if}
  {#if ticked.has(hole.number)}
    <path
      class="ticked"
      d="M{x - mark} {y} L{x - mark * 0.2} {y + mark * 0.8} L{x + mark} {y - mark * 0.8}"
      data-ticked={hole.number}
    />
  {/if}
{/each}

<style>
  .holder {
    fill: none;
    stroke: var(--dye);
    stroke-width: 2;
    pointer-events: none;
  }
  .ticked {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 3.5;
    stroke-linecap: round;
    pointer-events: none;
  }
</style>
