<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import Mark from '../../ui/marks/Mark.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { readDrill } from '$core/catalog/drills.ts';
  import { readBlindPart } from '$core/catalog/blind-rivets.ts';
  import { BLINDS } from '$lib/words/pages/blinds';
  import { existingInWords } from '$lib/words/existing-holes';
  import { blindInWords } from '$lib/words/blind-rivets';
  import { parseLength } from '$core/units/parse-length.ts';
  import { byId } from '$core/joint/item-id.ts';
  import { nudged, pinned, withoutFixed, withState } from '$core/edit/hole-edits.ts';
  import { gridPerIn } from '$core/layout/fill-line.ts';
  import { markWork, type LaidLine, type PlannedHole } from '$core/plan/holes.ts';
  import { same } from '$core/units/tolerance.ts';
  import { useWorkspace, type ShownPlan } from '$lib/client/workspace.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import Length from '../../ui/kit/Length.svelte';

  /** The picked hole: its mark, its room, and what can be done with it by hand. */
  interface Props {
    shown: ShownPlan;
    hole: PlannedHole;
    line: LaidLine;
  }
  let { shown, hole, line }: Props = $props();
  const preferences = usePreferences();
  /** to a tenth of a thou: finer than any mark */
  const exactly = (lengthIn: number) =>
    preferences.inWords(Math.round(lengthIn * 1e4) / 1e4, 'fine');
  const workspace = useWorkspace();
  const judged = $derived(shown.plan.existing.find((entry) => entry.hole === hole.number));
  const room = $derived(shown.plan.headroom.find((entry) => entry.hole === hole.number));
  const stepIn = $derived(1 / gridPerIn(shown.definition.scale));
  let markOpen = $state(false);
  let asking = $state(false);
  let reason = $state('');
  const REASONS = ['screw', 'nut plate', 'latch', 'blind rivet later', 'drain'];
  let drill = $state('');
  let asRivets = $state(false);
  let blind = $state('');
  let blindLeastIn = $state('');
  let blindMostIn = $state('');
  const part = $derived(readBlindPart(blind));
  const wrongGrip = $derived(
    [blindLeastIn, blindMostIn].some((text) => text.trim() !== '' && !parseLength(text).ok)
  );
  /** its size's own drill, while nobody has named another */
  function fitDrill(): void {
    if (drill.trim() === '' && part?.drill) drill = part.drill;
  }
  const wrongDrill = $derived(drill.trim() !== '' && readDrill(preferences.typed(drill)) === null);

  const edit = (change: Parameters<typeof workspace.edit>[0], what: string) =>
    workspace.edit(change, `hole ${line.key} ${hole.index} ${what}`);
  export function nudge(steps: number): void {
    edit(nudged(workspace.entered, hole, line, steps * stepIn), 'nudge');
  }
  export function hold(): void {
    if (hole.state === 'held-open')
      edit(withState(workspace.entered, hole, line.key, 'as-laid'), 'state');
    else asking = true;
  }
  function holdFor(why: string): void {
    if (why.trim() === '' || wrongDrill || wrongGrip) return;
    edit(
      withState(workspace.entered, hole, line.key, 'held-open', {
        reason: why.trim(),
        drill: preferences.typed(drill.trim()),
        asRivets,
        blind: blind.trim(),
        blindLeastIn,
        blindMostIn
      }),
      'state'
    );
    asking = false;
    reason = drill = blind = blindLeastIn = blindMostIn = '';
    asRivets = false;
  }
  export function pin(): void {
    if (hole.fixed === null) edit(pinned(workspace.entered, hole, line), 'pin');
    else edit(withoutFixed(workspace.entered, hole.fixed), 'unpin');
  }
  export function takeOut(): void {
    if (hole.fixed === null) edit(withState(workspace.entered, hole, line.key, 'removed'), 'state');
  }
  const fixedKind = $derived(
    hole.fixed === null ? null : (byId(shown.definition.fixed, hole.fixed)?.kind ?? null)
  );
</script>

<section class="hole" aria-label="Picked hole" data-testid="picked-hole">
  <p class="said">
    <strong>Hole {hole.number}</strong>
    <span class="hint">{line.name}</span>
    {#if hole.state === 'held-open'}<span class="open"
        >◇ open hole: {hole.reason}, {hole.openDrill
          ? `drill ${hole.openDrill.name}`
          : 'left at pilot size'}{hole.blind
          ? `, ${blindInWords(hole.blind, preferences.inWords)}`
          : ''}</span
      >{/if}
    {#if fixedKind}<span class="hint">{fixedKind === 'pinned' ? 'pinned' : 'existing hole'}</span
      >{/if}
    {#if judged}<span data-testid="existing-judged"
        >{existingInWords(judged, preferences.inWords)}</span
      >{/if}
  </p>
  <p class="said">
    {#if hole.crossMarkIn === null}
      <span>mark <Length lengthIn={hole.markIn} /></span>
      <span class="hint">exact {exactly(hole.alongIn - line.datumIn)}</span>
    {:else}
      <span
        >right <Length lengthIn={hole.markIn} />, down <Length lengthIn={hole.crossMarkIn} /></span
      >
    {/if}
    <span class="hint"
      >{same(hole.residualIn, 0)
        ? 'on the mark'
        : `mark is ${exactly(Math.abs(hole.residualIn))} ${hole.crossMarkIn !== null ? 'off' : hole.residualIn > 0 ? 'beyond' : 'short'}`}</span
    >
    {#if room}
      <span class="hint room">
        {room.largestDash > hole.dash
          ? `Rework: up to dash ${room.largestDash}`
          : LAYOUT.noRoomForALarger}
      </span>
    {/if}
  </p>
  <div class="acts">
    <button
      class="act small"
      type="button"
      onclick={() => nudge(-1)}
      aria-label="Move left one division"
      data-hint="Shift ←">◂</button
    >
    <button
      class="act small"
      type="button"
      onclick={() => nudge(1)}
      aria-label="Move right one division"
      data-hint="Shift →">▸</button
    >
    <button
      class="act small"
      type="button"
      aria-pressed={hole.state === 'held-open'}
      onclick={hold}
      title="H"
    >
      {hole.state === 'held-open' ? 'Rivet this hole' : LAYOUT.holdOpen}
    </button>
    <button
      class="act small"
      type="button"
      aria-pressed={hole.fixed !== null}
      onclick={pin}
      title="P"
    >
      {hole.fixed === null ? 'Pin' : LAYOUT.unpin}
    </button>
    {#if hole.fixed === null}
      <button class="act small" type="button" onclick={takeOut} data-hint="Delete"
        >Delete hole</button
      >
    {/if}
    <button
      class="act small sum"
      type="button"
      aria-expanded={markOpen}
      aria-label={LAYOUT.arithmeticOfTheMark}
      onclick={() => (markOpen = !markOpen)}><Mark name="arithmetic" size={20} /></button
    >
  </div>
  {#if asking && hole.state !== 'held-open'}
    <form
      class="why"
      onsubmit={(event) => {
        event.preventDefault();
        holdFor(reason);
      }}
    >
      <label class="label" for="own-blind">{BLINDS.fastener}</label>
      <input
        id="own-blind"
        class="field-box"
        bind:value={blind}
        onchange={fitDrill}
        maxlength="80"
        placeholder={BLINDS.fastenerEx}
      />
      {#if part?.grip}
        <p class="hint">
          {BLINDS.asItsNumber} grip over {preferences.inWords(part.grip.overIn)} up to {preferences.inWords(
            part.grip.mostIn
          )}; stack-up here: {preferences.inWords(hole.gripIn)}
        </p>
      {:else if blind.trim() !== ''}
        <div class="grips">
          <LengthField
            label={BLINDS.least}
            value={blindLeastIn}
            oninput={(text) => (blindLeastIn = text)}
          />
          <LengthField
            label={BLINDS.most}
            value={blindMostIn}
            oninput={(text) => (blindMostIn = text)}
          />
        </div>
        {#if wrongGrip}<p class="hint">Enter each grip as a length: 1/8, 0.125 or 3.2mm.</p>{/if}
        <p class="hint">Stack-up here: {preferences.inWords(hole.gripIn)}.</p>
      {/if}
      <label class="label" for="own-drill">Drill size</label>
      <input
        id="own-drill"
        class="field-box"
        bind:value={drill}
        maxlength="20"
        placeholder="#19, F or 0.190. Blank: stays at pilot size"
        aria-invalid={wrongDrill}
      />
      {#if wrongDrill}<p class="hint">Name a drill by number or letter, or its diameter.</p>{/if}
      {#if shown.definition.head === 'countersunk'}
        <label class="check"
          ><input type="checkbox" bind:checked={asRivets} /> Also dimple or countersink this hole tools
          too</label
        >
      {/if}
      <label class="label" for="why-open">Reason left open</label>
      <div class="acts">
        {#each REASONS as known (known)}
          <button
            data-testid="held-for {known}"
            class="act small"
            type="button"
            onclick={() => holdFor(known)}>{known}</button
          >
        {/each}
      </div>
      <div class="acts">
        <input
          id="why-open"
          class="field-box"
          bind:value={reason}
          maxlength="80"
          placeholder="or another reason"
        />
        <button class="act small" disabled={reason.trim() === ''}>Leave open</button>
      </div>
    </form>
  {/if}
</section>
{#if markOpen || workspace.arithmetic}
  <Arithmetic work={[...markWork(hole, line, shown.definition.scale), ...(judged?.work ?? [])]} />
{/if}

<style>
  .hole {
    position: relative;
    display: flex;
    flex-direction: column;
    gap: 4px;
    padding: 8px 12px;
    border-left: 5px solid var(--dye);
    border-radius: 8px;
    background: var(--dye-soft);
    font-variant-numeric: tabular-nums;
  }
  .said {
    padding-right: 52px;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 10px;
  }
  .hint {
    color: var(--ink);
  }
  .open {
    font-weight: 700;
    color: var(--amber);
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .acts .field-box {
    flex: 1;
    width: auto;
    min-width: 0;
  }
  .sum {
    position: absolute;
    right: 10px;
    top: 8px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .grips {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  .why {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
</style>
