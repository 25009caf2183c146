<script lang="ts" generics="Row extends import('@tanstack/svelte-table').RowData">
  import { COMMON } from '$lib/words/pages/common';
  import {
    columnFilteringFeature,
    createFilteredRowModel,
    createSortedRowModel,
    createTable,
    filterFn_includesString,
    globalFilteringFeature,
    rowSortingFeature,
    sortFn_alphanumeric,
    tableFeatures
  } from '@tanstack/svelte-table';
  import type { TableColumn } from './table-column.ts';

  /** A table that people sort by its heads and search; a row may be picked. */
  interface Props {
    label: string;
    rows: readonly Row[];
    columns: readonly TableColumn<Row>[];
    keyOf: (row: Row) => string;
    onpick?: (row: Row) => void;
    /** said where there are no rows, or none that is searched for */
    empty: string;
  }
  let { label, rows, columns, keyOf, onpick, empty }: Props = $props();
  /** fewer are seen at a glance */
  const WORTH_SEARCHING = 6;
  let searched = $state('');

  const features = tableFeatures({
    columnFilteringFeature,
    globalFilteringFeature,
    rowSortingFeature,
    filteredRowModel: createFilteredRowModel(),
    sortedRowModel: createSortedRowModel(),
    filterFns: { includesString: filterFn_includesString },
    sortFns: { alphanumeric: sortFn_alphanumeric }
  });
  const table = createTable({
    features,
    get data() {
      return [...rows];
    },
    get columns() {
      return columns.map((column) => ({
        id: column.key,
        header: column.title,
        accessorFn: column.of,
        sortFn: 'alphanumeric' as const,
        filterFn: 'includesString' as const,
        enableGlobalFilter: true
      }));
    },
    globalFilterFn: 'includesString',
    state: {
      get globalFilter() {
        return searched;
      }
    }
  });
  const columnOf = (key: string) => columns.find((column) => column.key === key);
  const SORTED = { asc: 'ascending', desc: 'descending' } as const;
  const SIGNS = { asc: ' ▴', desc: ' ▾' } as const;
</script>

{#if rows.length >= WORTH_SEARCHING}
  <input
    class="field-box"
    type="search"
    placeholder={COMMON.find}
    aria-label="Find in {label}"
    maxlength="60"
    bind:value={searched}
  />
{/if}
<div class="scrolls-across">
  <table class="figures" aria-label={label}>
    <thead>
      {#each table.getHeaderGroups() as group (group.id)}
        <tr>
          {#each group.headers as header (header.id)}
            {@const sorted = header.column.getIsSorted()}
            <th
              class:words={columnOf(header.column.id)?.words}
              aria-sort={sorted ? SORTED[sorted] : 'none'}
            >
              <button type="button" onclick={() => header.column.toggleSorting()}
                >{columnOf(header.column.id)?.title}{sorted ? SIGNS[sorted] : ''}</button
              >
            </th>
          {/each}
        </tr>
      {/each}
    </thead>
    <tbody>
      {#each table.getRowModel().rows as row (keyOf(row.original))}
        <tr class:picks={onpick} data-row={keyOf(row.original)}>
          {#each columns as column, index (column.key)}
            <td
              data-name={column.title}
              class:words={column.words}
              class:short={column.bad?.(row.original)}
            >
              {#if index === 0 && onpick}
                <button class="pick" type="button" onclick={() => onpick(row.original)}
                  >{column.of(row.original)}</button
                >
              {:else}{column.text?.(row.original) ?? column.of(row.original)}{/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if table.getRowModel().rows.length === 0}<p class="hint">
    {rows.length === 0 ? empty : `No match for “${searched}”.`}
  </p>{/if}

<style>
  th button {
    min-height: 44px;
    color: inherit;
    font-weight: 600;
    cursor: pointer;
  }
  .picks {
    position: relative;
    cursor: pointer;
  }
  .picks:hover {
    background: var(--olive-soft);
  }
  .picks td {
    height: 48px;
  }
  .pick {
    font-weight: 700;
    text-align: left;
    cursor: pointer;
  }
  /* on a phone a row is a card: nothing of it lies beyond the screen */
  @media (max-width: 600px) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      padding-block: 6px;
      border-bottom: 1px solid var(--line);
    }
    tr td {
      height: auto;
      padding: 2px 6px;
      border: 0;
      text-align: left;
      white-space: normal;
    }
    td:first-child {
      grid-column: 1 / -1;
      font-weight: 700;
    }
    td:not(:first-child)::before {
      content: attr(data-name);
      display: block;
      color: var(--ink-soft);
      font-size: var(--small);
    }
  }
  /* the whole row is the target */
  .pick::after {
    content: '';
    position: absolute;
    inset: 0;
  }
</style>
