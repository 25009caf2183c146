<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Snippet } from 'svelte';
  import type { StepProgress } from '$core/prepare/progress.ts';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import StepActs from './StepActs.svelte';
  import { stepInWords } from '$lib/words/ready-steps';

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
  const minutes = (value: number) =>
    value < 1 ? 'under a minute' : `about ${Math.round(value)} min`;
</script>

<article class="step" class:big data-testid="step-card">
  <h2>
    <span class="quiet-text">{number}</span>
    {words.title}
  </h2>
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
  {#if !big}<StepActs {step} {progress} {begunAt} {onbegin} {ontick} />{/if}
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
  h2 {
    font-size: 1.25rem;
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
  /* by the height there is: nothing of a step lies below the fold */
  .big {
    gap: min(14px, 2cqh);
    font-size: clamp(1rem, 4.2cqh, 1.5rem);
  }
  .big h2 {
    font-size: clamp(1.2rem, 8cqh, 3rem);
    line-height: 1.1;
  }
  .big .count > strong {
    font-size: clamp(1.8rem, 16cqh, 6rem);
    line-height: 1;
  }
</style>
