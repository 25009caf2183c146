<script lang="ts">
  import { weekInWords } from '$lib/words/when';
  import { scaleBand, scaleLinear } from 'd3';
  import type { TrendWeek } from '$lib/api/found-rivet.ts';
  import { RECORDS } from '$lib/words/pages/records';
  import Axis from './Axis.svelte';

  /** How often something was found, week by week; weeks in which nobody looked stay empty. */
  interface Props {
    title: string;
    weeks: readonly TrendWeek[];
    /** every week of the chart, by its Monday: groups beside each other share them */
    all: readonly string[];
    /** the largest share of any group: they share their scale */
    mostShare: number;
    /** where its rivets are listed; null where they cannot be */
    list: string | null;
  }
  let { title, weeks, all, mostShare, list }: Props = $props();
  const HIGH = 200;
  const [LEFT, RIGHT, TOP, BOTTOM] = [52, 12, 34, 26];
  let widthPx = $state(520);
  const x = $derived(scaleBand([...all], [LEFT, widthPx - RIGHT]).padding(0.25));
  const y = $derived(scaleLinear([0, Math.max(0.05, mostShare)], [HIGH - BOTTOM, TOP]).nice(4));
  const looked = $derived(weeks.reduce((sum, week) => sum + week.looked, 0));
  const found = $derived(weeks.reduce((sum, week) => sum + week.found, 0));
  /** fewer heads than this say nothing about a trend */
  const FEW = 30;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const EVERY = 5;
</script>

<figure bind:clientWidth={widthPx}>
  <svg width={widthPx} height={HIGH} role="img" aria-label="{title}: {found} of {looked} heads">
    <text class="draw-title" x="4" y="18">{title}</text>
    <Axis
      side="left"
      scale={y}
      at={LEFT}
      ticks={3}
      say={percent}
      gridPx={Math.max(0, widthPx - LEFT - RIGHT)}
    />
    {#each weeks as { week, looked: of, found: hits } (week)}
      {@const at = x(week) ?? LEFT}
      <g data-hint="week of {weekInWords(week)}: {hits} of {of} heads">
        <rect class="reach" x={at} y={TOP} width={x.bandwidth()} height={HIGH - BOTTOM - TOP} />
        {#if hits > 0}
          <rect
            class="bar"
            x={at}
            y={y(hits / of)}
            width={x.bandwidth()}
            height={HIGH - BOTTOM - y(hits / of)}
          />
        {:else}
          <path class="none" d="M{at} {HIGH - BOTTOM - 1} h{x.bandwidth()}" />
        {/if}
      </g>
    {/each}
    {#each all as week, index (week)}
      {#if index % EVERY === 0}
        <text
          class="draw-note"
          text-anchor="middle"
          x={(x(week) ?? 0) + x.bandwidth() / 2}
          y={HIGH - BOTTOM + 16}>{weekInWords(week)}</text
        >
      {/if}
    {/each}
  </svg>
  <figcaption class="hint">
    {found} of {looked} heads{looked < FEW ? ': too few for a trend' : ''}
    {#if list !== null && found > 0}<a class="act small" href={list}>{RECORDS.listRivets}</a>{/if}
  </figcaption>
</figure>

<style>
  figure {
    min-width: 0;
    margin: 0;
  }
  figcaption {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    min-height: 44px;
    padding-left: 4px;
  }
  .bar {
    fill: var(--amber-line);
  }
  .none {
    stroke: var(--olive);
    stroke-width: 2.5;
  }
  .reach {
    fill: transparent;
  }
</style>
