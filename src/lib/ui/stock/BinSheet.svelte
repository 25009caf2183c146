<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { STOCK } from '$lib/words/pages/stock';
  import { COMMON } from '$lib/words/pages/common';
  import { stockStream, type StockEvent } from '$core/stock/stock.ts';
  import { readEvents } from '$lib/api/events.ts';
  import { call } from '$lib/client/call';
  import type { StockDesk } from '$lib/ui/stock/stock-desk.svelte';
  import type { BinView } from '$lib/stock-view.ts';
  import Choice from '../kit/Choice.svelte';
  import Pick from '../kit/Pick.svelte';
  import Sheet from '../kit/Sheet.svelte';
  import TextField from '../kit/TextField.svelte';

  /** One bin: hand out of it, count it, and see how it came to be so. */
  interface Props {
    bin: BinView | null;
    jobs: readonly { id: string; number: string; title: string }[];
    desk: StockDesk;
    ondone: (said: string) => void;
    onclose: () => void;
  }
  let { bin, jobs, desk, ondone, onclose }: Props = $props();
  let what = $state<'issued' | 'counted'>('issued');
  let job = $state('none');
  let count = $state('');
  let note = $state('');
  const number = $derived(Number(count.trim()));
  const least = $derived(what === 'issued' ? 1 : 0);
  const ready = $derived(count.trim() !== '' && Number.isInteger(number) && number >= least);
  /** the newest first; null until they have come */
  let events = $state.raw<StockEvent[] | null>(null);
  let unread = $state('');
  const jobOf = (event: StockEvent) =>
    event.kind === 'issued' && event.jobId !== null
      ? ` to job ${jobs.find(({ id }) => id === event.jobId)?.number ?? '?'}`
      : '';
  $effect(() => {
    if (bin) void readHistory(bin.id);
  });
  async function readHistory(subject: string): Promise<void> {
    const reply = await call(readEvents(stockStream), { subject }, undefined);
    if (reply.reached && reply.ok) events = reply.value.toReversed();
    else unread = reply.reached ? reply.message : CONNECTION.offline;
  }
  const WORDS = { received: 'received', issued: 'handed out', counted: 'counted' };
  const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

  async function move(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!bin || !ready) return;
    const common = { binId: bin.id, count: number, note };
    const stored = await desk.send([
      what === 'issued'
        ? { kind: 'issued', jobId: job === 'none' ? null : job, ...common }
        : { kind: 'counted', ...common }
    ]);
    if (!stored) return;
    ondone(
      what === 'issued'
        ? `${number} × ${bin.partNumber} issued`
        : `${bin.partNumber} lot ${bin.lot} counted: ${number}`
    );
    count = note = '';
    onclose();
  }
</script>

<Sheet title={bin ? `${bin.partNumber}, lot ${bin.lot}` : ''} open={bin !== null} {onclose}>
  {#if bin}
    <p class="held">
      <strong>{bin.count}</strong> in {bin.place === '' ? 'the bin' : bin.place}{bin.cold
        ? ', refrigerated'
        : ''}
    </p>
    <form onsubmit={move}>
      <Choice
        label="Transaction"
        value={what}
        options={[
          { value: 'issued', text: STOCK.handOut },
          { value: 'counted', text: STOCK.countAgain }
        ]}
        onchoose={(value) => (what = value)}
      />
      {#if what === 'issued'}
        <Pick
          label={COMMON.for}
          value={job}
          options={[
            { value: 'none', text: 'no job' },
            ...jobs.map(({ id, number: no, title }) => ({ value: id, text: `${no} ${title}` }))
          ]}
          onchoose={(value) => (job = value)}
        />
      {/if}
      <TextField
        name="moved"
        label={what === 'issued' ? STOCK.howManyGoOut : STOCK.howManyAreThere}
        inputmode="numeric"
        bind:value={count}
        errors={count.trim() !== '' && !ready ? [`a whole number from ${least}`] : undefined}
      />
      <TextField name="note" label="Note" maxlength={120} bind:value={note} />
      {#if desk.refusal !== ''}<p class="fails" role="alert">{desk.refusal}</p>{/if}
      <button class="act main" disabled={!ready || desk.sending}
        >{what === 'issued' ? STOCK.handOut : STOCK.setTheCount}</button
      >
    </form>
    <h3 class="label">Transactions</h3>
    {#if events === null}<p class="hint">{unread === '' ? 'Looking…' : unread}</p>{/if}
    <ol>
      {#each events ?? [] as event (event.id)}
        <li>
          <span>{when.format(new Date(event.at))}</span>
          <strong>{WORDS[event.kind]} {event.count}</strong>{jobOf(event)}
          <span class="hint">{event.by}{event.note === '' ? '' : ` · ${event.note}`}</span>
        </li>
      {/each}
    </ol>
  {/if}
</Sheet>

<style>
  .held {
    font-size: 1.2rem;
  }
  form {
    display: grid;
    gap: 8px;
    padding: 8px 0 14px;
  }
  ol {
    padding: 0;
    list-style: none;
    max-height: 14rem;
    overflow-y: auto;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding: 5px 0;
    border-bottom: 1px solid var(--line);
  }
</style>
