<script lang="ts">
  import type { LayerEnd } from '$core/stack/layer-ends.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { num } from '$core/answer.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import { answersHints } from '$lib/ui/kit/hint.ts';
  import { failingHoles, holeMarks, sayHole } from './hole-marks';
  import { extentOf } from './plan-scene';
  import StoryLine from './StoryLine.svelte';
  import StoryThumbnail from './StoryThumbnail.svelte';
  import { depthLarger, stretches, stretchAt } from './story-strip';

  /** A joint much longer than deep, told in lines one below the other, under a picture of the whole. */
  interface Props {
    shown: ShownPlan;
    picked: number;
    onpick: (hole: number) => void;
    stale?: boolean;
    headroom?: boolean;
    /** holes that rework left another way than planned */
    reworked?: ReadonlySet<number>;
    /** the length of a line, in */
    lineIn: number;
    /** where metal is prepared: holders and ticks over the holes */
    ready?: { holders: ReadonlySet<number>; ticked: ReadonlySet<number> } | undefined;
    onkeepout?: (id: string, xIn: number, yIn: number) => void;
    onfixed?: (id: string, alongIn: number) => void;
    onlayerend?: (sheet: string, end: LayerEnd['end'], xIn: number) => void;
  }
  let {
    shown,
    picked,
    onpick,
    stale = false,
    headroom = false,
    reworked,
    lineIn,
    ready,
    onkeepout = () => {},
    onfixed = () => {},
    onlayerend = () => {}
  }: Props = $props();
  const preferences = usePreferences();

  /** left of a line: its rows' ends and what the ruler counts from */
  const SIDE_PX = 22;
  /** drawn before the browser says what is in sight */
  const FIRST_LINES = 3;
  let widthPx = $state(800);
  let list = $state<HTMLElement>();

  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  const extent = $derived(layout ? extentOf(layout.parts) : { xIn: 0, yIn: 0, wIn: 1, hIn: 1 });
  const lines = $derived(stretches(layout?.widthIn ?? 1, lineIn));
  const pxPerIn = $derived((widthPx - 2 * SIDE_PX) / Math.min(lineIn, layout?.widthIn ?? 1));
  const rows = $derived(new Set(layout?.lines.map(({ path }) => path.yIn.toFixed(3))).size);
  const larger = $derived(depthLarger(extent.hIn, rows, pxPerIn));
  const marks = $derived(
    holeMarks(
      shown.plan.holes,
      new Map(shown.definition.fixed.map(({ id, kind }) => [id, kind])),
      failingHoles(layout?.checks ?? []),
      headroom ? shown.plan.headroom : null,
      reworked
    )
  );
  const pickedHole = $derived(shown.plan.holes.find((hole) => hole.number === picked));
  const at = $derived(stretchAt(lines, pickedHole?.xIn ?? 0));
  const sayOf = ({ dataset }: HTMLElement | SVGElement): string =>
    sayHole(
      shown.plan.holes.find(({ number }) => String(number) === dataset['hole']),
      (inches) => preferences.exact(inches)
    );

  const goTo = (line: number): void =>
    list?.children[line]?.scrollIntoView({ block: 'nearest', behavior: 'smooth' });
  $effect(() => {
    if (list?.children[at]) list.children[at].scrollIntoView({ block: 'nearest' });
  });
</script>

<div class="story" class:stale data-testid="story">
  {#if layout}
    <StoryThumbnail
      note={larger > 1.005
        ? `below: depth drawn ${num(Number(larger.toFixed(1)))} times larger than length`
        : 'below: to scale'}
      {extent}
      {lines}
      {at}
      {marks}
      {picked}
      ongo={goTo}
    />
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="lines"
      role="region"
      aria-label="The joint in {lines.length} lines: arrow keys scroll"
      tabindex="0"
      {@attach answersHints(sayOf)}
    >
      <div bind:this={list} bind:clientWidth={widthPx}>
        {#each lines as stretch, index (stretch.fromIn)}
          <StoryLine
            {shown}
            {layout}
            {extent}
            {stretch}
            name="line {index + 1} of {lines.length}"
            first={index < FIRST_LINES}
            {pxPerIn}
            {larger}
            sidePx={SIDE_PX}
            {marks}
            {picked}
            {onpick}
            {ready}
            {onkeepout}
            {onfixed}
            {onlayerend}
            radiusPx={(rivetSize(shown.plan.dash).nominalHoleIn / 2) * pxPerIn}
          />
        {/each}
      </div>
    </div>
  {/if}
</div>

<style>
  .story {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr);
    gap: 4px;
    height: 100%;
    min-height: 0;
  }
  .lines {
    overflow-y: auto;
    overflow-x: hidden;
    min-height: 0;
  }
  .lines:focus-visible {
    outline-offset: -3px;
  }
  .stale .lines {
    opacity: 0.35;
  }
</style>
