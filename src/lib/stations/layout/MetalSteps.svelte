<script lang="ts">
  import { metalSteps } from '$core/plan/metal-steps.ts';
  import type { JointLayout } from '$core/plan/plan-shape.ts';
  import MeasuredSpan from './MeasuredSpan.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import { metalStepInWords } from '$lib/words/metal-steps';

  /** What to do on the metal, in order, every number filled in. */
  interface Props {
    layout: JointLayout;
  }
  let { layout }: Props = $props();
  const steps = $derived(metalSteps(layout).map((said) => ({ said, ...metalStepInWords(said) })));
  const evenly = $derived(
    new Set(layout.lines.filter(({ pitchIn }) => pitchIn !== null).map(({ key }) => key))
  );
</script>

<ol data-testid="metal-steps">
  {#each steps as step, index (index)}
    <li>
      <span class="no">{index + 1}</span>
      <div>
        <h2>{step.title}</h2>
        <p>
          {#each step.say as part, at (at)}{#if typeof part === 'string'}{part}{:else}<strong
                ><Length lengthIn={part.lengthIn} /></strong
              >{/if}{/each}
        </p>
        {#if step.said.code === 'end-holes' && evenly.has(step.said.key)}
          <MeasuredSpan line={step.said.key} />
        {/if}
      </div>
    </li>
  {/each}
</ol>
<p class="hint">
  Eye protection for drilling. Clamp small parts; no gloves near a rotating drill. Chips and edges
  cut.
</p>

<style>
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
    gap: 8px 20px;
    max-height: calc(100% - 30px);
    overflow-y: auto;
    align-content: start;
  }
  li {
    display: grid;
    grid-template-columns: 34px 1fr;
    gap: 10px;
    padding: 8px 12px 8px 8px;
    background: var(--panel);
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  .no {
    display: flex;
    align-items: center;
    justify-content: center;
    width: 32px;
    height: 32px;
    border-radius: 50%;
    background: var(--ink);
    color: var(--paper);
    font-weight: 700;
  }
  h2 {
    font-size: 1rem;
  }
</style>
