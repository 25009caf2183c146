<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { DRIVE } from '$lib/words/pages/drive';
  import { whenInWords } from '$lib/words/when';
  import { holesNamed, plural } from '$lib/words/writing';
  import { untrack } from 'svelte';
  import type { DriveDesk } from './drive-desk.svelte';

  /** Heads were inspected before anybody logged their driving: were they driven before that? */
  interface Props {
    desk: DriveDesk;
    asked: NonNullable<DriveDesk['earlier']['asked']>;
  }
  let { desk, asked }: Props = $props();
  const first = $derived(
    asked.holes
      .flatMap((hole) => desk.earlier.lookedAt().get(hole) ?? [])
      .reduce((least, at) => (at < least ? at : least))
  );
  const cold = $derived(asked.holes.some((hole) => desk.isCold(hole)));
  const MINUTE_MS = 60_000;
  /** an instant as the field has it: the reader’s own clock, whole minutes */
  const local = (ms: number): string => {
    const at = new Date(ms);
    return new Date(ms - at.getTimezoneOffset() * MINUTE_MS).toISOString().slice(0, 16);
  };
  const earliestMs = $derived(desk.earlier.earliestMs(asked.holes));
  const proposedMs = untrack(() => Math.max(earliestMs, Date.parse(first) - MINUTE_MS));
  let when = $state(local(proposedMs));
  /** the field has whole minutes: what is proposed, and the minute of the release, stand for their exact time */
  const ms = $derived(
    [proposedMs, earliestMs].find((exact) => local(exact) === when) ?? Date.parse(when)
  );
  const wrong = $derived(
    Number.isNaN(ms)
      ? 'Enter date and time.'
      : ms < earliestMs
        ? `That is before the release, or before the last rivet was removed. Earliest time: ${whenInWords(new Date(earliestMs).toISOString())}.`
        : ms > Date.parse(first)
          ? 'That is after the first inspection: inspect the heads again instead.'
          : ''
  );
</script>

<div class="earlier" data-testid="earlier-sheet" role="group" aria-label="Inspected before">
  <p>
    <strong
      >{plural(asked.holes.length, 'head')} already inspected: {asked.holes.length === 1
        ? 'hole'
        : 'holes'}
      {holesNamed(asked.holes)}. Driven before that?</strong
    >
  </p>
  <label
    ><span class="label">{DRIVE.drivenWhen}</span>
    <input
      class="field-box"
      type="datetime-local"
      bind:value={when}
      aria-invalid={wrong !== ''}
    /></label
  >
  {#if wrong !== ''}<p class="warns" role="alert">{wrong}</p>{/if}
  <p class="hint">
    It is kept as stated by you, beside the time of this entry.{cold
      ? ' Icebox rivets count by the time of this entry: out longer than their limit, they are late.'
      : ''}
  </p>
  <div class="in-a-row">
    <button
      class="act main"
      type="button"
      disabled={wrong !== ''}
      onclick={() => desk.earlier.answer(new Date(ms).toISOString())}>{DRIVE.logAsEarlier}</button
    >
    <button class="act" type="button" onclick={() => desk.earlier.answer(null)}
      >{DRIVE.inspectAgain}</button
    >
    <button class="act" type="button" onclick={() => (desk.earlier.asked = null)}
      >{COMMON.back}</button
    >
  </div>
</div>

<style>
  .earlier {
    display: grid;
    gap: 10px;
  }
</style>
