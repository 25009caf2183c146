<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { contradicts } from '$core/ready/cage/doubts.ts';
  import type { CageGuide } from '$core/ready/cage/guide.ts';
  import Arithmetic from '../kit/Arithmetic.svelte';
  import Length from '../kit/Length.svelte';
  import { guideInWords } from '$lib/words/cages';

  /** The next step of setting a cage, large, with why and its arithmetic. */
  interface Props {
    guide: CageGuide;
  }
  let { guide }: Props = $props();
  const preferences = usePreferences();
  let opened = $state(false);
  const LEVELS: Record<CageGuide['said']['state'], 'go' | 'good' | 'attention' | 'stop'> = {
    first: 'go',
    deeper: 'go',
    'more-holes': 'go',
    'from-deep': 'attention',
    uneven: 'attention',
    unfit: 'attention',
    stuck: 'attention',
    'too-deep': 'stop',
    set: 'good'
  };
  const words = $derived(guideInWords(guide, preferences.inWords));
  const SIGNS = { go: '→', good: '✓', attention: '△', stop: '✕' };
  const level = $derived(
    LEVELS[guide.said.state] === 'go' && contradicts(guide.doubts)
      ? 'attention'
      : LEVELS[guide.said.state]
  );
</script>

<section class={level} aria-label="What to do next" aria-live="polite" data-testid="guide">
  <div class="head">
    <p class="say">
      <span aria-hidden="true">{SIGNS[level]}</span>
      {words.say}
    </p>
    <button
      class="act small"
      type="button"
      aria-expanded={opened}
      aria-label="Arithmetic of the next setting"
      onclick={() => (opened = !opened)}>Σ</button
    >
  </div>
  <p>
    {words.why}
    {#if guide.line}
      A click is <Length lengthIn={-guide.line.slopePerClickIn} decimal /> deep, {guide.line
        .confidence === 'measured'
        ? 'as measured here.'
        : 'until the trials show more.'}
    {/if}
  </p>
  {#if opened}<Arithmetic
      work={guide.work}
      source="always from the shallow side; the deepest hole of a setting decides"
    />{/if}
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
