<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { contradicts } from '$core/prepare/cage/doubts.ts';
  import type { CageGuide } from '$core/prepare/cage/guide.ts';
  import Length from '../kit/Length.svelte';
  import NextStep, { type StepLevel } from '../kit/NextStep.svelte';
  import { guideInWords } from '$lib/words/cages';

  /** The next step of setting a cage. */
  interface Props {
    guide: CageGuide;
  }
  let { guide }: Props = $props();
  const preferences = usePreferences();
  const LEVELS: Record<CageGuide['said']['state'], StepLevel> = {
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
  const level = $derived(
    LEVELS[guide.said.state] === 'go' && contradicts(guide.doubts)
      ? 'attention'
      : LEVELS[guide.said.state]
  );
</script>

<NextStep
  {level}
  say={words.say}
  why={words.why}
  work={guide.work}
  source="always from the shallow side; the deepest hole of a setting decides"
>
  {#if guide.line}
    A click is <Length lengthIn={-guide.line.slopePerClickIn} decimal /> deep, {guide.line
      .confidence === 'measured'
      ? 'as measured here.'
      : 'until more test holes are cut.'}
  {/if}
</NextStep>
