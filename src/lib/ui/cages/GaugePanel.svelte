<script lang="ts">
  import { CAGES } from '$lib/words/pages/cages';
  import { BENCH_FAULTS } from '$core/devices/simulated-bench.ts';
  import { backOffFor } from '$core/prepare/cage/guide.ts';
  import { cutDepthIn, type CageSetup } from '$core/prepare/cage/setup.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { DepthGauge } from '$lib/client/devices/depth-gauge.svelte';
  import Pick from '../kit/Pick.svelte';
  import InstrumentPanel from '../instruments/InstrumentPanel.svelte';

  /** The depth gauge on the bench: whether it is zeroed, and its reading. */
  interface Props {
    cageId: string;
    setup: CageSetup;
    /** where the simulated cage is to be turned; null while that cannot be read */
    clicks: number | null;
    /** back off past its play first */
    comeUp: boolean;
    onread: (text: string, simulated: boolean) => void;
  }
  let { cageId, setup, clicks, comeUp, onread }: Props = $props();
  const PLACES = 5;
  let refused = $state(false);
  const gauge = new DepthGauge(({ flushnessIn, zeroed }) => {
    refused = !zeroed;
    if (zeroed)
      onread(
        `${flushnessIn < 0 ? '' : '+'}${writeDecimal(flushnessIn, 4, PLACES)}`,
        gauge.simulated
      );
  });
  const FAULT_WORDS: Record<(typeof BENCH_FAULTS)[number], string> = {
    none: 'nothing is wrong',
    'loose-ring': 'the lock ring is loose',
    'pilot-touches': 'the pilot touches the table',
    chips: 'chips under the stop countersink'
  };
  let fault = $state<(typeof BENCH_FAULTS)[number]>('none');
  function cut(): void {
    if (clicks === null) return;
    void gauge.say(
      `SIM HEAD ${writeDecimal(cutDepthIn(setup), 4, PLACES)} in`,
      `SIM FILM ${writeDecimal(setup.filmIn, 4, PLACES)} in`,
      ...(comeUp ? [`SIM TURN ${backOffFor(clicks)}`] : []),
      `SIM TURN ${clicks}`,
      'SIM CUT',
      'READ'
    );
  }
</script>

<div class="gauge" data-testid="gauge-panel">
  <InstrumentPanel
    at={{ device: 'depth-gauge', place: cageId }}
    title="Depth gauge"
    instrument={gauge}
    testid="gauge"
  >
    <div class="acts">
      <button class="act" type="button" onclick={() => void gauge.say('ZERO')}
        >{gauge.zeroed ? '✓ Zeroed' : CAGES.zeroOnBareSkin}</button
      >
      <button
        class="act"
        type="button"
        disabled={!gauge.zeroed}
        onclick={() => void gauge.say('READ')}>Read again</button
      >
      {#if gauge.simulated}
        <button
          class="act"
          type="button"
          disabled={!gauge.zeroed || clicks === null}
          data-testid="cut-and-read"
          onclick={cut}>Cut at {clicks ?? '–'} and read</button
        >
      {/if}
    </div>
    {#if gauge.simulated}
      <Pick
        label="Simulated fault"
        value={fault}
        options={BENCH_FAULTS.map((value) => ({ value, text: FAULT_WORDS[value] }))}
        onchoose={(value) => {
          fault = value;
          void gauge.say(`SIM FAULT ${value}`);
        }}
      />
      <p class="hint">Simulated readings. Settings saved from them are practice only.</p>
    {/if}
    {#if refused}<p class="wrong" role="alert">
        {CAGES.zeroTheGaugeOnThe}
      </p>{/if}
  </InstrumentPanel>
</div>

<style>
  .gauge {
    border-top: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .acts .act {
    padding: 0 0.7rem;
  }
  .wrong {
    color: var(--brick);
  }
</style>
