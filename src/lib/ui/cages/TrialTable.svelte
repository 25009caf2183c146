<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { explaining, FALSE_READINGS, type FalseReading } from '$core/prepare/cage/doubts.ts';
  import type { CageGuide } from '$core/prepare/cage/guide.ts';
  import type { CageDesk } from '$lib/ui/cages/cage-desk.svelte';
  import Length from '../kit/Length.svelte';
  import TrialList from '../kit/TrialList.svelte';
  import { doubtInWords, FALSE_READING_WORDS } from '$lib/words/cages';

  /** Every trial hole with a way to strike a false one, and what makes readings false. */
  interface Props {
    desk: CageDesk;
    guide: CageGuide;
  }
  let { desk, guide }: Props = $props();
  const preferences = usePreferences();
  const FROM = { typed: 'typed', gauge: 'gauge', simulated: 'simulated' };
  const doubted = $derived(new Set(guide.doubts.flatMap(({ readings }) => readings)));
  const likely = $derived(explaining(guide.doubts));
  const causes = $derived([
    ...likely,
    ...(Object.keys(FALSE_READINGS) as FalseReading[]).filter((key) => !likely.includes(key))
  ]);
  const HEADS = [{ text: 'Clicks' }, { text: 'Read' }, { text: 'By', words: true }];
</script>

{#if guide.doubts.length > 0}
  <section class="doubts" aria-labelledby="doubts" data-testid="doubts">
    <h2 id="doubts" class="label">△ Inconsistent readings</h2>
    {#each guide.doubts as doubt (doubt.kind + doubt.readings.join())}<p>
        {doubtInWords(doubt, preferences.inWords)}
      </p>{/each}
    <ul>
      {#each causes as key (key)}
        <li class:likely={likely.includes(key)}>
          <strong>{FALSE_READING_WORDS[key].cause}.</strong>
          {FALSE_READING_WORDS[key].look}
        </li>
      {/each}
    </ul>
  </section>
{/if}
<TrialList
  title="Test holes"
  one="Hole"
  trials={desk.state.trials}
  heads={HEADS}
  {doubted}
  open={!desk.state.found}
  onstrike={(reading, why) => desk.add({ kind: 'struck', reading, why })}
>
  {#snippet cells(reading)}
    <td>{reading.clicks}</td>
    <td><Length lengthIn={reading.flushnessIn} decimal signed /></td>
    <td class="words"
      >{reading.by.split(' ')[0]}, {FROM[reading.from]}{reading.cameUp
        ? ', came up'
        : ''}{reading.struck === null ? '' : `; voided: ${reading.struck}`}</td
    >
  {/snippet}
</TrialList>

<style>
  .doubts {
    padding: 8px 12px;
    border-left: 5px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
  ul {
    padding-left: 1.2em;
    list-style: disc;
  }
  li {
    color: var(--ink-soft);
  }
  .likely {
    color: var(--ink);
  }
</style>
