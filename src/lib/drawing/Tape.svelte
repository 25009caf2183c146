<script lang="ts">
  import { untrack } from 'svelte';
  import type { PlannedHole } from '$core/layout/holes.ts';
  import type { RowLayoutResult } from '$core/layout/row-layout.ts';
  import { formatLength, exactDecimal, type LengthStyle } from '$core/units/format-length.ts';
  import { RulerScale } from '$core/units/ruler.ts';
  import { same } from '$core/units/tolerance.ts';
  import { rulerTicks } from './tape';

  /** The running marks of one row from the datum edge, on the chosen ruler. */
  interface Props {
    layout: RowLayoutResult;
    holes: PlannedHole[];
    widthIn: number;
    scale: RulerScale;
    picked: number;
    onpick: (hole: number) => void;
    onscale: (scale: RulerScale) => void;
  }
  let { layout, holes, widthIn, scale, picked, onpick, onscale }: Props = $props();

  const STYLE: Record<RulerScale, LengthStyle> = {
    '1/32': '1/32',
    '1/64': '1/64',
    '0.1': 'decimal',
    '0.01': 'decimal',
    '1mm': 'mm',
    '0.5mm': 'mm',
    exact: 'decimal'
  };
  const RULERS = RulerScale.options.map((value) => ({
    value,
    text:
      value === 'exact'
        ? 'none: exact'
        : value.endsWith('mm')
          ? value.replace('mm', ' mm')
          : `${value} in`
  }));
  const choose = (value: string) => onscale(RulerScale.parse(value));
  /** room that one mark's label needs with two levels, px */
  const LABEL_PX = 33;
  const SIDE = 26;

  let roomPx = $state(1100);
  let strip = $state<HTMLDivElement>();
  const row = $derived(holes.find((hole) => hole.number === picked)?.row ?? 1);
  const marks = $derived(holes.filter((hole) => hole.row === row));
  const widthPx = $derived(Math.max(roomPx, marks.length * LABEL_PX + 2 * SIDE));
  const pxPerIn = $derived((widthPx - 2 * SIDE) / widthIn);
  const ticks = $derived(rulerTicks(widthIn, scale, pxPerIn));
  const x = $derived((inches: number) => SIDE + inches * pxPerIn);
  const figure = $derived((inches: number) => formatLength(inches, STYLE[scale]).figure);
  const TICK_PX = [26, 18, 12, 7] as const;
  const stepped = $derived(layout.steppedOffErrorIn);

  // Only picking a hole scrolls the tape: asking for its place while typing would lay the page out twice.
  $effect(() => {
    const hole = picked;
    untrack(() => {
      const mark = marks.find(({ number }) => number === hole);
      if (!strip || !mark) return;
      const at = x(mark.markIn);
      if (at < strip.scrollLeft + 40 || at > strip.scrollLeft + strip.clientWidth - 40)
        strip.scrollTo({ left: at - strip.clientWidth / 2 });
    });
  });
</script>

<section class="tape" aria-label="Running marks">
  <header>
    <h2 class="label">
      Row {row}{layout.rows.length > 1 ? ` of ${layout.rows.length}` : ''}: running marks from the
      datum edge
    </h2>
    <label class="ruler">
      <span class="hint">on the ruler</span>
      <select
        class="field-box"
        value={scale}
        onchange={(event) => choose(event.currentTarget.value)}
      >
        {#each RULERS as ruler (ruler.value)}<option value={ruler.value}>{ruler.text}</option
          >{/each}
      </select>
    </label>
    {#if layout.rows.length > 1}
      <div class="rows">
        {#each layout.rows.keys() as index (index)}
          {@const first = holes.find((hole) => hole.row === index + 1)}
          <button
            class="act small"
            type="button"
            aria-pressed={row === index + 1}
            onclick={() => first && onpick(first.number)}>Row {index + 1}</button
          >
        {/each}
      </div>
    {/if}
    <p class="stepped" class:off={!same(stepped, 0)} data-testid="stepped-off">
      {#if same(stepped, 0)}
        Stepping off would end exactly.
      {:else}
        Stepping off would end {figure(Math.abs(stepped))}
        {STYLE[scale] === 'mm' ? 'mm' : 'in'}
        {stepped > 0 ? 'long' : 'short'}.
      {/if}
    </p>
  </header>
  <div class="strip" bind:this={strip} bind:clientWidth={roomPx}>
    <svg width={widthPx} height="92" role="list" aria-label="Marks of row {row}">
      <rect class="steel" x={x(0)} y="44" width={x(widthIn) - x(0)} height="46" />
      {#each ticks as tick (tick.atIn)}
        <path class="tick" d="M{x(tick.atIn)} 44 v{TICK_PX[tick.rank]}" />
        {#if tick.text !== null}
          <text class="inch" x={x(tick.atIn) + 4} y="85">{tick.text}</text>
        {/if}
      {/each}
      {#each marks as mark, index (mark.number)}
        {@const level = index % 2}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
        <g
          class="mark"
          class:chosen={mark.number === picked}
          role="listitem"
          data-mark={mark.number}
          onclick={() => onpick(mark.number)}
        >
          <rect
            class="target"
            x={x(mark.markIn) - LABEL_PX / 2}
            y="0"
            width={LABEL_PX}
            height="60"
          />
          {#if level === 0}<path class="leader" d="M{x(mark.markIn)} 17 V38" />{/if}
          <path class="arrow" d="M{x(mark.markIn) - 5} 35 h10 L{x(mark.markIn)} 44 Z" />
          <text x={x(mark.markIn)} y={level === 0 ? 13 : 31} text-anchor="middle"
            >{figure(mark.markIn)}</text
          >
          <title
            >hole {mark.number}: exact {exactDecimal(mark.xIn)}, mark {exactDecimal(mark.markIn)},
            off by {exactDecimal(mark.residualIn)}</title
          >
        </g>
      {/each}
    </svg>
  </div>
</section>

<style>
  .tape {
    display: flex;
    flex-direction: column;
    gap: 2px;
    padding: 4px 16px 6px;
    background: var(--bench);
    border-top: 1.5px solid var(--line);
    min-width: 0;
  }
  header {
    display: flex;
    align-items: center;
    gap: 1rem;
    min-height: 34px;
  }
  .ruler {
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
  }
  .ruler select {
    width: 8.5rem;
    min-height: 40px;
    font-size: 0.95rem;
  }
  .rows {
    display: flex;
    gap: 6px;
  }
  .rows .act {
    min-height: 40px;
    white-space: nowrap;
  }
  .rows [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .stepped {
    margin-left: auto;
    white-space: nowrap;
    font-size: 0.9rem;
    color: var(--ink-soft);
  }
  .stepped.off {
    color: var(--amber);
  }
  .strip {
    overflow-x: auto;
    overflow-y: hidden;
  }
  svg {
    display: block;
  }
  .steel {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .tick {
    stroke: var(--metal-edge);
    stroke-width: 1;
  }
  .inch {
    font-size: 14px;
  }
  .mark {
    cursor: pointer;
  }
  .target {
    fill: transparent;
  }
  .mark text {
    font-size: 13.5px;
    font-variant-numeric: tabular-nums;
  }
  .leader {
    stroke: var(--line-strong);
  }
  .arrow {
    fill: var(--ink);
  }
  .chosen text {
    fill: var(--dye);
    font-weight: 700;
  }
  .chosen .arrow {
    fill: var(--dye);
  }
</style>
