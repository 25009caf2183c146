<script lang="ts">
  import type { StationStatus } from '$lib/stations/station.ts';
  import { STATIONS, type StationKey } from '$lib/stations/stations.ts';

  /** The seven stations as a steel rule, each with where it stands. */
  interface Props {
    jointId: string;
    current: StationKey;
    status: Record<string, StationStatus>;
  }
  let { jointId, current, status }: Props = $props();
</script>

<nav class="stations" aria-label="Stations">
  {#each STATIONS as station, index (station.key)}
    {@const own = status[station.key]}
    <a
      href="/joints/{jointId}/{station.key}"
      aria-current={station.key === current ? 'step' : undefined}
      class:later={typeof station.page !== 'function'}
      data-hint={station.asks}
    >
      <span class="name">
        {#if own?.done}<span aria-hidden="true">✓</span><span class="sr-only">done:</span>{/if}
        {index + 1}
        {station.name}
      </span>
      <span class="status">{own?.text}</span>
    </a>
  {/each}
</nav>

<style>
  .stations {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    border-bottom: 1.5px solid var(--metal-edge);
    background: linear-gradient(var(--metal-light), var(--metal));
  }
  a {
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
  a:first-child {
    border-left: 0;
  }
  /* the fine divisions of the rule */
  a::after {
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
  a[aria-current] {
    background: var(--paper);
  }
  a[aria-current] .name {
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
  .status {
    font-size: 0.8rem;
    color: var(--ink-soft);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @media (max-width: 700px) {
    .stations {
      grid-template-columns: repeat(7, minmax(92px, 1fr));
      overflow-x: auto;
    }
  }
</style>
