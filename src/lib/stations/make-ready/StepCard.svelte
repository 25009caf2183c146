<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Snippet } from 'svelte';
  import type { StepProgress } from '$core/ready/progress.ts';
  import type { ReadyStep } from '$core/ready/step-list.ts';
  import { asRanges } from '$core/units/ranges.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import { stepInWords } from '$lib/words/ready-steps';
  import { stepChangesInWords } from '$lib/words/changes';

  /** One step in full: what, with what, how many, what hurts, and how far it is. */
  interface Props {
    step: ReadyStep;
    number: number;
    progress: StepProgress;
    /** when it was begun, if someone times it */
    begunAt: number | null;
    arithmetic: boolean;
    big?: boolean;
    onbegin: () => void;
    ontick: (done: boolean) => void;
    /** what belongs to this step alone */
    children?: Snippet;
  }
  let {
    step,
    number,
    progress,
    begunAt,
    arithmetic,
    big = false,
    onbegin,
    ontick,
    children
  }: Props = $props();
  const preferences = usePreferences();
  const words = $derived(stepInWords(step, preferences.inWords));
  const when = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });
  const minutes = (value: number) =>
    value < 1 ? 'under a minute' : `about ${Math.round(value)} min`;
</script>

<article class="step" class:big data-testid="step-card">
  <h3>
    <span class="no">{number}</span>
    {words.title}
  </h3>
  <p class="count">
    <strong>{step.count}</strong>
    {step.unit}<small>, {minutes(step.minutes)}</small>
    {#if words.tool !== ''}
      <span class="tool"
        ><strong>{words.tool}</strong>{#if words.setting !== ''}, {words.setting}{/if}</span
      >
    {/if}
  </p>
  <p>{words.say}</p>
  {@render children?.()}
  {#if words.caution !== ''}<p class="caution">△ {words.caution}</p>{/if}
  {#if progress.changed.length > 0}
    <p class="caution">
      △ Ticked off before this was changed: {stepChangesInWords(progress.changed)}. Not done as it
      is now; look again.
    </p>
  {/if}
  <div class="acts">
    {#if progress.done}
      <p class="done">
        ✓ done{#if progress.last}, {progress.last.by}, {when.format(
            new Date(progress.last.at)
          )}{/if}
      </p>
      <button class="act" type="button" onclick={() => ontick(false)}>Not done after all</button>
    {:else}
      <button class="act main" type="button" onclick={() => ontick(true)}>Done</button>
      <button class="act" type="button" disabled={begunAt !== null} onclick={onbegin}
        >{begunAt === null ? 'Time it' : 'Being timed'}</button
      >
      {#if step.holes.length > 0}
        <span class="hint"
          >{progress.holes.size} of {step.holes.length} holes{progress.holes.size === 0
            ? big
              ? ''
              : ': tap them on the plan'
            : `; left: ${asRanges(step.holes.filter((hole) => !progress.holes.has(hole)))}`}</span
        >
      {/if}
    {/if}
  </div>
  {#if arithmetic}<Arithmetic
      work={step.work}
      source="times: recorded, the shop’s, or a starting estimate"
    />{/if}
</article>

<style>
  .step {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
  h3 {
    font-size: 1.25rem;
  }
  .no {
    color: var(--ink-soft);
  }
  .count {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px;
  }
  .tool {
    margin-left: 1.2em;
  }
  .count > strong {
    font-size: 1.6rem;
    font-variant-numeric: tabular-nums;
  }
  .caution {
    color: var(--amber);
    font-weight: 700;
  }
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
  .big {
    gap: 14px;
    font-size: 1.5rem;
  }
  .big h3 {
    font-size: clamp(1.8rem, 5vw, 3.4rem);
    line-height: 1.1;
  }
  .big .count > strong {
    font-size: clamp(3rem, 10vw, 7rem);
    line-height: 1;
  }
  .big :global(.act) {
    min-height: 72px;
    padding-inline: 2rem;
    font-size: 1.4rem;
  }
</style>
