<script lang="ts">
  import type { ReadyProgress } from '$core/prepare/progress.ts';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { stepInWords } from '$lib/words/ready-steps';
  import { minutes } from './minutes.ts';

  /** The steps in their order, each to be ticked off or opened. */
  interface Props {
    steps: readonly ReadyStep[];
    progress: ReadyProgress;
    /** the one that is open */
    current: string | null;
    /** the joint is stopped: why there are none */
    stopped: boolean;
    ontick: (step: ReadyStep, done: boolean) => void;
    onchoose: (key: string) => void;
  }
  let { steps, progress, current, stopped, ontick, onchoose }: Props = $props();
  const preferences = usePreferences();
</script>

<ol class="steps" data-testid="steps">
  {#each steps as one, index (one.key)}
    {@const of = progress.steps[index]}
    {@const words = stepInWords(one, preferences.inWords)}
    <li class:current={one.key === current}>
      <button
        class="tick"
        data-testid="tick"
        data-tick={one.key}
        type="button"
        aria-pressed={of?.done ?? false}
        aria-label="{of?.done ? 'Undo' : 'Complete'}: {words.title}"
        onclick={() => ontick(one, !(of?.done ?? false))}
        >{of?.done ? '✓' : of && of.share > 0 ? `${Math.floor(100 * of.share)}%` : ''}</button
      >
      <button
        class="name"
        type="button"
        data-step={one.key}
        aria-current={one.key === current ? 'step' : undefined}
        onclick={() => onchoose(one.key)}
      >
        <span
          >{words.title}
          {#if of && of.changed.length > 0}<span class="warns">△ redo</span>{/if}</span
        >
        <small
          >{one.count}
          {one.unit}{words.tool === '' ? '' : ` · ${words.tool}`} · {one.minutes < 1
            ? 'under 1 min'
            : minutes(one.minutes)}</small
        >
      </button>
    </li>
  {:else}
    <li class="hint">
      {stopped
        ? 'Blocked. Fix the issue first to see the steps. Completed steps are kept.'
        : 'The steps are listed once the joint can be laid out.'}
    </li>
  {/each}
</ol>

<style>
  .steps {
    padding: 0;
    list-style: none;
  }
  .steps li {
    display: grid;
    grid-template-columns: 52px minmax(0, 1fr);
    align-items: stretch;
    border-bottom: 1px solid var(--line);
  }
  .steps li.hint {
    display: block;
  }
  .steps .current {
    background: var(--olive-soft);
  }
  .tick {
    margin: 4px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    min-height: 44px;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
    cursor: pointer;
  }
  .tick[aria-pressed='true'] {
    background: var(--olive-deep);
    border-color: var(--olive-deep);
    color: var(--paper);
  }
  .name {
    padding: 6px 4px;
    text-align: left;
    line-height: 1.25;
    cursor: pointer;
  }
  .name small {
    display: block;
    color: var(--ink-soft);
  }
</style>
