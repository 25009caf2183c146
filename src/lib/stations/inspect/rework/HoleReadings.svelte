<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import type { HoleReading } from '$core/reworking/hole-readings.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import VoidIt from '../VoidIt.svelte';
  import { SEEN_IN_HOLE } from '$lib/words/rework';

  /** Every measuring of an empty hole; the worst counts until somebody voids it with the reason. */
  interface Props {
    rework: ReworkDesk;
    hole: number;
    readings: readonly HoleReading[];
  }
  let { rework, hole, readings }: Props = $props();
  const preferences = usePreferences();
  const said = ({ widestIn, tooDeepIn, seen }: HoleReading): string =>
    [
      preferences.inWords(widestIn, 'fine'),
      ...(tooDeepIn === null
        ? []
        : [`countersink ${preferences.inWords(tooDeepIn, 'fine')} too deep`]),
      ...seen.map((one) => SEEN_IN_HOLE[one])
    ].join(', ');
</script>

<section class="readings" aria-label="Readings of hole {hole}" data-testid="hole-readings">
  <h3 class="label">Readings: the worst counts</h3>
  <ul>
    {#each readings as reading (reading.id)}
      <li>
        <span class:voided={reading.voided !== null}>{said(reading)}</span>
        <span class="hint"
          >by {reading.by}{reading.voided === null
            ? ''
            : `; voided by ${reading.voided.by}: ${reading.voided.why}`}</span
        >
        {#if reading.voided === null}
          <VoidIt
            name="void"
            act={CHECK.voidThisReading}
            onvoid={(why) => rework.add({ kind: 'voided', hole, reading: reading.id, why })}
          />
        {/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 10px;
    padding: 2px 0;
    font-variant-numeric: tabular-nums;
  }
  .voided {
    text-decoration: line-through;
  }
</style>
