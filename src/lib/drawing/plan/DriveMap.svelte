<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { HoleDriven } from '$core/driving/drive-events.ts';
  import type { Upstand } from '$core/driving/access.ts';
  import { holeMapScene, type MapHole } from './hole-map-scene';
  import MapSheet from './MapSheet.svelte';

  /** Rivets of an issue as they are driven: which are in, which comes next, the way from one to the next. */
  interface Props {
    holes: readonly MapHole[];
    heldOpen: readonly (MapHole & { reason: string })[];
    widthIn: number;
    overlapIn: number;
    states: ReadonlyMap<number, HoleDriven>;
    order: readonly number[];
    here: number | null;
    /** where sheet holders stand now */
    holders: ReadonlySet<number>;
    upstands: readonly Upstand[];
    /** holes that the yoke reaches, where one asks for that; null: not asked */
    reached: ReadonlySet<number> | null;
    /** holes where a tool would touch something */
    touched: ReadonlySet<number>;
    /** where the set’s rim lies on the next head */
    crowded: ReadonlySet<number>;
    /** the way is drawn for so many rivets ahead */
    ahead: number;
    onpick: (hole: number) => void;
  }
  let {
    holes,
    heldOpen,
    widthIn,
    overlapIn,
    states,
    order,
    here,
    holders,
    upstands,
    reached,
    touched,
    crowded,
    ahead,
    onpick
  }: Props = $props();
  let roomPx = $state(800);
  const scene = $derived(
    holeMapScene(holes, heldOpen, { widthIn, heightIn: overlapIn }, roomPx, false)
  );
  const { x, y, radius, pitchPx, metal } = $derived(scene);
  const byNumber = $derived(new Map(holes.map((hole) => [hole.number, hole])));
  const place = $derived(new Map(order.map((number, at) => [number, at + 1])));
  const from = $derived(here === null ? order.length : order.indexOf(here));
  const way = $derived(
    order
      .slice(Math.max(0, from))
      .filter((number) => number === here || !states.get(number)?.driven)
      .slice(0, ahead + 1)
      .flatMap((number) => byNumber.get(number) ?? [])
      .map((hole, at) => `${at === 0 ? 'M' : 'L'}${x(hole.xIn)} ${y(hole)}`)
      .join('')
  );
  const stateOf = (number: number) => {
    const hole = states.get(number);
    if (number === here) return 'next';
    if (!hole?.driven) return 'open';
    return hole.quick === 'again' || hole.expired ? 'look' : hole.quick === 'more' ? 'more' : 'in';
  };
  const WORDS = {
    next: 'comes next',
    open: 'not driven',
    in: 'driven',
    more: 'drive more',
    look: COMMON.lookAgain
  };
  /** a number has room beside its mark */
  const numbered = $derived(pitchPx >= 18 || holes.length <= 40);
  /** along its side, where its face stands */
  const lineOf = ({ side, insetIn }: Upstand) => {
    const { x: left, y: top, width, height } = metal;
    if (side === 'left') return { x1: x(insetIn), x2: x(insetIn), y1: top, y2: top + height };
    if (side === 'right')
      return { x1: x(widthIn - insetIn), x2: x(widthIn - insetIn), y1: top, y2: top + height };
    const at = side === 'top' ? top + 6 : top + height - 6;
    return { x1: left, x2: left + width, y1: at, y2: at };
  };
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="map"
  bind:clientWidth={roomPx}
  role="region"
  aria-label="Rivets in driving order: arrow keys scroll"
  tabindex="0"
>
  <MapSheet
    {scene}
    label="Rivets in driving order"
    testId="drive-map"
    {heldOpen}
    {widthIn}
    datum="datum edge"
    onopen={onpick}
  >
    {#each upstands as upstand (upstand.id)}
      <line class="upstand {upstand.on}" {...lineOf(upstand)} />
    {/each}
    {#if way !== ''}<path class="way" d={way} data-testid="way" />{/if}
    {#each holes as hole (hole.number)}
      {@const kind = stateOf(hole.number)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <g
        class="hole {kind}"
        transform="translate({x(hole.xIn)} {y(hole)})"
        role="button"
        tabindex="-1"
        aria-label="rivet {hole.number}, {WORDS[kind]}, place {place.get(hole.number) ?? '–'}"
        data-hole={hole.number}
        data-state={kind}
        onclick={() => onpick(hole.number)}
      >
        <rect
          class="target"
          x={-Math.max(11, Math.abs(pitchPx) / 2)}
          y="-22"
          width={Math.max(22, Math.abs(pitchPx))}
          height="44"
        />
        {#if reached !== null}<circle
            class="reach"
            class:not={!reached.has(hole.number)}
            r={radius + 5}
          />{/if}
        <circle class="mark" r={radius} />
        {#if kind === 'in'}<path class="sign" d="M-3.5 0L-1 3L4 -3.5" />
        {:else if kind === 'more'}<path class="sign" d="M0 -4V4M-4 0H4" />
        {:else if kind === 'look'}<path class="sign" d="M0 -5V1.5M0 4.5V5" />{/if}
        {#if holders.has(hole.number)}<rect
            class="holder"
            x={-radius - 4}
            y={-radius - 4}
            width={2 * radius + 8}
            height={2 * radius + 8}
            rx="2"
            data-holder={hole.number}
          />{/if}
        {#if touched.has(hole.number)}<path
            class="touch"
            d="M{-radius - 3} {-radius - 3}L{radius + 3} {radius + 3}"
          />{/if}
        {#if crowded.has(hole.number)}<path
            class="crowded"
            d="M{-radius - 4} {radius + 4}L{radius + 4} {-radius - 4}"
            data-crowded={hole.number}
          />{/if}
        {#if hole.number === here}<circle class="ring" r={radius + 8} />{/if}
        {#if hole.number === here || numbered}
          <text class:chosen={hole.number === here} y={-radius - 9} text-anchor="middle"
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
  .upstand {
    stroke: var(--metal-edge);
    stroke-width: 5;
  }
  .upstand.shop {
    stroke-dasharray: 10 5;
  }
  .way {
    fill: none;
    stroke: var(--dye);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
  .hole {
    cursor: pointer;
  }
  .hole:focus {
    outline: none;
  }
  .target {
    fill: transparent;
  }
  .mark {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .in .mark {
    fill: var(--olive-fill);
    stroke: var(--olive-fill);
  }
  .more .mark {
    fill: var(--amber-soft);
    stroke: var(--amber);
  }
  .look .mark {
    fill: var(--brick-soft);
    stroke: var(--brick);
  }
  .sign {
    fill: none;
    stroke: var(--on-olive);
    stroke-width: 2;
  }
  .more .sign {
    stroke: var(--amber);
  }
  .look .sign {
    stroke: var(--brick);
  }
  .next .mark {
    fill: var(--dye);
    stroke: var(--dye);
  }
  .ring {
    fill: none;
    stroke: var(--dye);
    stroke-width: 3;
  }
  .holder {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .reach {
    fill: none;
    stroke: var(--olive-deep);
    stroke-width: 2;
  }
  .reach.not {
    stroke: var(--brick);
    stroke-dasharray: 2 4;
  }
  .touch,
  .crowded {
    stroke: var(--brick);
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
