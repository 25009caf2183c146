<script lang="ts">
  import { may, type Right, type Role } from '$core/people/rights.ts';
  import type { StationKey } from '$lib/stations/stations.ts';
  import { mayNotInWords } from '$lib/words/roles';

  /** Above a station whose log is not for whoever is here: they read it, and learn so before they type. */
  interface Props {
    role: Role | null;
    station: StationKey;
  }
  let { role, station }: Props = $props();

  const LOGS: Record<StationKey, Right> = {
    carry: 'plan',
    'lay-out': 'plan',
    stack: 'plan',
    'make-ready': 'prepare',
    drive: 'drive',
    check: 'check',
    sign: 'sign'
  };
</script>

{#if role !== null && !may(role, LOGS[station])}
  <p class="may-not" role="note">{mayNotInWords(role, LOGS[station])}</p>
{/if}

<style>
  .may-not {
    padding: 6px 16px;
    border-bottom: 2px solid var(--amber-line);
    background: var(--amber-soft);
  }
</style>
