<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { DRIVE } from '$lib/words/pages/drive';
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Snippet } from 'svelte';
  import { steadyPaceS } from '$core/driving/pace.ts';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import type { ReleaseCount } from '$core/releases/release-count.ts';
  import { drivenInWords, notDrivenInWords } from '$lib/words/counts.ts';
  import type { DriveDesk } from './drive-desk.svelte';
  import { objectionInWords } from '$lib/words/objections';
  import Notice from '../../ui/kit/Notice.svelte';
  import EarlierSheet from './EarlierSheet.svelte';
  import UnmetSheet from './UnmetSheet.svelte';

  /** The rivet that comes next and the taps that log it: as large as a gloved hand wants. */
  interface Props {
    desk: DriveDesk;
    /** every count of the release */
    count: ReleaseCount;
    person: string;
    /** where one says who is at the bench */
    whoHref: string;
    checkHref: string;
    /** who signed it: nothing is added to it, and nothing taken back; null while nobody has */
    signedBy: string | null;
    /** how the tool of a rivet’s run is set */
    setting: Snippet<[RivetRun]>;
  }
  let { desk, count, person, whoHref, checkHref, signedBy, setting }: Props = $props();
  const preferences = usePreferences();
  const here = $derived(desk.here);
  const rivet = $derived(here === null ? null : desk.rivetOf(here));
  const state = $derived(here === null ? undefined : desk.stateOf(here));
  const after = $derived.by(() => {
    if (here === null) return null;
    const at = desk.order.indexOf(here);
    const number = desk.order
      .slice(at + 1)
      .find((one) => !desk.stateOf(one)?.driven && !desk.heldBack.has(one));
    if (number === undefined) return null;
    const next = desk.rivetOf(number);
    return { number, changes: next?.partNumber !== rivet?.partNumber ? next?.partNumber : null };
  });
  /** the same that rivets out of the cold are reckoned by: of fewer it is chance */
  const steadyS = $derived(steadyPaceS(desk.pace));
  const holder = $derived(here === null ? undefined : desk.holders.moves.get(here));
  const row = $derived(here === null ? undefined : desk.holeOf(here)?.row);
  const rowLeft = $derived(
    desk.release.holes.filter(
      (hole) =>
        hole.row === row && !desk.stateOf(hole.number)?.driven && !desk.heldBack.has(hole.number)
    ).length
  );
  const run = $derived(desk.runs.find(({ holes }) => holes.some(({ number }) => number === here)));
  const done = $derived(here === null);
  const undoText = $derived(
    desk.undone.length > 1
      ? `Undo ${desk.undone.length} rivets`
      : desk.last === null
        ? 'Undo'
        : `Undo hole ${desk.last}`
  );
</script>

<section class="tap" aria-label="Next rivet" data-testid="tap-card">
  <p class="count">
    <strong>{drivenInWords(count)}</strong>
    {#if steadyS !== null}<span data-testid="pace"
        >{Math.round(steadyS)} s per rivet (median of {desk.pace?.gaps})</span
      >{/if}
    {#if desk.outbox.waiting.length > 0}<span class="waits" data-testid="waits"
        >{desk.outbox.waiting.length} unsent</span
      >{/if}
  </p>
  {#if signedBy !== null}
    <p class="all" data-testid="read-only">Signed by {signedBy}: read only.</p>
  {:else if done}
    {#if count.notDriven.length > 0}
      <p class="all">{notDrivenInWords(count)}</p>
    {:else if count.driven === count.holes}
      <p class="all">✓ All rivets logged as driven.</p>
    {/if}
    <a class="act main" href={checkHref}>Next: Inspect ▸</a>
  {:else if here !== null && rivet}
    <p class="which">
      <strong class="number" data-testid="next-rivet">{here}</strong>
      <span>
        <strong class="part">{rivet.partNumber}</strong><br />
        length {preferences.inWords(rivet.lengthIn)}, grip {preferences.inWords(rivet.gripIn)}<br
        />row {row}
      </span>
    </p>
    {#if run}{@render setting(run)}{/if}
    {#if holder}<p class="holder">
        ▢ Remove the temporary fastener from hole {here} first; {holder.to === null
          ? 'store it'
          : `move it to hole ${holder.to}`}.
      </p>{/if}
    {#if state?.driven}<p class="holder">
        {state.quick === 'more' ? '+ Driven; drive further.' : 'Already driven.'}
      </p>{/if}
    {#if desk.first.unmet.length > 0}
      <p class="unmet" data-testid="unmet">
        △ Not met: {desk.first.unmet.map(objectionInWords).join('; ')}.
      </p>
    {/if}
    {#if desk.refused}
      <Notice level="stop" title={COMMON.notLogged} text={preferences.refusal(desk.refused)} />
    {/if}
    {#if person === ''}
      <a class="act main" href={whoHref}>{CONNECTION.signInFirst}</a>
    {:else if desk.first.pending}
      <UnmetSheet {desk} {person} />
    {:else if desk.earlier.asked}
      <EarlierSheet {desk} asked={desk.earlier.asked} />
    {:else}
      <button
        data-testid="driven"
        class="act main driven"
        type="button"
        onclick={() => desk.tap(null)}>Driven <kbd>Space</kbd></button
      >
      <div class="looks">
        <button class="act" type="button" onclick={() => desk.tap('good')}
          >{DRIVE.good} <kbd>G</kbd></button
        >
        <button class="act" type="button" onclick={() => desk.tap('more')}
          >{DRIVE.more} <kbd>M</kbd></button
        >
        <button data-testid="look-again" class="act" type="button" onclick={() => desk.tap('again')}
          >! Flag <kbd>L</kbd></button
        >
      </div>
    {/if}
    <p class="hint">
      {#if after}then {after.number}{#if after.changes}<strong class="warns">
            · different rivet: {after.changes}</strong
          >{/if}{:else}the last one{/if}
    </p>
  {/if}
  {#each desk.waiting as { number, why } (number)}
    <p class="holder" data-testid="held-back">
      ◇ Hole {number}: {why === 'empty' ? 'empty, not measured yet' : 'a question is open'}.
    </p>
  {/each}
  {#if person !== '' && signedBy === null}
    <div class="row">
      <button
        data-testid="undo"
        class="act"
        type="button"
        disabled={desk.last === null}
        onclick={() => desk.undo()}>{undoText} <kbd aria-label="Backspace">⌫</kbd></button
      >
      {#if row !== undefined && rowLeft > 0}
        <button
          data-testid="row-driven"
          class="act"
          type="button"
          onclick={() => row !== undefined && desk.rowDone(row)}
          >Mark row {row} driven ({rowLeft} rivets)</button
        >
      {/if}
    </div>
  {/if}
</section>

<style>
  .tap {
    display: grid;
    gap: 8px;
    padding: 12px 14px;
    border: 2px solid var(--dye);
    border-radius: 10px;
  }
  .count,
  .row,
  .looks {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 6px 14px;
    font-variant-numeric: tabular-nums;
  }
  .row {
    align-items: stretch;
  }
  .waits {
    padding: 0 8px;
    border-radius: 999px;
    background: var(--amber-soft);
    color: var(--amber);
  }
  .all {
    font-size: 1.3rem;
    font-weight: 700;
  }
  .which {
    display: flex;
    align-items: center;
    gap: 14px;
    font-variant-numeric: tabular-nums;
  }
  .number {
    min-width: 4.2rem;
    font-size: 3.4rem;
    line-height: 1;
    text-align: center;
    color: var(--dye);
  }
  .part {
    font-size: 1.2rem;
  }
  .holder {
    padding: 6px 10px;
    border-radius: 8px;
    background: var(--bench);
    font-weight: 600;
  }
  .unmet {
    color: var(--amber);
    font-weight: 600;
  }
  .driven {
    min-height: 84px;
    font-size: 1.6rem;
  }
  .row kbd {
    min-width: 1.6em;
  }
  /* under the thumb wherever one has scrolled to */
  @media (pointer: coarse) {
    .driven {
      position: fixed;
      inset: auto 0 0 auto;
      z-index: 5;
      width: 404px;
      border-radius: 0;
    }
  }
  @media (pointer: coarse) and (max-width: 900px) {
    .driven {
      width: auto;
      left: 0;
    }
  }
  /* above the rail of a phone; what it covers can be scrolled out from under it */
  @media (pointer: coarse) and (max-width: 700px) {
    .driven {
      bottom: 60px;
    }
  }
  @media (pointer: coarse) {
    .tap {
      margin-bottom: 84px;
    }
  }
  .driven kbd {
    background: transparent;
    border-color: currentColor;
    color: inherit;
  }
  .looks > button {
    flex: 1;
    min-height: 60px;
    white-space: nowrap;
    padding: 0 8px;
  }
  .row > button {
    flex: 1;
  }
</style>
