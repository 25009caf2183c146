<script lang="ts">
  import { may, type Role } from '$core/people/rights.ts';
  import { stationOf, type StationKey } from '$lib/stations/stations.ts';
  import { mayNotInWords } from '$lib/words/roles';

  /** Above a station whose log is not for whoever is here: they read it, and learn so before they type. */
  interface Props {
    role: Role | null;
    station: StationKey;
  }
  let { role, station }: Props = $props();

  const logs = $derived(stationOf(station)?.logs);
</script>

{#if role !== null && logs !== undefined && !may(role, logs)}
  <p class="may-not" role="note">{mayNotInWords(role, logs)}</p>
{/if}

<style>
  .may-not {
    padding: 6px 16px;
    border-bottom: 2px solid var(--amber-line);
    background: var(--amber-soft);
  }
</style>
