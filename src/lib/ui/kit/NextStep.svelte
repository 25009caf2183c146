<script lang="ts" module>
  export type StepLevel = 'go' | 'good' | 'attention' | 'stop';
</script>

<script lang="ts">
  import { KIT } from '$lib/words/pages/kit';
  import type { Snippet } from 'svelte';
  import type { WorkLine } from '$core/answer.ts';
  import Mark from '../marks/Mark.svelte';
  import Arithmetic from './Arithmetic.svelte';

  /** The next step of a guide, large, with why and its arithmetic. */
  interface Props {
    level: StepLevel;
    say: string;
    why: string;
    work: readonly WorkLine[];
    source: string;
    children?: Snippet;
  }
  let { level, say, why, work, source, children }: Props = $props();
  let opened = $state(false);
  const SIGNS = { go: '→', good: '✓', attention: '△', stop: '✕' };
</script>

<section class={level} aria-label="What to do next" aria-live="polite" data-testid="guide">
  <div class="head">
    <p class="say">
      <span aria-hidden="true">{SIGNS[level]}</span>
      {say}
    </p>
    {#if work.length > 0}
      <button
        class="act small"
        type="button"
        aria-expanded={opened}
        aria-label={KIT.arithmeticOfTheNextSetting}
        onclick={() => (opened = !opened)}><Mark name="arithmetic" size={20} /></button
      >
    {/if}
  </div>
  <p>
    {why}
    {@render children?.()}
  </p>
  {#if opened}<Arithmetic {work} {source} />{/if}
</section>

<style>
  section {
    padding: 10px 16px;
    border-left: 8px solid var(--dye);
    border-radius: 10px;
    background: var(--dye-soft);
  }
  .say {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.55rem;
    line-height: 1.2;
    font-variant-numeric: tabular-nums;
  }
  .head {
    display: flex;
    align-items: start;
    justify-content: space-between;
    gap: 10px;
  }
  .good {
    border-color: var(--olive-fill);
    background: var(--olive-soft);
  }
  .attention {
    border-color: var(--amber-line);
    background: var(--amber-soft);
  }
  .stop {
    border-color: var(--brick-line);
    background: var(--brick-soft);
  }
</style>
