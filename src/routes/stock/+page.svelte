<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import Snowflake from '@lucide/svelte/icons/snowflake';
  import { StockDesk } from '$lib/ui/stock/stock-desk.svelte';
  import Arithmetic from '$lib/ui/kit/Arithmetic.svelte';
  import BinSheet from '$lib/ui/stock/BinSheet.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import ReceiveForm from '$lib/ui/stock/ReceiveForm.svelte';
  import StockTableIn from '$lib/ui/stock/StockTableIn.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const desk = new StockDesk(() => invalidateAll());
  let said = $state('');
  let picked = $state<string | null>(null);
  let arithmetic = $state(false);
  const bin = $derived(data.bins.find(({ id }) => id === picked) ?? null);
  const wanted = $derived(data.shortages.ok ? data.shortages.result : []);
  const short = $derived(wanted.filter((one) => one.short > 0).length);
</script>

<svelte:head><title>Stock · Zanjador</title></svelte:head>

<div class="stock">
  <header>
    <h1>Stock</h1>
    <a class="act" href="/api/stock/bins.csv" download>All bins as a table (CSV)</a>
  </header>
  <p class="said" role="status">{said}</p>
  {#if desk.refusal !== '' && bin === null}
    <Notice level="stop" title="Not stored" text={desk.refusal} />
  {/if}
  <div class="halves">
    <div class="lists">
      <section aria-labelledby="wanted">
        <h2 id="wanted" class="label">
          Wanted by the open jobs: {short === 0
            ? 'nothing is short'
            : `${short} ${short === 1 ? 'part number' : 'part numbers'} short`}
        </h2>
        {#if wanted.length > 0}
          <div class="wide">
            <table class="figures" data-testid="shortages">
              <thead>
                <tr
                  ><th>Rivet</th><th class="words">Jobs</th><th>Wanted</th><th>In the bins</th><th
                    >Short</th
                  ></tr
                >
              </thead>
              <tbody>
                {#each wanted as one (one.partNumber)}
                  <tr data-part={one.partNumber}>
                    <th scope="row">{one.partNumber}</th>
                    <td class="words"
                      >{one.jobs.map(({ job, wanted: of }) => `${job}: ${of}`).join(', ')}</td
                    >
                    <td>{one.wanted}</td>
                    <td>{one.onHand}</td>
                    <td class:short={one.short > 0}
                      >{one.short > 0 ? `✕ ${one.short}` : '✓ none'}</td
                    >
                  </tr>
                {/each}
              </tbody>
            </table>
          </div>
          <button
            class="act"
            type="button"
            aria-expanded={arithmetic}
            onclick={() => (arithmetic = !arithmetic)}>Σ Arithmetic</button
          >
          {#if arithmetic && data.shortages.ok}<Arithmetic
              work={data.shortages.work}
              source="spares a tenth, at least 5, job by job; what was handed out is taken off"
            />{/if}
        {:else}
          <p class="hint">No open job wants rivets that it was not given.</p>
        {/if}
        {#if data.open.length > 0}<p class="hint">Not counted yet: {data.open.join(', ')}.</p>{/if}
      </section>
      <section aria-labelledby="bins">
        <h2 id="bins" class="label">Bins</h2>
        {#each data.bins as one (one.id)}
          <button
            class="bin"
            type="button"
            onclick={() => {
              desk.refusal = '';
              picked = one.id;
            }}
            data-bin="{one.partNumber} {one.lot}"
          >
            <strong>{one.partNumber}</strong>
            <span
              >lot {one.lot}{#if one.place !== ''}<small>{one.place}</small>{/if}</span
            >
            <span class="cold"
              >{#if one.cold}<Snowflake size={18} /> cold{/if}</span
            >
            <strong class="count">{one.count}</strong>
          </button>
        {:else}
          <p class="hint">No bins yet: receive the first rivets at the right.</p>
        {/each}
      </section>
    </div>
    <aside aria-label="Into the stock">
      <ReceiveForm {desk} ondone={(text) => (said = text)} />
      <StockTableIn bins={data.bins} {desk} ondone={(text) => (said = text)} />
    </aside>
  </div>
</div>
{#key picked}
  <BinSheet
    {bin}
    jobs={data.jobs}
    {desk}
    ondone={(text) => (said = text)}
    onclose={() => (picked = null)}
  />
{/key}

<style>
  .stock {
    padding: 1.2rem 1.6rem;
  }
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
  }
  h1 {
    font-size: 1.7rem;
  }
  .said {
    min-height: 1.5em;
    color: var(--olive-deep);
    font-weight: 700;
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
  .wide {
    overflow-x: auto;
  }
  .bin {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) 6rem 5rem;
    align-items: center;
    gap: 10px;
    width: 100%;
    min-height: 48px;
    padding: 4px 6px;
    border-bottom: 1px solid var(--line);
    text-align: left;
    cursor: pointer;
  }
  .bin:hover {
    background: var(--olive-soft);
  }
  .bin small {
    display: block;
    color: var(--ink-soft);
  }
  .cold {
    display: flex;
    align-items: center;
    gap: 4px;
    color: var(--dye);
  }
  .count {
    text-align: right;
    font-size: 1.15rem;
    font-variant-numeric: tabular-nums;
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
