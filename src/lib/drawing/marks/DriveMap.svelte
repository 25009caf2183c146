<script lang="ts">
  import type { HoleDriven } from '$core/driving/drive-events.ts';
  import type { Upstand } from '$core/driving/access.ts';
  import { driveGlyph, type DriveKind } from './drive-glyphs';
  import { holeMapScene, type MapOf } from './hole-map-scene';
  import type { MapMark, NumberPlace } from './map-mark';
  import MarkMap from './MarkMap.svelte';

  /** Rivets of an issue as they are driven: which are in, which comes next, the way from one to the next. */
  interface Props extends MapOf {
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
  const { x, y, pitchPx, metal } = $derived(scene);
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
  const stateOf = (number: number): DriveKind => {
    const hole = states.get(number);
    if (number === here) return 'next';
    if (!hole?.driven) return 'open';
    return hole.quick === 'again' || hole.expired ? 'look' : hole.quick === 'more' ? 'more' : 'in';
  };
  const WORDS: Record<DriveKind, string> = {
    next: 'comes next',
    open: 'not driven',
    in: 'driven',
    more: 'drive further',
    look: 'flagged'
  };
  const marks = $derived(
    holes.map((hole): MapMark => {
      const { number } = hole;
      const kind = stateOf(number);
      const about = {
        reached: reached === null ? null : reached.has(number),
        holder: holders.has(number),
        touched: touched.has(number),
        crowded: crowded.has(number)
      };
      return {
        number,
        x: x(hole.xIn),
        y: y(hole),
        glyph: driveGlyph(kind, scene.radius, about),
        label: `rivet ${number}, ${WORDS[kind]}, place ${place.get(number) ?? '–'}`,
        data: { 'data-state': kind, ...(about.holder ? { 'data-holder': number } : {}) }
      };
    })
  );
  /** a number has room beside its mark */
  const numbers = $derived(
    new Map(
      pitchPx >= 18 || holes.length <= 40
        ? holes.map(({ number }): [number, NumberPlace] => [number, 'above'])
        : []
    )
  );
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

<MarkMap
  {scene}
  {marks}
  {numbers}
  picked={here}
  label="Rivets in driving order"
  testId="drive-map"
  {heldOpen}
  {widthIn}
  datum="datum edge"
  {onpick}
  onopen={onpick}
  bind:roomPx
>
  {#each upstands as upstand (upstand.id)}
    <line class="upstand {upstand.on}" {...lineOf(upstand)} />
  {/each}
  {#if way !== ''}<path class="way" d={way} data-testid="way" />{/if}
</MarkMap>

<style>
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
</style>
