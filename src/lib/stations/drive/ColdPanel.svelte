<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { cold, ASSUMED_PER_RIVET_S } from '$lib/client/cold.svelte';
  import { coldStream, type ColdMove } from '$core/driving/cold-events.ts';
  import { alloyFacts } from '$core/catalog/alloys.ts';
  import { sendMoves } from '$lib/api/events.ts';
  import { call } from '$lib/client/call';
  import { Once } from '$lib/client/once';
  import { useStock } from '$lib/client/stock';
  import { clockText } from '../../ui/cold/clock-text';
  import { steadyPaceS } from '$core/driving/pace.ts';
  import { ruledTimes } from '$core/rules/icebox.ts';
  import { timesInWords } from '$lib/words/icebox';
  import { takeOutAdvice } from '$core/driving/cold-plan.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Tick from '../../ui/kit/Tick.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import type { DriveDesk } from './drive-desk.svelte';

  /** Rivets that are driven cold: what is out, how many to take out next, what becomes of the rest. */
  interface Props {
    desk: DriveDesk;
    jobId: string;
    person: string;
    arithmetic: boolean;
  }
  let { desk, jobId, person, arithmetic }: Props = $props();
  const stock = useStock();
  const runs = $derived(desk.runs.filter(({ alloy }) => alloyFacts(alloy).cold !== null));
  const parts = $derived(runs.map(({ partNumber }) => partNumber));
  const bins = $derived(
    stock.drawers.filter(({ partNumber, cold: kept }) => kept && parts.includes(partNumber))
  );
  const running = $derived(cold.running.filter(({ partNumber }) => parts.includes(partNumber)));
  const measuredS = $derived(steadyPaceS(desk.pace) ?? cold.perRivetS);
  const perRivetS = $derived(measuredS ?? ASSUMED_PER_RIVET_S);
  const advised = $derived(
    runs.flatMap(({ partNumber, alloy, holes }) => {
      const open = holes.filter(({ number }) => !desk.stateOf(number)?.driven).length;
      const out = running
        .filter((batch) => batch.partNumber === partNumber && batch.now.state !== 'expired')
        .reduce((sum, { left }) => sum + left, 0);
      const advice = takeOutAdvice(alloy, perRivetS, open, out, ruledTimes(cold.icebox, alloy));
      return advice.ok ? [{ partNumber, open, out, ...advice.result, work: advice.work }] : [];
    })
  );
  const adviceFor = (part: string) =>
    advised.find(({ partNumber }) => partNumber === part)?.count ?? 0;
  let counts = $state<Record<string, string>>({});
  let said = $state('');
  let how = $state<'scrapped' | 'to-process'>('scrapped');
  let away = $state<Record<string, string>>({});
  const whole = (typed: string | undefined) =>
    /^\d+$/.test((typed ?? '').trim()) ? Number(typed) : null;

  async function takeOut(binId: string, held: number): Promise<void> {
    const count = whole(counts[binId]);
    if (count === null || count < 1) said = 'How many? A whole number.';
    else if (count > held) said = `${held} are in that bin.`;
    else {
      said = await cold.takeOut(binId, count, jobId);
      if (said === '') counts[binId] = '';
    }
  }
  const puttingAway = new Once<ColdMove>();
  async function putAway(batchId: string, left: number): Promise<void> {
    const count = whole(away[batchId]);
    if (count === null || count < 1 || count > left) {
      said = `How many are left over? 1 to ${left}.`;
      return;
    }
    const move = puttingAway.of({ batchId, count, how }, () => ({
      id: crypto.randomUUID(),
      at: cold.serverNow,
      kind: 'left-over' as const,
      count,
      how,
      note: ''
    }));
    const reply = await call(sendMoves(coldStream), { subject: batchId }, [move]);
    puttingAway.answered(reply);
    said = !reply.reached ? DRIVE.theServerCannotBeReached : reply.ok ? '' : reply.message;
    if (said === '') away[batchId] = '';
    await cold.refresh();
  }
</script>

{#if runs.length > 0}
  <section aria-label="Icebox rivets" data-testid="cold-panel">
    <p class="label">Icebox rivets</p>
    {#each running as batch (batch.id)}
      <div class="batch" data-batch={batch.id}>
        <p>
          <strong>{clockText(batch.now.remainingS ?? 0)}</strong> · {batch.left} of {batch.count}
          {batch.partNumber}, lot {batch.lot}, out by {batch.by}
        </p>
        {#if batch.times}<p class="hint">{timesInWords(batch.partNumber, batch.times)}</p>{/if}
        {#if running.length > 1 && batch.now.state !== 'expired'}
          <button
            class="act"
            type="button"
            aria-pressed={desk.batch === batch.id}
            onclick={() => (desk.batch = batch.id)}>Use this batch</button
          >
        {/if}
        {#if batch.now.state === 'expired'}
          <label class="label" for="late-{batch.id}">{DRIVE.whyOneOfTheseIs}</label>
          <input
            id="late-{batch.id}"
            class="field-box"
            maxlength="160"
            value={desk.late}
            oninput={(event) => (desk.late = event.currentTarget.value)}
          />
          <p class="hint">A reason is required. The hole is flagged for inspection.</p>
        {/if}
        <form
          class="wraps-middle"
          onsubmit={(event) => {
            event.preventDefault();
            void putAway(batch.id, batch.left);
          }}
        >
          <input
            class="field-box count"
            inputmode="numeric"
            maxlength="6"
            data-testid="left-over-{batch.lot}"
            aria-label="Left over of lot {batch.lot}"
            placeholder={String(batch.left)}
            bind:value={away[batch.id]}
          />
          <Choice
            label="Leftover rivets"
            quiet
            value={how}
            options={[
              { value: 'scrapped', text: 'scrap' },
              { value: 'to-process', text: 'reprocess' }
            ]}
            onchoose={(value) => (how = value)}
          />
          <button
            data-testid="put-away-{batch.lot}"
            class="act"
            type="submit"
            disabled={person === ''}
            >Record leftovers<span class="sr-only"> of lot {batch.lot}</span></button
          >
        </form>
      </div>
    {/each}
    {#each advised as advice (advice.partNumber)}
      <p data-testid="advised">
        Take out at most <strong>{advice.count}</strong> of {advice.partNumber}: {advice.dueMinutes} min
        at
        {Math.round(perRivetS)} s per rivet {measuredS !== null
          ? '(as measured)'
          : '(assumed until four in a row are logged)'}; {advice.open} remaining{advice.out > 0
          ? `, ${advice.out} out of the icebox`
          : ''}.
      </p>
      {#if arithmetic}<Arithmetic
          work={advice.work}
          source="only what is driven in the window"
        />{/if}
    {/each}
    {#if bins.length === 0}
      <Notice
        level="attention"
        title="No refrigerated bin for {parts.join(' or ')}"
        text="Receive them into a refrigerated bin under Stock. Driving cannot be logged without a batch."
      />
    {/if}
    {#each bins as bin (bin.id)}
      <form
        class="wraps-middle"
        onsubmit={(event) => {
          event.preventDefault();
          void takeOut(bin.id, bin.count);
        }}
      >
        <input
          class="field-box count"
          inputmode="numeric"
          maxlength="6"
          data-testid="out-of-cold-{bin.lot}"
          aria-label="Out of the icebox, lot {bin.lot}"
          placeholder={String(Math.min(bin.count, adviceFor(bin.partNumber)))}
          bind:value={counts[bin.id]}
        />
        <span>of {bin.count} in lot {bin.lot}{bin.place ? `, ${bin.place}` : ''}</span>
        <button data-testid="take-out-{bin.lot}" class="act" type="submit" disabled={person === ''}
          >Take out and start clock<span class="sr-only"> for lot {bin.lot}</span></button
        >
      </form>
    {/each}
    <Tick
      text="Sound an alert when a batch is due or expired"
      bind:checked={() => cold.sound, (allowed) => cold.allowSound(allowed)}
    />
    {#if said !== ''}<p class="fails" role="alert">{said}</p>{/if}
    {#if Math.abs(cold.deviceOffS) > 20}
      <p class="hint" data-testid="clock-off">
        This device’s clock is {Math.round(Math.abs(cold.deviceOffS))} s {cold.deviceOffS > 0
          ? 'ahead of'
          : 'behind'} the server’s; the clocks here run on the server’s.
      </p>
    {/if}
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 8px;
    padding: 10px 12px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    font-variant-numeric: tabular-nums;
  }
  .batch {
    display: grid;
    gap: 6px;
    padding: 8px;
    border-radius: 8px;
    background: var(--bench);
  }
  .count {
    width: 5rem;
  }
</style>
