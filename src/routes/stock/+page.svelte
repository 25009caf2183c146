<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { STOCK } from '$lib/words/pages/stock';
  import Mark from '$lib/ui/marks/Mark.svelte';
  import { invalidateAll } from '$app/navigation';
  import { StockDesk } from '$lib/ui/stock/stock-desk.svelte';
  import Arithmetic from '$lib/ui/kit/Arithmetic.svelte';
  import BinSheet from '$lib/ui/stock/BinSheet.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import ReceiveForm from '$lib/ui/stock/ReceiveForm.svelte';
  import StockTableIn from '$lib/ui/stock/StockTableIn.svelte';
  import SortedTable from '$lib/ui/kit/SortedTable.svelte';
  import type { TableColumn } from '$lib/ui/kit/table-column.ts';
  import { said } from '$lib/ui/kit/said.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const desk = new StockDesk(() => invalidateAll());
  let picked = $state<string | null>(null);
  let arithmetic = $state(false);
  const bin = $derived(data.bins.find(({ id }) => id === picked) ?? null);
  const BIN_COLUMNS: TableColumn<PageData['bins'][number]>[] = [
    { key: 'part', title: 'Rivet', of: ({ partNumber }) => partNumber, words: true },
    { key: 'lot', title: COMMON.lot, of: ({ lot }) => lot, words: true },
    { key: 'place', title: 'Place', of: ({ place }) => place, words: true },
    { key: 'cold', title: 'Storage', of: ({ cold }) => (cold ? 'refrigerated' : ''), words: true },
    { key: 'count', title: 'Count', of: ({ count }) => count }
  ];
  type Wanted = (typeof wanted)[number];
  const WANTED_COLUMNS: TableColumn<Wanted>[] = [
    { key: 'part', title: 'Rivet', of: (one) => one.partNumber, words: true },
    {
      key: 'jobs',
      title: 'Jobs',
      of: (one) => one.jobs.map(({ job, wanted: of }) => `${job}: ${of}`).join(', '),
      words: true
    },
    { key: 'wanted', title: 'Required', of: (one) => one.wanted },
    { key: 'hand', title: 'In stock', of: (one) => one.onHand },
    {
      key: 'short',
      title: 'Short',
      of: (one) => one.short,
      text: (one) => (one.short > 0 ? `✕ ${one.short}` : '✓ none'),
      bad: (one) => one.short > 0
    }
  ];
  const wanted = $derived(data.shortages.ok ? data.shortages.result : []);
  const short = $derived(wanted.filter((one) => one.short > 0).length);
</script>

<svelte:head><title>Stock · Zanjador</title></svelte:head>

<div class="page">
  <header>
    <h1>Stock</h1>
    <a class="act" href="/api/stock/bins.csv" download>{STOCK.allBinsAsATable}</a>
  </header>
  {#if desk.refusal !== '' && bin === null}
    <Notice level="stop" title="Not stored" text={desk.refusal} />
  {/if}
  <div class="halves">
    <div class="lists">
      <section aria-labelledby="wanted">
        <h2 id="wanted" class="label">
          Required for open jobs: {short === 0
            ? 'no shortages'
            : `${short} ${short === 1 ? 'part number' : 'part numbers'} short`}
        </h2>
        {#if wanted.length > 0}
          <div data-testid="shortages">
            <SortedTable
              label="Required for open jobs"
              rows={wanted}
              columns={WANTED_COLUMNS}
              keyOf={({ partNumber }) => partNumber}
              empty=""
            />
          </div>
          <button
            class="act"
            type="button"
            aria-expanded={arithmetic}
            onclick={() => (arithmetic = !arithmetic)}
            ><Mark name="arithmetic" size={20} /> {COMMON.arithmetic}</button
          >
          {#if arithmetic && data.shortages.ok}<Arithmetic
              work={data.shortages.work}
              source="spares a tenth, at least 5, job by job; quantity issued is subtracted"
            />{/if}
        {:else}
          <p class="hint">All open jobs are supplied.</p>
        {/if}
        {#if data.open.length > 0}<p class="hint">Not counted yet: {data.open.join(', ')}.</p>{/if}
      </section>
      <section aria-labelledby="bins">
        <h2 id="bins" class="label">Bins</h2>
        <SortedTable
          label="Bins"
          rows={data.bins}
          columns={BIN_COLUMNS}
          keyOf={({ partNumber, lot, place }) =>
            `${partNumber} ${lot}${place === '' ? '' : ` ${place}`}`}
          empty="No bins yet. Receive the first rivets on the right."
          onpick={(one) => {
            desk.refusal = '';
            picked = one.id;
          }}
        />
      </section>
    </div>
    <aside aria-label="Into the stock">
      <ReceiveForm {desk} ondone={(text) => void said.say(text)} />
      <StockTableIn bins={data.bins} {desk} ondone={(text) => void said.say(text)} />
    </aside>
  </div>
</div>
{#key picked}
  <BinSheet
    {bin}
    jobs={data.jobs}
    {desk}
    ondone={(text) => void said.say(text)}
    onclose={() => (picked = null)}
  />
{/key}

<style>
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
    padding-bottom: 12px;
  }
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 340px;
    gap: 18px;
    align-items: start;
  }
  .lists,
  aside {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
  .lists section,
  aside {
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
