<script lang="ts">
  import type { HoleDriven } from '$core/driving/drive-events.ts';
  import type { Upstand } from '$core/driving/access.ts';
  import { driveGlyph, type DriveKind } from './drive-glyphs';
  import { holeMapScene, type MapOf } from './hole-map-scene';
  import type { MapMark, NumberPlace } from './map-mark';
  import MarkMap from './MarkMap.svelte';

  /** Rivets of a release as they are driven: which are in, which comes next, the way from one to the next. */
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
  const { x, at: place, pitchPx, strips } = $derived(scene);
  const byNumber = $derived(new Map(holes.map((hole) => [hole.number, hole])));
  const turn = $derived(new Map(order.map((number, at) => [number, at + 1])));
  const from = $derived(here === null ? order.length : order.indexOf(here));
  const way = $derived(
    order
      .slice(Math.max(0, from))
      .filter((number) => number === here || !states.get(number)?.driven)
      .slice(0, ahead + 1)
      .flatMap((number) => byNumber.get(number) ?? [])
      .map((hole, at) => `${at === 0 ? 'M' : 'L'}${place(hole).x} ${place(hole).y}`)
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
        ...place(hole),
        glyph: driveGlyph(kind, scene.radius, about),
        label: `rivet ${number}, ${WORDS[kind]}, place ${turn.get(number) ?? '–'}`,
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
  /** along its side, where its face stands: at an end in the strip that ends there, along a row in every one */
  const linesOf = ({ side, insetIn }: Upstand) => {
    if (side === 'left' || side === 'right') {
      const atIn = side === 'left' ? insetIn : widthIn - insetIn;
      const metal = strips[scene.stripOf(atIn)]?.metal;
      return metal ? [{ x1: x(atIn), x2: x(atIn), y1: metal.y, y2: metal.y + metal.height }] : [];
    }
    return strips.map(({ metal }) => {
      const y = side === 'top' ? metal.y + 6 : metal.y + metal.height - 6;
      return { x1: metal.x, x2: metal.x + metal.width, y1: y, y2: y };
    });
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
  {order}
  {onpick}
  onopen={onpick}
  bind:roomPx
>
  {#each upstands as upstand (upstand.id)}
    {#each linesOf(upstand) as line, at (at)}
      <line class="upstand {upstand.on}" {...line} />
    {/each}
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
