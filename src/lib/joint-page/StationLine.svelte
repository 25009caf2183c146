<script lang="ts">
  import { BENCH } from '$lib/words/pages/bench';
  import { nextOf, type Standing } from '$lib/stations/standings';
  import { STATIONS, type StationKey } from '$lib/stations/stations.ts';

  /** The stations as a steel rule, each with where it stands. */
  interface Props {
    jointId: string;
    current: StationKey;
    status: Record<StationKey, Standing>;
    /** the current one rests on nothing of the joint as it is now */
    alone: boolean;
  }
  let { jointId, current, status, alone }: Props = $props();
  let line = $state<HTMLElement>();
  // on a phone the line is wider than the screen
  $effect(() => {
    line
      ?.querySelector(`[href$="/${current}"]`)
      ?.scrollIntoView({ inline: 'center', block: 'nearest' });
  });
  const next = $derived(nextOf(status, current, alone));
  const MARKS = {
    done: { sign: '✓', says: 'reviewed, no blocking issue:' },
    unseen: { sign: '○', says: 'changed since last review:' },
    stop: { sign: '✕', says: 'blocked here:' },
    waits: { sign: '△', says: '' }
  };
</script>

<div class="line">
  <nav class="stations" bind:this={line} aria-label={BENCH.stations}>
    {#each STATIONS as station, index (station.key)}
      {@const own = status[station.key]}
      <a
        href="/joints/{jointId}/{station.key}"
        data-testid="stage-{station.key}"
        aria-current={station.key === current ? 'step' : undefined}
        class:later={typeof station.page !== 'function'}
        data-hint="{station.asks} {own.mark ? `${MARKS[own.mark].says} ` : ''}{own.text}{own.more
          ? `, ${own.more}`
          : ''}"
      >
        <span class="name">
          {#if own.mark}<span class="mark {own.mark}" aria-hidden="true"
              >{MARKS[own.mark].sign}</span
            ><span class="sr-only">{MARKS[own.mark].says}</span>{/if}
          {index + 1}
          {station.name}
        </span>
        <span class="status" class:stop={own.mark === 'stop'}
          >{own.text}{#if own.more}<span class="sr-only">, {own.more}</span>{/if}</span
        >
      </a>
    {/each}
  </nav>
  {#if next}
    <a class="act main next" href="/joints/{jointId}/{next.key}" data-testid="next"
      >{next.text} <span aria-hidden="true">▸</span></a
    >
  {/if}
</div>

<style>
  .line {
    display: flex;
    align-items: center;
    border-bottom: 1.5px solid var(--metal-edge);
    background: linear-gradient(var(--metal-light), var(--metal));
  }
  .next {
    flex: none;
    margin: 0 10px;
    white-space: nowrap;
  }
  .stations {
    display: grid;
    flex: 1;
    min-width: 0;
    grid-template-columns: repeat(7, minmax(0, 1fr));
  }
  .stations a {
    position: relative;
    display: flex;
    flex-direction: column;
    justify-content: center;
    min-height: 54px;
    padding: 2px 10px 8px 14px;
    border-left: 1.5px solid var(--metal-edge);
    color: var(--ink);
    text-decoration: none;
    overflow: hidden;
  }
  .stations a:first-child {
    border-left: 0;
  }
  /* the fine divisions of the rule */
  .stations a::after {
    content: '';
    position: absolute;
    inset: auto 0 0 0;
    height: 7px;
    background: repeating-linear-gradient(
        to right,
        transparent 0 11.3px,
        var(--metal-edge) 11.3px 12.3px
      )
      0 0 / 100% 100%;
    opacity: 0.55;
  }
  .stations a[aria-current] {
    background: var(--paper);
  }
  .stations a[aria-current] .name {
    text-decoration: underline 3px var(--olive);
    text-underline-offset: 4px;
  }
  .later .name {
    color: var(--ink-soft);
  }
  .name {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.08rem;
    white-space: nowrap;
  }
  .mark.stop,
  .status.stop {
    color: var(--brick);
    font-weight: 600;
  }
  .mark.waits {
    color: var(--amber);
  }
  .status {
    font-size: var(--small);
    color: var(--ink-soft);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @media (max-width: 700px) {
    .next {
      margin: 0 6px;
    }
    .stations {
      grid-template-columns: repeat(7, minmax(124px, 1fr));
      overflow-x: auto;
    }
  }
</style>
