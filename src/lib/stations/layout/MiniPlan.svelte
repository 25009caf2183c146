<script lang="ts">
  import type { LaidLine, PlannedHole } from '$core/plan/holes.ts';

  /** Where on the joint the mark is that is read out: all holes small, its row and itself standing out. */
  interface Props {
    lines: readonly LaidLine[];
    holes: readonly PlannedHole[];
    /** the hole that is read out */
    at: number;
    /** its line */
    line: string;
  }
  let { lines, holes, at, line }: Props = $props();
  const HIGH_PX = 84;
  const PAD_PX = 12;
  const MOST_DOTS = 2000;
  let widthPx = $state(600);
  const of = (values: readonly number[]) => ({
    low: Math.min(...values),
    high: Math.max(...values)
  });
  const across = $derived(of(holes.map(({ xIn }) => xIn)));
  const down = $derived(of(holes.map(({ yIn }) => yIn)));
  const scale = $derived(
    Math.min(
      (widthPx - 2 * PAD_PX) / Math.max(0.1, across.high - across.low),
      (HIGH_PX - 2 * PAD_PX) / Math.max(0.1, down.high - down.low)
    )
  );
  /** a long joint is drawn deeper than it is: its rows must be told apart */
  const deeper = $derived(
    Math.max(1, Math.min(40 / (scale * Math.max(0.1, down.high - down.low)), 8))
  );
  const x = $derived(
    (inches: number) =>
      (widthPx - (across.high - across.low) * scale) / 2 + (inches - across.low) * scale
  );
  const y = $derived(
    (inches: number) =>
      (HIGH_PX - (down.high - down.low) * scale * deeper) / 2 + (inches - down.low) * scale * deeper
  );
  const dots = (of: readonly PlannedHole[]) =>
    of
      .filter((_, index) => index % Math.ceil(of.length / MOST_DOTS) === 0)
      .map(({ xIn, yIn }) => `M${x(xIn)} ${y(yIn)}h.01`)
      .join('');
  const own = $derived(new Set(lines.find(({ key }) => key === line)?.holes ?? []));
  const here = $derived(holes.find(({ number }) => number === at));
</script>

<div class="mini" bind:clientWidth={widthPx}>
  <svg
    width={widthPx}
    height={HIGH_PX}
    role="img"
    aria-label="Where hole {at} lies among the others"
    data-testid="mini-plan"
  >
    <path class="others" d={dots(holes.filter(({ number }) => !own.has(number)))} />
    <path class="own" d={dots(holes.filter(({ number }) => own.has(number)))} />
    {#if here}
      <circle cx={x(here.xIn)} cy={y(here.yIn)} r="8" data-at={here.number} />
    {/if}
  </svg>
</div>

<style>
  .mini {
    background: var(--bench);
  }
  path {
    stroke-width: 5;
    stroke-linecap: round;
  }
  .others {
    stroke: var(--line-strong);
  }
  .own {
    stroke: var(--ink);
  }
  circle {
    fill: none;
    stroke: var(--dye);
    stroke-width: 3.5;
  }
</style>
