<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { StepProgress } from '$core/prepare/progress.ts';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import { asRanges } from '$core/units/ranges.ts';
  import { stepChangesInWords } from '$lib/words/changes';
  import { stepInWords } from '$lib/words/ready-steps';

  /** What hurts at a step, how far it is, and its ticks: for the whole, or row by row where it has rows. */
  interface Props {
    step: ReadyStep;
    progress: StepProgress;
    begunAt: number | null;
    onbegin: () => void;
    ontick: (done: boolean) => void;
    /** holes of the step along each line, to be ticked at once */
    rows?: readonly { name: string; holes: readonly number[] }[];
    onrow?: (holes: readonly number[]) => void;
    big?: boolean;
  }
  let {
    step,
    progress,
    begunAt,
    onbegin,
    ontick,
    rows = [],
    onrow = () => undefined,
    big = false
  }: Props = $props();
  const preferences = usePreferences();
  const words = $derived(stepInWords(step, preferences.inWords));
  const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });
  const open = $derived(
    rows
      .map(({ name, holes }) => ({ name, left: holes.filter((hole) => !progress.holes.has(hole)) }))
      .filter(({ left }) => left.length > 0)
  );
</script>

{#if words.caution !== ''}<p class="warns-strong">△ {words.caution}</p>{/if}
{#if progress.changed.length > 0}
  <p class="warns-strong">
    △ Changed after completion: {stepChangesInWords(progress.changed)}. Redo this step.
  </p>
{/if}
<div class="acts" class:big>
  {#if progress.done}
    <p class="done">
      ✓ done{#if progress.last}, {progress.last.by}, {when.format(new Date(progress.last.at))}{/if}
    </p>
    <button class="act" type="button" onclick={() => ontick(false)}>Undo</button>
  {:else}
    <button class="act main" type="button" onclick={() => ontick(true)}>{COMMON.done}</button>
    <button class="act" type="button" disabled={begunAt !== null} onclick={onbegin}
      >{begunAt === null ? 'Start timer' : 'Timing…'}</button
    >
    {#if rows.length > 1}
      {#each open as { name, left } (name)}
        <button data-testid="{name} done" class="act row" type="button" onclick={() => onrow(left)}
          >{name} done <small>{left.length} holes</small></button
        >
      {/each}
    {/if}
    {#if step.holes.length > 0}
      <span class="hint"
        >{progress.holes.size} of {step.holes.length} holes{progress.holes.size === 0
          ? ': tap them on the plan'
          : `; left: ${asRanges(step.holes.filter((hole) => !progress.holes.has(hole)))}`}</span
      >
    {/if}
  {/if}
</div>

<style>
  .done {
    color: var(--olive-deep);
    font-weight: 700;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
  }
  .row small {
    font-weight: 400;
    color: var(--ink-soft);
  }
  .big {
    gap: 8px;
  }
  .big .act {
    min-height: clamp(48px, 9vh, 72px);
    padding-inline: 1.2rem;
    font-size: clamp(1rem, 3vh, 1.4rem);
  }
</style>
