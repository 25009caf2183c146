<script lang="ts">
  import { untrack } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { fromDatumIn, type LaidLine, type PlannedHole } from '$core/plan/holes.ts';
  import type { LengthChange } from '$core/plan/length-runs.ts';
  import { formatLength, type LengthStyle } from '$core/units/format-length.ts';
  import type { RulerScale } from '$core/units/ruler.ts';
  import { below, LOOKS_SAME_IN } from '$core/units/tolerance.ts';
  import RingMarks from './RingMarks.svelte';
  import TapeHead from './TapeHead.svelte';
  import TapeChanges from './TapeChanges.svelte';
  import { labelled } from '../label-levels';
  import { rulerTicks } from './tape';
  import { answersHints } from '$lib/ui/kit/hint.ts';

  /** The running marks of one line from the datum, on the chosen ruler. */
  interface Props {
    lines: readonly LaidLine[];
    holes: readonly PlannedHole[];
    /** where the rivet changes along its lines */
    changes: readonly LengthChange[];
    scale: RulerScale;
    datum: string;
    /** where marks may be measured from, in words */
    datums: readonly { value: string; text: string }[];
    picked: number;
    onpick: (hole: number) => void;
    onscale: (scale: RulerScale) => void;
    ondatum: (datum: string) => void;
    onread: () => void;
  }
  let {
    lines,
    holes,
    changes,
    scale,
    datum,
    datums,
    picked,
    onpick,
    onscale,
    ondatum,
    onread
  }: Props = $props();
  const preferences = usePreferences();

  const STYLE: Record<RulerScale, LengthStyle> = {
    '1/32': '1/32',
    '1/64': '1/64',
    '0.1': 'decimal',
    '0.01': 'decimal',
    '1mm': 'mm',
    '0.5mm': 'mm',
    exact: 'decimal'
  };
  /** room that one mark's label needs with two levels, px */
  const LABEL_PX = 36;
  /** of a figure at the labels' size */
  const CHARACTER_PX = 8.1;
  /** a drawing wider than this is more than a browser draws at once */
  const WIDEST_PX = 30_000;
  const SIDE = 26;
  const BEYOND_PX = 300;

  let roomPx = $state(1100);
  let strip = $state<HTMLDivElement>();
  const byNumber = $derived(new Map(holes.map((hole) => [hole.number, hole])));
  const line = $derived(
    lines.find(
      ({ holes: own }, index) => own.includes(picked) && byNumber.get(picked)?.row === index + 1
    ) ??
      lines.find(({ holes: own }) => own.includes(picked)) ??
      lines[0]
  );
  const marks = $derived(
    (line?.holes ?? []).map((number) => byNumber.get(number)).filter((hole) => hole !== undefined)
  );
  const lengthIn = $derived(line?.path.path === 'straight' ? line.path.lengthIn : 0);
  const datumIn = $derived(line?.datumIn ?? 0);
  const closestIn = $derived(
    marks.slice(1).reduce((least, mark, index) => {
      const before = marks[index];
      return before ? Math.min(least, Math.abs(markOf(mark) - markOf(before)) || Infinity) : least;
    }, Infinity)
  );
  const widthPx = $derived(
    Math.min(
      WIDEST_PX,
      Math.max(roomPx, closestIn === Infinity ? 0 : (lengthIn * LABEL_PX) / closestIn + 2 * SIDE)
    )
  );
  const pxPerIn = $derived((widthPx - 2 * SIDE) / Math.max(LOOKS_SAME_IN, lengthIn));
  /** marks of this line from the datum; a corner hole of another line is measured along this one */
  const fromDatum = $derived((atXIn: number, atYIn: number): number =>
    line ? fromDatumIn(line, atXIn, atYIn) : 0
  );
  const markOf = $derived((hole: PlannedHole) => fromDatum(hole.markXIn, hole.markYIn));
  let scrolledPx = $state(0);
  /** what is in sight and a little beyond, from the datum, in: only that is drawn */
  const seen = $derived({
    fromIn: (scrolledPx - BEYOND_PX - SIDE) / pxPerIn - datumIn,
    toIn: (scrolledPx + roomPx + BEYOND_PX - SIDE) / pxPerIn - datumIn
  });
  const ticks = $derived([
    ...rulerTicks(Math.max(0, lengthIn - datumIn), scale, pxPerIn, seen),
    ...(datumIn > 0
      ? rulerTicks(datumIn, scale, pxPerIn, { fromIn: -seen.toIn, toIn: -seen.fromIn })
          .filter((tick) => tick.atIn > 0)
          .map((tick) => ({ ...tick, atIn: -tick.atIn }))
      : [])
  ]);
  const lineChanges = $derived(
    changes
      .filter((change) => change.line === line?.name)
      .map((change) => ({ change, atIn: fromDatum(change.xIn, change.yIn) }))
  );
  const x = $derived((runningIn: number) => SIDE + (datumIn + runningIn) * pxPerIn);
  const figure = $derived((inches: number) => formatLength(Math.abs(inches), STYLE[scale]).figure);
  const bothWays = $derived(datumIn > 0 && below(datumIn, lengthIn));
  const label = $derived((inches: number) =>
    bothWays && inches < 0 ? `‹${figure(inches)}` : figure(inches)
  );
  /** which marks carry their figure, each with its height: where not all have room, the ends and every fifth or tenth */
  const levels = $derived(
    new Map(
      labelled(
        marks.map((mark) => markOf(mark) * pxPerIn),
        (index) => labelPx(marks[index]) / 2,
        2
      ).map((index, nth) => [marks[index]?.number, nth % 2])
    )
  );
  const labelPx = (mark: PlannedHole | undefined) =>
    mark ? CHARACTER_PX * label(markOf(mark)).length : 0;
  const inSight = $derived(
    marks
      .map((mark) => ({ mark, level: levels.get(mark.number), atIn: markOf(mark) }))
      .filter(({ atIn }) => atIn >= seen.fromIn && atIn <= seen.toIn)
  );
  /** Goes to the first hole that is this line's own: a corner belongs to the line before. */
  function chooseLine(key: string): void {
    const row = lines.findIndex((other) => other.key === key);
    const numbers = lines[row]?.holes ?? [];
    const hole = numbers.find((number) => byNumber.get(number)?.row === row + 1) ?? numbers[0];
    if (hole !== undefined) onpick(hole);
  }
  function sayOf({ dataset }: HTMLElement | SVGElement): string {
    const mark = marks.find(({ number }) => String(number) === dataset['mark']);
    return mark
      ? `hole ${mark.number}${mark.state === 'held-open' ? `, left open: ${mark.reason}` : ''}: exact ${preferences.exact(fromDatum(mark.xIn, mark.yIn))}, mark ${preferences.exact(markOf(mark))}, off by ${preferences.exact(mark.residualIn)}`
      : '';
  }
  const TICK_PX = [26, 18, 12, 7] as const;
  /** all of them in one path: hundreds move at each key */
  const scored = $derived(
    ticks.map(({ atIn, rank }) => `M${x(atIn)} 44v${TICK_PX[rank]}`).join('')
  );
  const figured = $derived(ticks.filter(({ text }) => text !== null));
  const stepped = $derived(line?.steppedOffErrorIn ?? null);

  // Only picking a hole scrolls the tape: asking for its place while typing would lay the page out twice.
  $effect(() => {
    const hole = picked;
    untrack(() => {
      const mark = marks.find(({ number }) => number === hole);
      if (!strip || !mark) return;
      const at = x(markOf(mark));
      if (at < strip.scrollLeft + 40 || at > strip.scrollLeft + strip.clientWidth - 40)
        strip.scrollTo({ left: at - strip.clientWidth / 2 });
    });
  });
</script>

<section class="tape" aria-label="Running marks">
  <TapeHead
    {lines}
    {line}
    {scale}
    {datum}
    {datums}
    stepped={stepped === null
      ? null
      : { errorIn: stepped, figure: figure(stepped), unit: STYLE[scale] === 'mm' ? 'mm' : 'in' }}
    online={chooseLine}
    {onscale}
    {ondatum}
    {onread}
  />
  {#if line?.path.path === 'circle'}
    <RingMarks {marks} {figure} {picked} {onpick} />
  {:else if line}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="strip"
      role="region"
      aria-label="Running marks of {line.name}: arrow keys scroll"
      tabindex="0"
      {@attach answersHints(sayOf)}
      bind:this={strip}
      bind:clientWidth={roomPx}
      onscroll={(event) => (scrolledPx = event.currentTarget.scrollLeft)}
    >
      <svg width={widthPx} height="92" role="list" aria-label="Marks of {line.name}">
        <rect class="steel" x={x(-datumIn)} y="44" width={lengthIn * pxPerIn} height="46" />
        <path class="tick" d={scored} />
        {#each figured as { atIn, text } (atIn)}
          <text class="inch" x={x(atIn) + 4} y="85">{text}</text>
        {/each}
        <TapeChanges places={lineChanges.map(({ change, atIn }) => ({ change, at: x(atIn) }))} />
        <path class="datum" d="M{x(0)} 30 V90" />
        {#each inSight as { mark, level, atIn } (mark.number)}
          {@const at = x(atIn)}
          <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
          <g
            class="mark"
            class:chosen={mark.number === picked}
            class:open={mark.state === 'held-open'}
            role="listitem"
            data-mark={mark.number}
            data-hint=""
            onclick={() => onpick(mark.number)}
          >
            <rect class="target" x={at - LABEL_PX / 2} y="0" width={LABEL_PX} height="60" />
            {#if level === 0}<path class="leader" d="M{at} 17 V38" />{/if}
            <path class="arrow" d="M{at - 5} 35 h10 L{at} 44 Z" />
            {#if level !== undefined}
              <text x={at} y={level === 0 ? 13 : 31} text-anchor="middle">{label(atIn)}</text>
            {/if}
          </g>
        {/each}
      </svg>
    </div>
  {/if}
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
  .strip {
    overflow-x: auto;
    overflow-y: hidden;
  }
  .strip:focus-visible {
    outline-offset: -3px;
  }
  .steel {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .tick {
    stroke: var(--metal-edge);
    stroke-width: 1;
  }
  .datum {
    stroke: var(--dye);
    stroke-width: 2;
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
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  .leader {
    stroke: var(--line-strong);
  }
  .arrow {
    fill: var(--ink);
  }
  .open text {
    fill: var(--amber);
  }
  .open .arrow {
    fill: var(--amber-soft);
    stroke: var(--amber);
  }
  .chosen text {
    fill: var(--dye);
    font-weight: 700;
  }
  .chosen .arrow {
    fill: var(--dye);
  }
</style>
