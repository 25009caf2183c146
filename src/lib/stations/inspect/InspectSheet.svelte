<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import { COMMON } from '$lib/words/pages/common';
  import type { Snippet } from 'svelte';
  import Mark from '../../ui/marks/Mark.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { headLimits, nominalHead } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { ReleaseCount } from '$core/releases/release-count.ts';
  import type { ShopPlate } from '$core/devices/shop-plate.ts';
  import { Place, type SeenFlag } from '$core/inspect/findings.ts';
  import { flushAt } from '$core/release/flush-at.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import type { InspectDesk } from '$lib/stations/inspect/inspect-desk.svelte';
  import CaliperView from '$lib/drawing/head/CaliperView.svelte';
  import HeadSketch from '$lib/drawing/head/HeadSketch.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import FlagPicker from '../../ui/inspect/FlagPicker.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import MetalBar from '../../ui/kit/MetalBar.svelte';
  import OutboxNotice from '$lib/ui/OutboxNotice.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import CaliperPanel from './CaliperPanel.svelte';
  import DueBar from './DueBar.svelte';
  import FlushEntry from './FlushEntry.svelte';
  import HowRead from './HowRead.svelte';
  import HeadLooks from './HeadLooks.svelte';
  import LastLook from './LastLook.svelte';
  import PlacesRow from './PlacesRow.svelte';
  import PlateEntry from './PlateEntry.svelte';
  import Readings from './Readings.svelte';
  import ResultRow from './ResultRow.svelte';
  import type { LookWay } from './typed-look.ts';

  /** One head: what was measured, felt or seen in, the verdict with its reasons out. */
  interface Props {
    desk: InspectDesk;
    /** every count of the release */
    count: ReleaseCount | null;
    /** who is at the bench; empty when nobody said */
    person: string;
    hole: number;
    /** the shop's gauge plates */
    plates: readonly ShopPlate[];
    onpick: (hole: number) => void;
    /** what is done about the head, below what was found of it */
    children: Snippet;
  }
  let { desk, count, person, hole, plates, onpick, children }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();

  const WAYS: readonly { value: LookWay; text: string }[] = [
    { value: 'calipers', text: CHECK.figures },
    { value: 'plate', text: COMMON.gaugePlate },
    { value: 'eye', text: CHECK.byEye }
  ];
  const dash = $derived(desk.dashOf(hole));
  const typed = $derived(desk.typedFor(hole));
  const live = $derived(desk.way === 'calipers' ? desk.reportFor(hole) : null);
  const judged = $derived(desk.judgedFor(hole));
  const looksLeft = $derived(desk.looksLeft(hole));
  const datum = $derived(desk.datumAsked(hole));
  const metal = $derived(desk.metalAsked(hole));
  const asReleased = $derived(desk.release.holes.find(({ number }) => number === hole));
  const flush = $derived(asReleased ? flushAt(desk.release.facts, asReleased) : null);
  const plate = $derived(desk.plateFor(dash));
  const fitting = $derived(plates.filter(({ sizes }) => sizes.some((size) => size.dash === dash)));
  const row = $derived(asReleased?.row ?? 1);
  const now = $derived(desk.states.get(hole));
  const recorded = $derived(desk.recordedFor(hole));
  /** a reading being typed comes before the recorded one */
  const shown = $derived(
    live ?? (typed.diameter + typed.height === '' && desk.way === 'calipers' ? recorded : null)
  );
  const rivetIn = $derived(rivetSize(dash).diameterIn);
  const nominal = $derived(nominalHead(rivetIn));
  const limits = $derived(headLimits(desk.release.facts.limits));
  const timesD = ({ low, high }: { low: number; high: number }) => ({
    low: low * rivetIn,
    high: high * rivetIn
  });
  let workOpen = $state(false);
  let form = $state<HTMLFormElement>();
  let readings = $state<ReturnType<typeof Readings>>();

  function record(): void {
    if (!judged?.ok || !person) return;
    if (metal !== null) {
      form?.querySelector<HTMLElement>('[data-testid=metal-asked] button')?.focus();
      return;
    }
    if (datum) {
      form?.querySelector<HTMLElement>('[data-testid=datum-asked] button')?.focus();
      return;
    }
    if (looksLeft.length > 0) {
      form?.querySelector<HTMLInputElement>('.looks input:not(:checked)')?.focus();
      return;
    }
    desk.record(hole);
    onpick(desk.nextToDo(hole));
    readings?.begin();
  }
  /** to the hole beside it, and on with its diameter */
  function step(by: -1 | 1): void {
    const numbers = desk.release.holes.map(({ number }) => number);
    const to = numbers[numbers.indexOf(hole) + by];
    if (to !== undefined) onpick(to);
  }
  const allClean = () => desk.type(hole, { clean: [...Place.options] });
  /** the question of the plate that a key answers: the first that is open */
  function answerPlate(yes: boolean): void {
    const inside = typed.fitsOver === false && typed.touchesSheet === false;
    if (typed.fitsOver === null) desk.type(hole, { fitsOver: yes });
    else if (typed.touchesSheet === null) desk.type(hole, { touchesSheet: yes });
    else if (inside && typed.upperFits === null && (plate?.upperHoleIn ?? null) !== null)
      desk.type(hole, { upperFits: yes });
    else if (inside && typed.upperTouches === null && (plate?.upperNotchIn ?? null) !== null)
      desk.type(hole, { upperTouches: yes });
  }
  /** Beside the fields Y and N answer the plate, C says all clean. */
  function onwindowkey(event: KeyboardEvent): void {
    const { target, key } = event;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (target instanceof Element && target.closest('input, textarea, select, [role=dialog]'))
      return;
    // a figure typed anywhere is a diameter: the digit itself lands in the field
    if (desk.way === 'calipers' && /^[\d.,]$/.test(key)) {
      readings?.begin();
      return;
    }
    const pressed = key.toLowerCase();
    if (pressed === 'c') allClean();
    else if (desk.way === 'plate' && (pressed === 'y' || pressed === 'n'))
      answerPlate(pressed === 'y');
    else if (
      desk.way === 'plate' &&
      key === 'Enter' &&
      !(target instanceof Element && target.closest('button, a, summary'))
    )
      record();
  }
</script>

<svelte:window onkeydown={onwindowkey} />

<header>
  <h2 data-testid="head-now" data-hole={hole}>Hole {hole} of {desk.release.holes.length}</h2>
  <span class="hint">row {row}</span>
  <span class="steps">
    <button
      class="act small"
      type="button"
      disabled={hole <= 1}
      onclick={() => onpick(hole - 1)}
      aria-label={CHECK.holeBack}>‹</button
    >
    <button
      class="act small"
      type="button"
      disabled={hole >= desk.release.holes.length}
      onclick={() => onpick(hole + 1)}
      aria-label={CHECK.holeOn}>›</button
    >
  </span>
</header>
<Choice label="Method" value={desk.way} options={WAYS} onchoose={(way) => (desk.way = way)} />

<form
  class="column"
  bind:this={form}
  onsubmit={(event) => {
    event.preventDefault();
    record();
  }}
>
  {#if desk.way === 'calipers'}
    <Readings
      bind:this={readings}
      {desk}
      {hole}
      placeholders={{
        diameter: nominal.wideIn.toFixed(3),
        height: nominal.highIn.toFixed(3)
      }}
      ondone={record}
      onclean={allClean}
      onstep={step}
    />
  {:else if desk.way === 'plate'}
    <PlateEntry
      {typed}
      {plate}
      {dash}
      dimpled={desk.isDimpled(hole)}
      plates={fitting}
      chosen={desk.plateChosen}
      onchoose={(id) => (desk.plateChosen = id)}
      onanswer={(change) => desk.type(hole, change)}
    />
  {:else}
    <p class="hint">
      A visual check can reject a head but not accept it. Tap each defect you see; its limit is
      shown.
    </p>
  {/if}
  <ResultRow {desk} {hole} {live} />
  <PlacesRow clean={typed.clean} onchange={(clean) => desk.type(hole, { clean })} />
  <button
    data-testid="record"
    class="act main record"
    disabled={!judged?.ok || !person || looksLeft.length > 0 || datum !== null || metal !== null}
  >
    {!person
      ? 'Sign in to record'
      : datum || metal !== null
        ? 'Answer the question first'
        : looksLeft.length > 0
          ? 'Confirm the points above'
          : `Record head ${hole}`}
  </button>
  {#if !person && judged?.ok}<a class="act" href="/who?back=/joints/{workspace.id}/inspect"
      >Sign in</a
    >{/if}
</form>
<DueBar due={desk.due} {count} here={hole} {onpick} />
{#if desk.way === 'calipers'}
  <CaliperPanel
    releaseId={desk.release.id}
    nextIn={desk.typedFor(hole).diameter.trim() === '' ? nominal.wideIn : nominal.highIn}
    onread={(text, simulated) => readings?.take(text, simulated)}
  />
{/if}
{#if desk.outbox.clock !== null}
  <OutboxNotice outbox={desk.outbox} what="the readings" />
{:else if desk.state.kind === 'waiting'}
  <Notice
    level="attention"
    title={CHECK.notRecordedYetNoServer}
    text="{desk.waitingToSend} kept on this device and sent automatically."
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

{#if now && !live && !judged}<LastLook {now} {recorded} />{/if}
{#if now && now.looks > 0 && person}<HeadLooks {desk} {hole} />{/if}
{@render children()}
{#if desk.way === 'calipers'}<HowRead {typed} ontype={(change) => desk.type(hole, change)} />{/if}
{#if flush}<FlushEntry
    {typed}
    limits={flush.limits}
    ontype={(change) => desk.type(hole, change)}
  />{/if}
<FlagPicker
  flags={typed.flags}
  {dash}
  flush={flush?.limits ?? null}
  open={desk.way === 'eye'}
  ontoggle={(flag: SeenFlag) => desk.toggle(hole, flag)}
/>

{#if shown?.report.judged.ok}
  {@const { report, reading } = shown}
  <HeadSketch diameterIn={reading.diameterIn} heightIn={reading.heightIn} {rivetIn} />
  {#if report.metal}<MetalBar metal={report.metal} />{/if}
  <button class="act" type="button" aria-expanded={workOpen} onclick={() => (workOpen = !workOpen)}
    ><Mark name="arithmetic" size={20} /> {COMMON.arithmetic}</button
  >
  {#if (workOpen || workspace.arithmetic) && shown.report.judged.ok}
    <Arithmetic work={[...shown.report.judged.work, ...(report.metal?.work ?? [])]} />
  {/if}
{:else if judged?.ok && desk.way !== 'calipers'}
  <Arithmetic work={judged.work} />
{/if}
{#if desk.way === 'calipers'}
  <CaliperView
    diameterIn={shown?.reading.diameterIn ?? nominal.wideIn}
    heightIn={shown?.reading.heightIn ?? nominal.highIn}
    wideIn={timesD(limits.diameterD)}
    highIn={timesD(limits.heightD)}
    typed={shown !== null}
  />
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
  .record {
    font-size: 1.1rem;
    min-height: 50px;
  }
</style>
