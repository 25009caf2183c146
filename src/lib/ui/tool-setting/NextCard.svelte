<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import {
    diesInWords,
    foundInWords,
    gunInWords,
    squeezerInWords,
    toolStatusInWords
  } from '$lib/words/tool-settings';
  import NextStep, { type StepLevel } from '../kit/NextStep.svelte';
  import Notice from '../kit/Notice.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** The next step of setting a tool, or of using it once it is set; or why no setting of it makes a good head. */
  interface Props {
    desk: ToolDesk;
  }
  let { desk }: Props = $props();
  const preferences = usePreferences();
  const LEVELS: Record<string, StepLevel> = {
    done: 'good',
    measure: 'attention',
    stuck: 'attention',
    opener: 'attention',
    'over-driven': 'stop',
    'short-of-metal': 'stop',
    cracked: 'stop',
    contradiction: 'stop'
  };
  const { guide, status } = $derived(desk);
  const { found } = $derived(desk.state);
  const next = $derived.by(() => {
    const length = preferences.inWords;
    if (guide.tool === 'dies') {
      const { said } = guide.guide;
      return { state: said.state, ...diesInWords(said), work: [] };
    }
    if (!guide.answer.ok) return null;
    const { work } = guide.answer.result;
    if (guide.tool === 'gun') {
      const { said } = guide.answer.result;
      return { state: said.state, ...gunInWords(said, length), work };
    }
    const { said } = guide.answer.result;
    return {
      state: said.state,
      ...squeezerInWords(said, guide.setup.divisionsPerTurn, length),
      work
    };
  });
</script>

{#if found}
  <NextStep
    level={status.state === 'released' ? 'good' : status.state === 'look' ? 'attention' : 'go'}
    say="{toolStatusInWords(status, preferences.inWords)}."
    why="{foundInWords(found, desk.view.setup)}: {status.state === 'first'
      ? 'new rivets or dimples in scrap, each in one pass, no adjustment in between.'
      : 're-check after a day, with another lot, at another grip.'}"
    work={next?.work ?? []}
    source="from the open side; qualified by three good heads"
  />
{:else if next}
  <NextStep
    level={LEVELS[next.state] ?? 'go'}
    say={next.say}
    why={next.why}
    work={next.work}
    source="always from the open side: a head driven too low cannot be undone"
  />
{:else if guide.tool !== 'dies' && !guide.answer.ok}
  <Notice
    level="stop"
    title="This rivet cannot form a good head"
    text={preferences.refusal(guide.answer.error.said)}
  />
{/if}
