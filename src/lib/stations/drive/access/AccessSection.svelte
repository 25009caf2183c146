<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { touches, toSideIn, toUpstandIn, type Outline } from '$core/driving/reach.ts';
  import type { Upstand } from '$core/driving/access.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { dragged } from '$lib/drawing/gestures/dragged';

  /** The sheets across the row nearest to an obstruction, to scale: manufactured heads up, shop heads down, both sides. */
  interface Props {
    outline: Outline;
    holes: readonly { number: number; xIn: number; yIn: number; dash: Dash }[];
    gripIn: number;
    /** as far as it has a place and a height */
    upstand: (Omit<Upstand, 'heightIn'> & { heightIn: number | null }) | null;
    /** of the smallest set or bar that suits, on the obstruction's side; null: the shop has none */
    toolRadiusIn: number | null;
    onheight: (heightIn: number) => void;
    stepIn: number;
    headRoomIn: number | null;
    shopRoomIn: number | null;
  }
  let {
    outline,
    holes,
    gripIn,
    upstand,
    toolRadiusIn,
    onheight,
    stepIn,
    headRoomIn,
    shopRoomIn
  }: Props = $props();
  const preferences = usePreferences();
  let roomPx = $state(400);
  const HIGH_PX = 230;
  const UNSAID_IN = 1;
  const AROUND_IN = 0.6;
  /** the hole that stands nearest to its face */
  const nearest = $derived.by(() => {
    const beside = upstand;
    return beside === null
      ? holes[0]
      : [...holes].sort(
          (a, b) =>
            toUpstandIn(a, outline, { ...beside, heightIn: 1 }) -
            toUpstandIn(b, outline, { ...beside, heightIn: 1 })
        )[0];
  });
  const holeAtIn = $derived(
    nearest && upstand ? toSideIn(nearest, outline, upstand.side) : AROUND_IN
  );
  const fromIn = $derived(Math.min(0, upstand?.insetIn ?? 0, holeAtIn) - AROUND_IN / 2);
  const toIn = $derived(Math.max(upstand?.insetIn ?? 0, holeAtIn) + AROUND_IN);
  const tallIn = $derived(
    Math.max(
      upstand?.heightIn ?? UNSAID_IN,
      Math.min(3, headRoomIn ?? 0),
      Math.min(3, shopRoomIn ?? 0),
      0.8
    )
  );
  const pxPerIn = $derived(
    Math.min((roomPx - 20) / (toIn - fromIn), (HIGH_PX / 2 - 24) / tallIn, 160)
  );
  const left = $derived((roomPx - (toIn - fromIn) * pxPerIn) / 2);
  const x = $derived((alongIn: number) => left + (alongIn - fromIn) * pxPerIn);
  const middle = HIGH_PX / 2;
  const sheetPx = $derived(Math.max(4, gripIn * pxPerIn));
  /** y of the sheets' face on a side, and which way is away from it */
  const faceOf = (on: 'head' | 'shop') =>
    on === 'head' ? { y: middle - sheetPx / 2, way: -1 } : { y: middle + sheetPx / 2, way: 1 };
  const rooms = $derived([
    { on: 'head' as const, roomIn: headRoomIn },
    { on: 'shop' as const, roomIn: shopRoomIn }
  ]);
  const rivetPx = $derived(((nearest?.dash ?? 4) / 32) * pxPerIn);
  const hits = $derived(
    upstand !== null &&
      nearest !== undefined &&
      toolRadiusIn !== null &&
      touches(nearest, [], outline, [{ ...upstand, heightIn: 1 }], {
        head: 'countersunk',
        setRadiusIn: upstand.on === 'head' ? toolRadiusIn : null,
        barRadiusIn: upstand.on === 'shop' ? toolRadiusIn : null
      }).length > 0
  );
</script>

<figure bind:clientWidth={roomPx}>
  <svg width={roomPx} height={HIGH_PX} role="group" aria-label={DRIVE.accessSection}>
    <text class="draw-note" x="4" y="16">{DRIVE.withTheGun}: manufactured heads</text>
    <text class="draw-note" x="4" y={HIGH_PX - 6}>{DRIVE.withTheBar}: shop heads</text>
    {#each rooms as { on, roomIn } (on)}
      {#if roomIn !== null}
        {@const { y, way } = faceOf(on)}
        {@const at = y + way * Math.min(roomIn * pxPerIn, middle - 26)}
        <path class="ceiling" d="M{x(fromIn)} {at}H{x(toIn)}" />
        <text class="draw-note end" x={x(toIn) - 4} y={way < 0 ? at + 16 : at - 6}
          >{preferences.inWords(roomIn)}</text
        >
      {/if}
    {/each}
    <rect
      class="sheet"
      x={x(upstand ? Math.max(0, fromIn) : fromIn)}
      y={middle - sheetPx / 2}
      width={(toIn - (upstand ? Math.max(0, fromIn) : fromIn)) * pxPerIn}
      height={sheetPx}
    />
    {#if nearest}
      {@const at = x(holeAtIn)}
      {@const head = Math.max(3, 0.4 * rivetPx)}
      {#if upstand && toolRadiusIn !== null}
        {@const { y, way } = faceOf(upstand.on)}
        {@const high = Math.min(70, middle - 40)}
        <rect
          class="tool"
          class:hits
          x={at - toolRadiusIn * pxPerIn}
          y={way < 0 ? y - head - high : y + head}
          width={2 * toolRadiusIn * pxPerIn}
          height={high}
        />
      {/if}
      <rect
        class="rivet"
        x={at - rivetPx / 2}
        y={middle - sheetPx / 2}
        width={rivetPx}
        height={sheetPx}
      />
      {#each ['head', 'shop'] as const as on (on)}
        {@const { y, way } = faceOf(on)}
        <rect
          class="rivet"
          x={at - 0.8 * rivetPx}
          y={way < 0 ? y - head : y}
          width={1.6 * rivetPx}
          height={head}
        />
      {/each}
    {/if}
    {#if upstand}
      {@const { y, way } = faceOf(upstand.on)}
      {@const tall = (upstand.heightIn ?? UNSAID_IN) * pxPerIn}
      {@const face = x(upstand.insetIn)}
      <rect
        class="leg"
        class:waits={upstand.heightIn === null}
        x={face - 8}
        y={way < 0 ? y - tall : y}
        width="8"
        height={tall}
      />
      <g
        class="handle"
        data-drag
        data-testid="obstruction-height"
        role="slider"
        tabindex="0"
        aria-orientation="vertical"
        aria-label={DRIVE.obstructionHeight}
        aria-valuenow={upstand.heightIn ?? 0}
        aria-valuetext={upstand.heightIn === null
          ? DRIVE.notPlacedYet
          : preferences.inWords(upstand.heightIn)}
        onkeydown={(event) => {
          const by = { ArrowUp: -way, ArrowDown: way }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onheight((upstand.heightIn ?? 0) + by * stepIn);
        }}
        {@attach dragged(
          () => ({ heightIn: upstand.heightIn ?? UNSAID_IN, pxPerIn, way }),
          (from, { dyPx }) => onheight(from.heightIn + (from.way * dyPx) / from.pxPerIn)
        )}
      >
        <circle class="grab" cx={face - 4} cy={y + way * tall} r="22" />
        <circle class="knob" cx={face - 4} cy={y + way * tall} r="8" />
      </g>
      <text class="draw-note" x={face + 16} y={y + way * tall + 5}
        >{upstand.heightIn === null ? '?' : preferences.inWords(upstand.heightIn)}</text
      >
    {/if}
  </svg>
  <figcaption class="hint">
    {#if upstand && nearest}Section at hole {nearest.number}.
      {hits
        ? '✕ The smallest tool hits the obstruction here.'
        : ''}{:else}{DRIVE.sectionNothing}{/if}
  </figcaption>
</figure>

<style>
  figure {
    min-width: 0;
  }
  svg {
    display: block;
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  .sheet {
    fill: var(--metal);
    stroke: var(--metal-edge);
  }
  .rivet {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .tool {
    fill: color-mix(in srgb, var(--olive) 16%, transparent);
    stroke: var(--olive-deep);
    stroke-dasharray: 5 4;
  }
  .tool.hits {
    fill: color-mix(in srgb, var(--brick) 16%, transparent);
    stroke: var(--brick);
  }
  .leg {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .leg.waits {
    fill: none;
    stroke-dasharray: 5 4;
  }
  .ceiling {
    stroke: var(--metal-edge);
    stroke-width: 3;
  }
  .end {
    text-anchor: end;
  }
  .handle {
    cursor: ns-resize;
    touch-action: none;
  }
  .grab {
    fill: transparent;
  }
  .knob {
    fill: var(--panel);
    stroke: var(--dye);
    stroke-width: 2.5;
  }
</style>
