<script lang="ts">
  import type { Snippet } from 'svelte';
  import { z } from 'zod';
  import type { PlainUnit } from '$core/devices/plain-reading.ts';
  import type { DevicePlace } from '$lib/api/devices.ts';
  import type { Instrument } from '$lib/client/devices/instrument.svelte';
  import { KeyboardPort } from '$lib/client/devices/keyboard-port';
  import { PORTS, type PortKey } from '$lib/client/devices/ports';
  import { recalled, remember } from '$lib/client/remembered';
  import { INSTRUMENTS } from '$lib/words/pages/instruments';
  import More from '../kit/More.svelte';
  import Pick from '../kit/Pick.svelte';

  /** An instrument on the bench, by whichever way it is reached: which one, whether it is there, and what it says. */
  interface Props {
    at: DevicePlace;
    title: string;
    instrument: Instrument;
    testid: string;
    /** drawn once it is there */
    children: Snippet;
  }
  let { at, title, instrument, testid, children }: Props = $props();

  const ways = $derived(PORTS[at.device]);
  const Kept = z.object({
    port: z.enum(['simulated', 'keyboard', 'serial']),
    unit: z.enum(['in', 'mm'])
  });
  const keptAs = $derived(`instrument.${at.device}`);
  let unit = $state<PlainUnit>('in');
  let chosen = $state<PortKey>('simulated');
  let text = $state('');
  let refused = $state('');
  let keyboard = $state.raw<KeyboardPort | null>(null);

  // Only while the panel is open: a browser keeps six connections in all, and every open stream holds one.
  let opened = $state(false);
  $effect(() => {
    const way = ways[chosen];
    if (!opened || !way?.there()) return;
    const port = way.make(at, () => unit);
    keyboard = port instanceof KeyboardPort ? port : null;
    instrument.connect(port);
    return () => {
      keyboard = null;
      instrument.disconnect();
    };
  });

  function open(now: boolean): void {
    const kept = recalled(keptAs, Kept);
    if (now && kept && ways[kept.port]?.there()) {
      chosen = kept.port;
      unit = kept.unit;
    }
    opened = now;
  }
  const keep = () => remember(keptAs, { port: chosen, unit });
  function take(event: SubmitEvent): void {
    event.preventDefault();
    refused = keyboard?.typed(text) ? '' : text;
    text = '';
  }
  const options = $derived(
    Object.entries(ways)
      .filter(([, way]) => way.there())
      .map(([value, way]) => ({ value: value as PortKey, text: way.text }))
  );
</script>

<More
  testid="{testid}-{!opened
    ? 'closed'
    : !instrument.open
      ? 'away'
      : instrument.simulated
        ? 'simulated'
        : 'open'}"
  title="{title}{!opened
    ? ''
    : !instrument.open
      ? ': not connected'
      : instrument.simulated
        ? ': a simulated one, for practice'
        : `: ${instrument.name}`}"
  onopen={open}
>
  <div class="column">
    {#if options.length > 1}
      <Pick
        label={INSTRUMENTS.whichOne}
        value={chosen}
        {options}
        onchoose={(value) => {
          chosen = value;
          keep();
        }}
      />
    {/if}
    {#if chosen !== 'simulated' && at.device === 'caliper'}
      <Pick
        label={INSTRUMENTS.shows}
        value={unit}
        options={[
          { value: 'in', text: INSTRUMENTS.inches },
          { value: 'mm', text: INSTRUMENTS.millimeters }
        ]}
        onchoose={(value) => {
          unit = value;
          keep();
        }}
      />
    {/if}
    {#if instrument.open}
      {#if keyboard}
        <form onsubmit={take}>
          <label class="label"
            >{INSTRUMENTS.landsHere}
            <input
              class="field-box"
              data-testid="{testid}-typed"
              bind:value={text}
              autocomplete="off"
              maxlength="40"
            /></label
          >
          <p class="hint">{INSTRUMENTS.pressWithTheBoxSelected}</p>
        </form>
        {#if refused !== ''}<p class="warns" role="alert">
            {INSTRUMENTS.notAReading(refused)}
          </p>{/if}
      {/if}
      {@render children()}
    {:else}
      <p class="hint">{chosen === 'serial' ? INSTRUMENTS.notConnected : INSTRUMENTS.typeIt}</p>
    {/if}
    {#if instrument.problem !== ''}<p class="warns" role="alert">{instrument.problem}</p>{/if}
  </div>
</More>
