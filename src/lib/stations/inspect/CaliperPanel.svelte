<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { Caliper } from '$lib/client/devices/caliper.svelte';
  import InstrumentPanel from '../../ui/instruments/InstrumentPanel.svelte';

  /** A caliper whose button sends what lies between its jaws. */
  interface Props {
    releaseId: string;
    /** about what lies between the jaws next, in: a simulated one has nothing else to go by */
    nextIn: number;
    onread: (text: string, simulated: boolean) => void;
  }
  let { releaseId, nextIn, onread }: Props = $props();
  const PLACES = 5;
  const caliper = new Caliper((widthIn) =>
    onread(writeDecimal(widthIn, 4, PLACES), caliper.simulated)
  );
</script>

<div data-testid="caliper-panel">
  <InstrumentPanel
    at={{ device: 'caliper', place: releaseId }}
    title="Caliper with a button"
    instrument={caliper}
    testid="caliper"
  >
    {#if caliper.simulated}
      <button
        class="act"
        type="button"
        onclick={() =>
          void caliper.say(`SIM JAWS ${writeDecimal(nextIn, 4, PLACES)} in`, 'SIM PRESS')}
        >{CHECK.pressItsButton}</button
      >
      <p class="hint">Simulated caliper. Its readings are practice and block signing.</p>
    {:else}
      <p class="hint">Its button sends the diameter, then the height.</p>
    {/if}
  </InstrumentPanel>
</div>
