<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { DRIVE } from '$lib/words/pages/drive';
  import { SIDES, type Side } from '$core/driving/access.ts';
  import type { DrivingWay } from '$core/driving/driving-ways.ts';
  import type { Outline } from '$core/driving/reach.ts';
  import { dragged } from '$lib/drawing/gestures/dragged';
  import { SIDE_WORDS, WAY_LETTERS } from '$lib/words/driving';
  import type { FieldProblem } from '../../../ui/kit/field-problem.ts';
  import LengthField from '../../../ui/kit/LengthField.svelte';
  import { accessScene, insetMovedIn, insetStep } from './access-plan';
  import type { TypedAccess } from './access-fields';

  /**
   * The joint from the manufactured heads, to scale: its free edges are entered at its edges, what stands up beside the rivets is
   * dragged to its place, each hole says what reaches it.
   */
  interface Props {
    outline: Outline;
    holes: readonly { number: number; xIn: number; yIn: number }[];
    typed: TypedAccess;
    /** by hole; null where what is typed cannot be read yet */
    ways: ReadonlyMap<number, DrivingWay | null> | null;
    /** an obstruction's inset, in; null where it has none yet */
    insetIn: (id: string) => number | null;
    problem: (side: Side) => FieldProblem | undefined;
    picked: string | null;
    onpick: (id: string) => void;
    oninset: (id: string, insetIn: number) => void;
    /** one division of the ruler, in */
    stepIn: number;
  }
  let {
    outline,
    holes,
    typed = $bindable(),
    ways,
    insetIn,
    problem,
    picked,
    onpick,
    oninset,
    stepIn
  }: Props = $props();

  const preferences = usePreferences();
  let roomPx = $state(560);
  const own = $props.id();
  const scene = $derived(accessScene(outline, roomPx));
  const { metal } = $derived(scene);
  const drawn = $derived(
    holes.flatMap((hole) => {
      const x = scene.x(hole.xIn);
      return x === null ? [] : [{ ...hole, x, y: scene.y(hole.yIn) }];
    })
  );
  const radius = $derived(Math.min(9, Math.max(3, 0.09 * scene.pxPerIn)));
  const BAND_PX = 9;
  const WAIT_PX = 16;
  /** where an obstruction's face and the metal behind it stand; one without a place waits outside its side */
  const bandOf = (side: Side, faceIn: number | null) => {
    const wait = faceIn === null;
    const offPx = wait ? -WAIT_PX : faceIn * scene.pxPerIn;
    if (side === 'top' || side === 'bottom') {
      const face = side === 'top' ? metal.y + offPx : metal.y + metal.height - offPx;
      return {
        x: metal.x,
        width: metal.width,
        y: side === 'top' ? face - BAND_PX : face,
        height: BAND_PX
      };
    }
    const face = side === 'left' ? metal.x + offPx : metal.x + metal.width - offPx;
    return {
      x: side === 'left' ? face - BAND_PX : face,
      width: BAND_PX,
      y: metal.y,
      height: metal.height
    };
  };
  const edgeOf = (side: Side) => {
    const [x1, x2] = [metal.x, metal.x + metal.width];
    const [y1, y2] = [metal.y, metal.y + metal.height];
    if (side === 'top') return { x1, x2, y1, y2: y1 };
    if (side === 'bottom') return { x1, x2, y1: y2, y2 };
    return side === 'left' ? { x1, x2: x1, y1, y2 } : { x1: x2, x2, y1, y2 };
  };
  const isFree = (side: Side) => typed.edges[side].trim() !== '';
  const toField = (side: Side) => document.getElementById(`${own}-${side}`)?.focus();
  function nudge(event: KeyboardEvent, id: string, side: Side): void {
    const steps = insetStep(side, event.key);
    if (steps === null) return;
    event.preventDefault();
    oninset(id, (insetIn(id) ?? 0) + steps * stepIn);
  }
</script>

{#snippet edge(side: Side)}
  <div class="edge {side}">
    <LengthField
      testid="edge-{side}"
      anchor="{own}-{side}"
      label="{SIDE_WORDS[side]} edge"
      value={typed.edges[side]}
      oninput={(value) => (typed.edges[side] = value)}
      problem={problem(side)}
      whenEmpty={DRIVE.noYokeAccess}
    />
  </div>
{/snippet}

<div class="board access">
  {@render edge('top')}
  {@render edge('left')}
  <div class="plan" bind:clientWidth={roomPx}>
    <svg
      width={roomPx}
      height={metal.height + 2 * metal.y}
      role="group"
      aria-label={DRIVE.accessPlan}
      data-testid="access-plan"
    >
      <defs>
        <pattern id="{own}-hatch" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 7L7 0" stroke="var(--metal-edge)" stroke-width="1.4" />
        </pattern>
      </defs>
      <rect class="metal" {...metal} />
      {#if scene.broken}
        {@const middle = metal.x + metal.width / 2}
        <rect class="gap" x={middle - 10} y={metal.y - 2} width="20" height={metal.height + 4} />
        {#each [-10, 10] as off (off)}
          <path
            class="break"
            d="M{middle + off} {metal.y - 4}l-4 {metal.height / 3}l8 {metal.height /
              3}l-4 {metal.height / 3 + 8}"
          />
        {/each}
      {/if}
      {#each SIDES as side (side)}
        <!-- the field beside it is what a keyboard comes to -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g class="side" data-side={side} onclick={() => toField(side)}>
          <line class="wide" {...edgeOf(side)} />
          <line class={isFree(side) ? 'free' : 'shut'} {...edgeOf(side)} />
        </g>
      {/each}
      {#each drawn as { number, x, y } (number)}
        {@const way = ways?.get(number)}
        <g data-reach={number} data-way={ways === null ? 'unknown' : (way ?? 'none')}>
          <circle class="hole" class:none={ways !== null && !way} cx={x} cy={y} r={radius} />
          {#if ways !== null && radius >= 7}
            <text class="letter" class:none={!way} {x} y={y + 5}
              >{way ? WAY_LETTERS[way] : '✕'}</text
            >
          {/if}
        </g>
      {/each}
      {#each typed.upstands as { id, side, on }, at (id)}
        {@const face = insetIn(id)}
        {@const band = bandOf(side, face)}
        <g
          class="band {on}"
          class:waits={face === null}
          class:picked={picked === id}
          data-drag
          data-obstruction={at + 1}
          role="slider"
          tabindex="0"
          aria-label="Obstruction {at + 1} on the plan, {SIDE_WORDS[side]} side"
          aria-valuenow={face ?? 0}
          aria-valuetext={face === null ? DRIVE.notPlacedYet : preferences.inWords(face)}
          onfocus={() => onpick(id)}
          onpointerdown={() => onpick(id)}
          onkeydown={(event) => nudge(event, id, side)}
          {@attach dragged(
            () => insetIn(id) ?? -WAIT_PX / scene.pxPerIn,
            (from, by) => oninset(id, from + insetMovedIn(side, by, scene.pxPerIn))
          )}
        >
          <rect
            class="grab"
            x={band.x - 8}
            y={band.y - 8}
            width={band.width + 16}
            height={band.height + 16}
          />
          <rect {...band} fill="url(#{own}-hatch)" />
          <text
            class="name"
            x={band.width > band.height ? metal.x - 14 : band.x + band.width / 2}
            y={band.width > band.height ? band.y + band.height / 2 + 5 : metal.y - 8}>{at + 1}</text
          >
        </g>
      {/each}
    </svg>
  </div>
  {@render edge('right')}
  {@render edge('bottom')}
</div>

<style>
  .board {
    display: grid;
    grid-template-columns: minmax(0, 118px) minmax(0, 1fr) minmax(0, 118px);
    grid-template-areas: '. top .' 'left plan right' '. bottom .';
    gap: 6px 10px;
    align-items: center;
  }
  /* a drawing needs the room of the page */
  :global([data-scope='dialog'][data-part='content']:has(.access)) {
    width: min(980px, 100%);
  }
  .plan {
    grid-area: plan;
    min-width: 0;
  }
  .top {
    grid-area: top;
  }
  .bottom {
    grid-area: bottom;
  }
  .left {
    grid-area: left;
  }
  .right {
    grid-area: right;
  }
  .top,
  .bottom {
    justify-self: center;
    width: min(180px, 100%);
  }
  @media (max-width: 640px) {
    .board {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      grid-template-areas: 'top top' 'plan plan' 'left right' 'bottom bottom';
    }
  }
  svg {
    display: block;
  }
  .metal {
    fill: var(--metal-light);
  }
  .gap {
    fill: var(--panel);
  }
  .break {
    fill: none;
    stroke: var(--metal-edge);
  }
  .side {
    cursor: pointer;
  }
  .wide {
    stroke: transparent;
    stroke-width: 32;
  }
  .shut {
    stroke: var(--metal-edge);
    stroke-width: 4;
  }
  .free {
    stroke: var(--dye);
    stroke-width: 4;
    stroke-dasharray: 9 5;
  }
  .hole {
    fill: var(--panel);
    stroke: var(--ink);
  }
  .hole.none {
    fill: var(--brick-soft);
    stroke: var(--brick);
    stroke-width: 2;
  }
  .letter {
    font-size: 14px;
    font-weight: 700;
    text-anchor: middle;
    pointer-events: none;
  }
  .letter.none {
    fill: var(--brick);
  }
  .band {
    cursor: move;
    touch-action: none;
  }
  .grab {
    fill: transparent;
  }
  .band rect:not(.grab) {
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .band.shop rect:not(.grab) {
    stroke-dasharray: 7 4;
  }
  .band.picked rect:not(.grab) {
    stroke: var(--dye);
    stroke-width: 2.5;
  }
  .name {
    text-anchor: middle;
    font-size: 14px;
    font-weight: 700;
  }
</style>
