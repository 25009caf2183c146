<script lang="ts">
  import { CHECK } from '$lib/words/pages/check';
  import { untrack } from 'svelte';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { Caliper } from '$lib/client/devices/caliper.svelte';
  import { ServedPort } from '$lib/client/devices/line-port';
  import More from '../../ui/kit/More.svelte';

  /** A caliper whose button sends what lies between its jaws. The one that ships is simulated. */
  interface Props {
    issueId: string;
    /** about what lies between the jaws next, in: a simulated one has nothing else to go by */
    nextIn: number;
    onread: (text: string, simulated: boolean) => void;
  }
  let { issueId, nextIn, onread }: Props = $props();
  const PLACES = 5;
  const port = new ServedPort({ device: 'caliper', place: untrack(() => issueId) });
  const caliper = new Caliper(port, (widthIn) =>
    onread(writeDecimal(widthIn, 4, PLACES), caliper.simulated)
  );
  // Only while the panel is open: a browser keeps six connections in all, and every open stream holds one.
  let opened = $state(false);
  $effect(() => {
    if (!opened) return;
    caliper.connect();
    return () => caliper.disconnect();
  });
</script>

<div data-testid="caliper-panel">
  <More
    testid="caliper"
    title="Caliper with a button{!opened
      ? ''
      : !caliper.open
        ? ': not connected'
        : caliper.simulated
          ? ': a simulated one, for practice'
          : `: ${caliper.name}`}"
    onopen={(open) => (opened = open)}
  >
    {#if caliper.open}
      {#if caliper.simulated}
        <button
          class="act"
          type="button"
          onclick={() =>
            void caliper.say(`SIM JAWS ${writeDecimal(nextIn, 4, PLACES)} in`, 'SIM PRESS')}
          >{CHECK.pressItsButton}</button
        >
        <p class="hint">
          No real caliper is connected: this one makes up its readings. A head measured with it is
          practice, and nothing is signed on it.
        </p>
      {:else}
        <p class="hint">Its button sends the diameter, then the height.</p>
      {/if}
    {:else}
      <p class="hint">Type what you read.</p>
    {/if}
    {#if caliper.problem !== ''}<p class="warns" role="alert">{caliper.problem}</p>{/if}
  </More>
</div>
