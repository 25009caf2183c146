<script lang="ts">
  import { LARGEST_FILE_BYTES } from '$core/exchange/joint-file.ts';
  import { readStockCsv, type StockTable } from '$lib/exchange/stock-csv';
  import type { StockDesk } from '$lib/ui/stock/stock-desk.svelte';
  import type { BinView } from '$lib/stock-view.ts';
  import Choice from '../kit/Choice.svelte';
  import FileDrop from '../kit/FileDrop.svelte';

  /** A table of bins read in: looked at first, then stored all or none. */
  interface Props {
    bins: readonly BinView[];
    desk: StockDesk;
    ondone: (said: string) => void;
  }
  let { bins, desk, ondone }: Props = $props();
  let mode = $state<'received' | 'counted'>('counted');
  let text = $state<string | null>(null);
  let name = $state('');
  let refused = $state('');
  const read = $derived<StockTable | null>(text === null ? null : readStockCsv(text, mode, bins));
  const MOST_SHOWN = 6;

  async function choose(file: File): Promise<void> {
    text = null;
    refused = '';
    name = file.name;
    if (file.size > LARGEST_FILE_BYTES) refused = `${file.name} is over 5 MB.`;
    else text = await file.text();
  }
  async function store(): Promise<void> {
    if (!read?.ok) return;
    const { moves } = read;
    if (!(await desk.send(moves))) return;
    ondone(`${moves.length} bins of ${name} ${mode}`);
    text = null;
  }
</script>

<section class="rows-within" aria-labelledby="table-in">
  <h2 id="table-in" class="label">Import CSV</h2>
  <Choice
    label="This file is"
    value={mode}
    options={[
      { value: 'counted', text: 'a count' },
      { value: 'received', text: 'a delivery' }
    ]}
    onchoose={(value) => (mode = value)}
  />
  <FileDrop label="Table of bins" endings={['.csv']} onfile={(file) => void choose(file)} />
  {#if refused !== ''}<p class="fails" role="alert">{refused}</p>{/if}
  {#if read?.ok}
    <p>
      {read.moves.length}
      {read.moves.length === 1 ? 'bin' : 'bins'} in {name}.
      <button class="act main" type="button" disabled={desk.sending} onclick={store}
        >Store {mode === 'counted' ? 'the counts' : 'as received'}</button
      >
    </p>
  {:else if read}
    <ul class="fails" role="alert">
      {#each read.problems.slice(0, MOST_SHOWN) as problem, index (index)}<li>{problem}</li>{/each}
      {#if read.problems.length > MOST_SHOWN}<li>
          and {read.problems.length - MOST_SHOWN} more
        </li>{/if}
    </ul>
  {/if}
</section>
