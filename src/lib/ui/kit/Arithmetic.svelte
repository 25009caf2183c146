<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { WorkLine } from '$core/answer.ts';
  import { figureInWords, workInWords } from '$lib/words/arithmetic';

  /** The arithmetic behind a number, line by line. */
  interface Props {
    work: readonly WorkLine[];
    /** the school or rule it rests on */
    source?: string;
  }
  let { work, source = '' }: Props = $props();
  const preferences = usePreferences();
  const written = $derived(work.map((line) => workInWords(line, preferences.lengths)));
</script>

<div class="work" data-testid="arithmetic">
  {#each written as line, index (index)}
    <p>
      <span class="what">{line.label}</span>
      <span class="how">{line.formula}</span>
      <span class="is">= {figureInWords(line.value)}{line.unit === '' ? '' : ` ${line.unit}`}</span>
    </p>
  {/each}
  {#if source}<p class="source">{source}</p>{/if}
</div>

<style>
  .work {
    border: 1.5px dashed var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
    padding: 0.4rem 0.7rem;
    font-size: var(--small);
    font-variant-numeric: tabular-nums;
  }
  p {
    display: grid;
    grid-template-columns: 1fr auto;
    column-gap: 0.75rem;
    padding: 0.2rem 0;
  }
  p + p {
    border-top: 1px solid var(--line);
  }
  .what {
    grid-column: 1 / -1;
    color: var(--ink-soft);
    font-size: 0.9em;
  }
  .how {
    overflow-wrap: anywhere;
  }
  .is {
    font-weight: 700;
    white-space: nowrap;
  }
  .source {
    display: block;
    color: var(--ink-soft);
  }
</style>
