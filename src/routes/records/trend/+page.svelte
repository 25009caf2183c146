<script lang="ts">
  import SubNav from '$lib/ui/kit/SubNav.svelte';
  import { RECORDS } from '$lib/words/pages/records';
  import { page } from '$app/state';
  import TrendChart from '$lib/drawing/chart/TrendChart.svelte';
  import { TREND_WEEKS, type TrendBy } from '$lib/api/found-rivet.ts';
  import RecordsPage from '$lib/ui/records/RecordsPage.svelte';
  import { FINDING_NAMES } from '$lib/words/heads';
  import type { Finding } from '$core/inspect/findings.ts';
  import { sentence } from '$lib/words/writing';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const what = $derived(
    data.wish.finding === undefined ? RECORDS.anythingButGood : FINDING_NAMES[data.wish.finding]
  );
  const WAYS = $derived<{ by: TrendBy; text: string }[]>([
    ...(data.wish.finding === undefined ? [{ by: 'finding' as const, text: RECORDS.finding }] : []),
    { by: 'all', text: 'None' },
    { by: 'tool', text: 'Tool' },
    ...(data.mayAskByPerson ? [{ by: 'person' as const, text: RECORDS.byWhoDrove }] : [])
  ]);
  const nameOf = ({ name, key }: (typeof data.groups)[number]) => {
    if (data.by === 'all') return 'All heads';
    if (data.by === 'finding') return sentence(FINDING_NAMES[key as Finding] ?? '');
    return name ?? (data.by === 'tool' ? 'No setting on record' : 'Driving not logged');
  };
  /** the rivets at which a group's finding was made, as a list; null where a list cannot be asked that */
  function listOf(key: string | null): string | null {
    const finding = data.by === 'finding' ? key : (data.wish.finding ?? null);
    if (finding === null || (key === null && data.by !== 'all')) return null;
    const asked = new URLSearchParams(page.url.searchParams);
    asked.delete('by');
    asked.set('finding', finding);
    if (data.by === 'person' && key !== null) {
      asked.set('person', key);
      asked.set('did', 'drove');
    }
    if (data.wish.from === undefined) asked.set('from', data.weeks[0] ?? '');
    return `/records?${asked.toString()}`;
  }
  const mostShare = $derived(
    Math.max(
      0,
      ...data.groups.flatMap(({ weeks }) => weeks.map(({ looked, found }) => found / looked))
    )
  );
  function ask(by: TrendBy): string {
    const kept = [...page.url.searchParams].filter(([key, value]) => value !== '' && key !== 'by');
    return `?${new URLSearchParams([...kept, ['by', by]]).toString()}`;
  }
</script>

<svelte:head><title>Findings by week · Zanjador</title></svelte:head>

<RecordsPage {...data}>
  <div class="over">
    <h2>{what[0]?.toUpperCase()}{what.slice(1)}, share of inspected heads</h2>
    <SubNav
      label="Group by"
      within
      links={WAYS.map(({ by, text }) => ({ href: ask(by), text, here: data.by === by }))}
    />
  </div>
  <p class="hint">
    The last {TREND_WEEKS} weeks, by the week a head was driven in. Groups are sorted by name.{data.by ===
    'person'
      ? ' Jobs, alloys and tools differ from person to person: compare with care: a share does not rank people.'
      : ''}
  </p>
  <div class="charts">
    {#each data.groups as group (`${group.name} ${group.key}`)}
      <TrendChart
        title={nameOf(group)}
        weeks={group.weeks}
        all={data.weeks}
        {mostShare}
        list={listOf(group.key)}
      />
    {:else}
      <p>No matching inspections in this period.</p>
    {/each}
  </div>
</RecordsPage>

<style>
  .over {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    justify-content: space-between;
  }
  .charts {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 430px), 1fr));
    gap: 14px;
  }
</style>
