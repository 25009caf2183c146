<script lang="ts">
  import type { FlushTool } from '$core/stack/flush-tools.ts';
  import type { FlushView } from '$core/plan/stack-view.ts';
  import { below } from '$core/units/tolerance.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { notationInWords } from '$lib/words/arithmetic';
  import { LEADS, questionInWords, toolInWords } from '$lib/words/flush';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';

  /** How the flush rule was walked, and the tools it asks for under both angle schools. */
  interface Props {
    flush: FlushView;
    school: 'stepped' | 'all-100';
  }
  let { flush, school }: Props = $props();
  const preferences = usePreferences();
  const NAMES = { stepped: 'stepped angles', 'all-100': 'all 100°' };
  const other = $derived(school === 'stepped' ? 'all-100' : 'stepped');
</script>

{#snippet list(tools: readonly FlushTool[])}
  <ol>
    {#each tools as tool, index (index)}
      <li>
        <strong>{tool.name}</strong>
        {toolInWords(tool, preferences.inWords)}
        {#if tool.op === 'countersink'}
          <small>
            {below(tool.wallIn, 0)
              ? `goes ${preferences.inWords(-tool.wallIn, 'fine')} through: a knife edge`
              : `${preferences.inWords(Math.max(0, tool.wallIn), 'fine')} left under the countersink`}
            {#if tool.byTrial}
              · starting depth; finish by trial with a dimpled coupon{/if}
          </small>
        {/if}
      </li>
    {/each}
  </ol>
{/snippet}

<div class="rule" data-testid="flush-rule">
  <section aria-labelledby="walked">
    <h2 id="walked" class="label">How the method was selected</h2>
    <ol class="steps">
      {#each flush.path as step, index (index)}
        <li class:last={index === flush.path.length - 1}>
          <span class="answer">{step.yes ? 'yes' : 'no'}</span>
          <span
            >{questionInWords(step.question, preferences.inWords)}<small
              >{notationInWords(step.numbers, preferences.lengths)}</small
            ></span
          >
          <span class="leads">→ {LEADS[step.leads]}</span>
        </li>
      {/each}
    </ol>
  </section>
  <section aria-labelledby="tools">
    <h2 id="tools" class="label">Tools, {NAMES[school]}</h2>
    {@render list(flush.tools)}
    <p class="hint">
      Cutter’s pilot: {flush.pilot.drill}, {preferences.inWords(flush.pilot.diameterIn)}, as the
      hole. Drive dimpled joints dead straight: a clinched or offset rivet cracks the lip.
    </p>
    {#if flush.otherTools}
      <h2 class="label">Other practice: {NAMES[other]}</h2>
      {@render list(flush.otherTools)}
    {/if}
    {#each flush.tools as tool, index (index)}
      {#if tool.op === 'countersink'}<Arithmetic
          work={tool.work}
          source="published head depth and its nest"
        />{/if}
    {/each}
  </section>
</div>

<style>
  .rule {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 16px;
    min-height: 100%;
    padding: 8px 12px;
    background: var(--panel);
  }
  ol {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 3px 0;
    border-bottom: 1px solid var(--line);
    line-height: 1.25;
  }
  .steps li {
    display: grid;
    grid-template-columns: 2.4rem minmax(0, 1fr) minmax(0, 0.8fr);
    gap: 8px;
  }
  small {
    display: block;
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .answer {
    font-weight: 700;
  }
  .leads {
    color: var(--ink-soft);
  }
  .last .leads {
    color: var(--ink);
    font-weight: 700;
  }
  @media (max-width: 700px) {
    .rule {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
