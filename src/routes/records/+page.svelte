<script lang="ts">
  import { RECORDS } from '$lib/words/pages/records';
  import { COMMON } from '$lib/words/pages/common';
  import { page } from '$app/state';
  import type { RivetSort } from '$lib/api/records-wish.ts';
  import FoundTable from '$lib/ui/records/FoundTable.svelte';
  import RecordsPage from '$lib/ui/records/RecordsPage.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const MARKS = ['after', 'before'];
  /** the same search with something else of it */
  function again(changes: Record<string, string>): string {
    const kept = [...page.url.searchParams].filter(
      ([key, value]) => value !== '' && !MARKS.includes(key) && !(key in changes)
    );
    return `/records?${new URLSearchParams([...kept, ...Object.entries(changes)]).toString()}`;
  }
  const sorted = (sort: RivetSort, way: 'up' | 'down') => again({ sort, way });
  const counted = $derived(
    data.found.count === null
      ? `${data.found.rivets.length} of more than 10,000 rivets on record`
      : `${data.found.rivets.length} of ${data.found.count.toLocaleString('en-US')} rivets on record`
  );
  const inD = $derived(data.wish.sort === 'diameter' || data.wish.sort === 'height');
  const table = $derived(again({}).replace('/records?', '/api/records.csv?'));
</script>

<svelte:head><title>Records · Zanjador</title></svelte:head>

<RecordsPage {...data}>
  <div class="over">
    <p data-testid="counted">
      {counted}{inD ? ', of those that were measured' : ''}
    </p>
    {#if data.found.rivets.length > 0}
      <a class="act" href={table} download>{COMMON.asATableCSV}</a>
    {/if}
  </div>
  {#if data.wish.lot !== undefined}
    <p class="hint">
      Rivets without a recorded lot are not listed. For a suspect lot, also search its part number
      and dates.
    </p>
  {/if}
  {#if data.found.rivets.length === 0}
    <p class="none">
      {RECORDS.noRivetOnRecordIs} <a class="back" href="/records">show all</a>. Rivets appear here
      once driven or inspected.
    </p>
  {:else}
    <FoundTable
      rivets={data.found.rivets}
      sort={data.wish.sort ?? 'at'}
      way={data.wish.way ?? 'down'}
      {sorted}
    />
  {/if}
  <nav class="pages" aria-label="Pages">
    {#if data.found.before !== null}
      <a class="act" href={again({ before: data.found.before })}>{COMMON.back}</a>
    {/if}
    {#if data.found.after !== null}
      <a class="act" href={again({ after: data.found.after })}>{RECORDS.next}</a>
    {/if}
  </nav>
</RecordsPage>

<style>
  .over,
  .pages {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 10px;
  }
  .none {
    padding: 16px;
    border: 1.5px dashed var(--line-strong);
    border-radius: 10px;
  }
</style>
