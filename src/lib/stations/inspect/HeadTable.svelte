<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { isMeasured } from '$core/inspect/hole-events.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { DriveDesk } from '../drive/drive-desk.svelte';
  import type { InspectDesk } from './inspect-desk.svelte';
  import SortedTable from '../../ui/kit/SortedTable.svelte';
  import { isBad } from '$core/inspect/findings.ts';
  import { FINDING_NAMES } from '$lib/words/heads';
  import { lookSaid } from '$lib/words/looks';

  /** Every look at every head, to be sorted and searched. */
  interface Props {
    desk: InspectDesk;
    drive: DriveDesk | null;
    onpick: (hole: number) => void;
  }
  let { desk, drive, onpick }: Props = $props();
  const preferences = usePreferences();
  const rows = $derived(
    desk.events.map((event) => {
      const { id, hole, frozen, by, at } = event;
      return {
        id,
        hole,
        wideIn: isMeasured(event) ? event.diameterIn : null,
        highIn: isMeasured(event) ? event.heightIn : null,
        said: lookSaid(event, frozen, desk.rework.voidedLooks),
        bad: !desk.rework.voidedLooks.has(id) && isBad(frozen.verdict),
        findings: frozen.findings.map((finding) => FINDING_NAMES[finding]).join(', '),
        by,
        drivenBy: drive?.stateOf(hole)?.by ?? '',
        at,
        row: desk.release.holes.find(({ number }) => number === hole)?.row ?? 0
      };
    })
  );
  type Row = (typeof rows)[number];
  const length = (valueIn: number | null) =>
    valueIn === null ? '–' : preferences.inWords(valueIn);
</script>

<div class="table" data-testid="head-table">
  <SortedTable
    label="Inspections"
    {rows}
    keyOf={(row: Row) => row.id}
    onpick={(row: Row) => onpick(row.hole)}
    empty="No inspections yet."
    columns={[
      { key: 'hole', title: 'Hole', of: (row: Row) => row.hole },
      { key: 'row', title: 'Row', of: (row: Row) => row.row },
      {
        key: 'wide',
        title: COMMON.diameter,
        of: (row: Row) => row.wideIn ?? -1,
        text: (row: Row) => length(row.wideIn)
      },
      {
        key: 'high',
        title: COMMON.height,
        of: (row: Row) => row.highIn ?? -1,
        text: (row: Row) => length(row.highIn)
      },
      {
        key: 'verdict',
        title: 'Result',
        of: (row: Row) => row.said,
        bad: (row: Row) => row.bad,
        words: true
      },
      { key: 'findings', title: COMMON.found, of: (row: Row) => row.findings, words: true },
      { key: 'by', title: 'Inspected by', of: (row: Row) => row.by, words: true },
      { key: 'driven', title: 'Driven by', of: (row: Row) => row.drivenBy, words: true },
      {
        key: 'at',
        title: 'When',
        of: (row: Row) => row.at,
        text: (row: Row) =>
          new Date(row.at).toLocaleString([], { dateStyle: 'short', timeStyle: 'short' }),
        words: true
      }
    ]}
  />
</div>

<style>
  .table {
    min-height: 0;
    overflow: auto;
  }
</style>
