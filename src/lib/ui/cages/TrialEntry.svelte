<script lang="ts">
  import { CAGES } from '$lib/words/pages/cages';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { backOffFor, predictAt, type CageGuide } from '$core/prepare/cage/guide.ts';
  import { Clicks, Flushness } from '$core/prepare/cage/trials.ts';
  import { below } from '$core/units/tolerance.ts';
  import type { CageDesk } from '$lib/ui/cages/cage-desk.svelte';
  import Length from '../kit/Length.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import StepField from '../kit/StepField.svelte';
  import Tick from '../kit/Tick.svelte';
  import GaugePanel from './GaugePanel.svelte';
  import { notationInWords } from '$lib/words/arithmetic';
  import { howToMeasure, MEASURED } from '$lib/words/cages';
  import { firstProblem } from '$lib/ui/kit/field-problem';

  /** One trial hole: its setting, what was read, and how it was come to. */
  interface Props {
    desk: CageDesk;
    guide: CageGuide;
  }
  let { desk, guide }: Props = $props();
  const preferences = usePreferences();
  const id = $props.id();
  const BEGIN_CLICKS = 0;
  const clicksText = $derived(
    desk.typed('clicks') ?? String(guide.nextClicks ?? guide.groups.at(-1)?.clicks ?? BEGIN_CLICKS)
  );
  const flushText = $derived(desk.typed('flush') ?? '');
  const { seat } = $derived(desk.view.setup);
  const clicks = $derived(Clicks.safeParse(Number(clicksText.trim() || NaN)));
  const flush = $derived(Flushness.safeParse(flushText, { reportInput: true }));
  /** as a gauge sent it, to tell from what is typed over it */
  let sent = $state<{ text: string; simulated: boolean } | null>(null);
  let cameUp = $state(false);
  let ring = $state(false);
  const turnedBack = $derived(
    clicks.success && guide.deepestClicks !== null && clicks.data < guide.deepestClicks
  );
  const predicted = $derived(clicks.success ? predictAt(guide, clicks.data) : null);
  const tooFar = $derived(predicted !== null && below(predicted.flushIn, guide.band.lowIn));
  const problem = $derived(
    flush.success || flushText.trim() === '' ? undefined : firstProblem(flush.error)
  );
  function record(event: SubmitEvent): void {
    event.preventDefault();
    if (!clicks.success || !flush.success) return;
    const kept = desk.add({
      kind: 'reading',
      clicks: clicks.data,
      flushnessIn: flush.data,
      from: sent?.text !== flushText ? 'typed' : sent.simulated ? 'simulated' : 'gauge',
      cameUp: turnedBack && cameUp,
      ring
    });
    if (!kept) return;
    desk.clear('flush', 'clicks');
    ring = cameUp = false;
    sent = null;
  }
</script>

<form onsubmit={record} aria-labelledby="{id}-head">
  <h2 id="{id}-head" class="label">Test hole</h2>
  <div class="in-two">
    <StepField
      label={CAGES.clicksOnTheCage}
      value={clicksText}
      one="click"
      problem={clicks.success ? '' : (clicks.error.issues[0]?.message ?? '')}
      described="{id}-said"
      oninput={(text) => desk.type('clicks', text)}
    />
    <LengthField
      label={MEASURED[seat]}
      value={flushText}
      {problem}
      placeholder="+0.0040"
      whenEmpty="negative = below surface"
      oninput={(text) => desk.type('flush', text)}
    />
  </div>
  <p id="{id}-said" class="hint" class:fails={tooFar || !clicks.success} aria-live="polite">
    {#if !clicks.success}{:else if predicted === null}
      Count from a reference mark. More clicks = deeper.
    {:else if tooFar}
      ✕ predicted <Length lengthIn={predicted?.flushIn ?? 0} decimal signed />: below the low limit.{#if guide.nextClicks !== null && guide.nextClicks < clicks.data}&nbsp;Go
        to {guide.nextClicks}.{/if}
    {:else}
      predicted <Length lengthIn={predicted.flushIn} decimal signed /> = {notationInWords(
        predicted.formula,
        preferences.lengths
      )}
    {/if}
  </p>
  {#if turnedBack}
    <Tick
      text="I backed off to {clicks.success
        ? backOffFor(clicks.data)
        : ''} or further first, then came up"
      bind:checked={cameUp}
    />
  {/if}
  <Tick text="Shiny ring around the rivet" bind:checked={ring} />
  <button class="act main" disabled={!clicks.success || !flush.success}>{CAGES.keepThisHole}</button
  >
  <p class="hint">{howToMeasure(seat, preferences.inWords)}</p>
</form>
<GaugePanel
  cageId={desk.view.cageId}
  setup={desk.view.setup}
  clicks={clicks.success ? clicks.data : null}
  comeUp={turnedBack && cameUp}
  onread={(text, simulated) => {
    sent = { text, simulated };
    desk.type('flush', text);
  }}
/>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
</style>
