<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { nominalHead } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { SeenFlag } from '$core/check/findings.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import type { CheckDesk } from '$lib/stations/check/check-desk.svelte';
  import HeadSketch from '$lib/drawing/head/HeadSketch.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import FlagPicker from '../../ui/kit/FlagPicker.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import MetalBar from '../../ui/kit/MetalBar.svelte';
  import OutboxNotice from '$lib/ui/OutboxNotice.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import VerdictCard from './VerdictCard.svelte';
  import type { RefusalSaid } from '$core/refusal-said.ts';
  import type { HeadReport } from '$core/check/head-report.ts';
  import { reportInWords } from '$lib/words/heads';

  /** One head: two figures and what the eye saw in, the verdict with its reasons out. */
  interface Props {
    desk: CheckDesk;
    /** who is at the bench; empty when nobody said */
    person: string;
    hole: number;
    onpick: (hole: number) => void;
  }
  let { desk, person, hole, onpick }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();

  const typed = $derived(desk.typedFor(hole));
  const judged = $derived(desk.reportFor(hole));
  const problems = $derived(judged && 'problems' in judged ? judged.problems : {});
  const live = $derived(judged && 'report' in judged ? judged : null);
  const row = $derived(desk.issue.holes.find(({ number }) => number === hole)?.row ?? 1);
  const last = $derived(desk.states.get(hole)?.last ?? null);
  const recorded = $derived(desk.recordedFor(hole));
  /** a reading being typed comes before the recorded one */
  const shown = $derived(live ?? (judged === null ? recorded : null));
  const rivetIn = $derived(rivetSize(desk.dashOf(hole)).diameterIn);
  const nominal = $derived(nominalHead(rivetIn));
  let workOpen = $state(false);
  let form = $state<HTMLFormElement>();

  const asProblem = (said: RefusalSaid | undefined) =>
    said === undefined ? undefined : { said, instead: null };
  const inputs = () => [...(form?.querySelectorAll<HTMLInputElement>('.readings input') ?? [])];

  /** Enter goes on to the height, then records and moves to the next head. */
  function onsubmit(event: SubmitEvent): void {
    event.preventDefault();
    const [diameter, height] = inputs();
    if (document.activeElement === diameter && typed.height.trim() === '') {
      height?.focus();
      return;
    }
    if (!live || !person) return;
    desk.record(hole);
    onpick(desk.nextToDo(hole));
    diameter?.focus();
  }
  /** accepted, but something was found that has to be looked at */
  const onCondition = ({ judged: head, findings }: HeadReport) =>
    head.ok && head.result.verdict === 'accept' && findings.length > 0;
  const time = (at: string) =>
    new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
</script>

<header>
  <h2>Head {hole} of {desk.issue.holes.length}</h2>
  <span class="hint">row {row}</span>
  <span class="steps">
    <button
      class="act small"
      type="button"
      disabled={hole <= 1}
      onclick={() => onpick(hole - 1)}
      aria-label="Hole back">‹</button
    >
    <button
      class="act small"
      type="button"
      disabled={hole >= desk.issue.holes.length}
      onclick={() => onpick(hole + 1)}
      aria-label="Hole on">›</button
    >
  </span>
</header>

<form bind:this={form} {onsubmit}>
  <div class="readings">
    <LengthField
      label="Diameter"
      placeholder={nominal.wideIn.toFixed(3)}
      value={typed.diameter}
      problem={asProblem(problems['diameterIn'])}
      oninput={(diameter) => desk.type(hole, { diameter })}
    />
    <LengthField
      label="Height"
      placeholder={nominal.highIn.toFixed(3)}
      value={typed.height}
      problem={asProblem(problems['heightIn'])}
      oninput={(height) => desk.type(hole, { height })}
    />
  </div>
  {#if live?.report.judged.ok}
    {@const report = live.report}
    <VerdictCard
      verdict={live.report.judged.result.verdict}
      reasons={reportInWords(report).reasons}
      conditional={onCondition(report)}
    />
    <button class="act main record" disabled={!person}>
      {person ? `Record head ${hole}` : 'Say who is at the bench first'}
    </button>
    {#if !person}<a class="act" href="/who?back=/joints/{workspace.id}/check"
        >Who is at the bench?</a
      >{/if}
  {/if}
</form>
{#if desk.outbox.clock !== null}
  <OutboxNotice outbox={desk.outbox} what="the readings" />
{:else if desk.state.kind === 'waiting'}
  <Notice
    level="attention"
    title="Not recorded yet: no server"
    text="{desk.waitingToSend} kept on this device and sent as soon as it answers."
  />
{:else if desk.state.kind === 'refused'}
  <Notice
    level="stop"
    title="Not recorded"
    text="{desk.state.hole === null ? '' : `Head ${desk.state.hole}: `}{preferences.refusal(
      desk.state.said
    )}"
  />
{/if}

<FlagPicker flags={typed.flags} ontoggle={(flag: SeenFlag) => desk.toggle(hole, flag)} />

{#if last && !live}
  <section class="last" data-testid="last-reading">
    <h3 class="label">Recorded</h3>
    <VerdictCard
      verdict={last.frozen.verdict}
      reasons={recorded ? reportInWords(recorded.report).reasons : []}
      conditional={recorded !== null && onCondition(recorded.report)}
    />
    <p>
      <Length lengthIn={last.diameterIn} decimal /> × <Length lengthIn={last.heightIn} decimal />
      <span class="hint">by {last.by}, {time(last.at)}</span>
    </p>
  </section>
{/if}
{#if shown?.report.judged.ok}
  {@const { report, reading } = shown}
  <HeadSketch diameterIn={reading.diameterIn} heightIn={reading.heightIn} {rivetIn} />
  {#if report.metal}<MetalBar metal={report.metal} />{/if}
  <section>
    <h3 class="label">Do now</h3>
    {#each reportInWords(report).doNow as step (step)}<p>{step}</p>{/each}
  </section>
  <button class="act" type="button" aria-expanded={workOpen} onclick={() => (workOpen = !workOpen)}
    >Σ Arithmetic</button
  >
  {#if (workOpen || workspace.arithmetic) && shown.report.judged.ok}
    <Arithmetic work={[...shown.report.judged.work, ...(report.metal?.work ?? [])]} />
  {/if}
{:else if !last}
  <p class="hint">
    Measure the driven head with calipers: its diameter, then its height above the sheet. The
    verdict appears as you type.
  </p>
{/if}

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 10px;
  }
  h2 {
    font-size: 1.35rem;
  }
  .steps {
    display: flex;
    gap: 6px;
    margin-left: auto;
  }
  form,
  .last {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  .readings {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .readings :global(input) {
    font-size: 1.6rem;
    font-weight: 700;
    min-height: 56px;
  }
  .readings :global(input::placeholder) {
    color: var(--ink-soft);
    opacity: 0.6;
    font-weight: 400;
  }
  .record {
    font-size: 1.1rem;
    min-height: 50px;
  }
</style>
