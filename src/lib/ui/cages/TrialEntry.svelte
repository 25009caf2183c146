<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { backOffFor, predictAt, type CageGuide } from '$core/ready/cage/guide.ts';
  import { Clicks, Flushness } from '$core/ready/cage/trials.ts';
  import { below } from '$core/units/tolerance.ts';
  import type { CageDesk } from '$lib/ui/cages/cage-desk.svelte';
  import Length from '../kit/Length.svelte';
  import LengthField from '../kit/LengthField.svelte';
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
  function turn(by: number): void {
    if (clicks.success) desk.type('clicks', String(clicks.data + by));
  }
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
  <h2 id="{id}-head" class="label">The trial hole</h2>
  <div class="entry">
    <div>
      <label class="label" for="{id}-clicks">Clicks on the cage</label>
      <div class="clicks">
        <button class="act small" type="button" aria-label="One click less" onclick={() => turn(-1)}
          >−</button
        >
        <input
          id="{id}-clicks"
          class="field-box"
          inputmode="numeric"
          autocomplete="off"
          maxlength="6"
          value={clicksText}
          aria-invalid={!clicks.success}
          aria-describedby="{id}-said"
          oninput={(event) => desk.type('clicks', event.currentTarget.value)}
        />
        <button class="act small" type="button" aria-label="One click more" onclick={() => turn(1)}
          >+</button
        >
      </div>
    </div>
    <LengthField
      label={MEASURED[seat]}
      value={flushText}
      {problem}
      placeholder="+0.0040"
      whenEmpty="minus where it lies below"
      oninput={(text) => desk.type('flush', text)}
    />
  </div>
  <p id="{id}-said" class="hint" class:wrong={tooFar || !clicks.success} aria-live="polite">
    {#if !clicks.success}
      {clicks.error.issues[0]?.message}
    {:else if predicted === null}
      Count from a mark on the cage that you find again; more clicks are deeper.
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
    <label class="tick"
      ><input type="checkbox" bind:checked={cameUp} /> I backed off to {clicks.success
        ? backOffFor(clicks.data)
        : ''} or further first, then came up</label
    >
  {/if}
  <label class="tick"
    ><input type="checkbox" bind:checked={ring} /> a shiny ring round the rivet’s rim</label
  >
  <button class="act main" disabled={!clicks.success || !flush.success}>Keep this hole</button>
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
  .entry {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 10px;
  }
  .clicks {
    display: grid;
    grid-template-columns: 44px minmax(0, 1fr) 44px;
    gap: 4px;
  }
  .clicks input {
    text-align: center;
    font-weight: 700;
    font-size: 1.25rem;
  }
  .clicks .act {
    font-size: 1.3rem;
  }
  .wrong {
    color: var(--brick);
  }
  .tick {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
  }
  .tick input {
    width: 24px;
    height: 24px;
    flex: none;
  }
</style>
