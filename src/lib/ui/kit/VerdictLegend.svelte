<script lang="ts">
  import type { MarkCounts } from '$core/releases/release-count.ts';
  import { RESULT_NAMES } from '$lib/words/results.ts';
  import TermText from './TermText.svelte';
  import VerdictMark from './VerdictMark.svelte';

  /** What each mark on the hole map means, with how many there are. */
  interface Props {
    marks: MarkCounts;
  }
  let { marks }: Props = $props();
  const ALWAYS = ['accept', 'drive-more', 'replace', 'refer', 'to-do'] as const;
  const SOMETIMES = ['not-complete', 'measure', 'out', 'left'] as const;
  const counts = $derived(
    [...ALWAYS, ...SOMETIMES.filter((mark) => marks[mark] > 0)].map((kind) => ({
      kind,
      count: marks[kind]
    }))
  );
</script>

<ul class="legend" data-testid="legend">
  {#each counts as { kind, count } (kind)}
    <li>
      <svg viewBox="-14 -14 28 28" width="28" height="28"><VerdictMark {kind} radius={10} /></svg>
      <TermText text={RESULT_NAMES[kind]} />
      <strong>{count}</strong>
    </li>
  {/each}
</ul>

<style>
  .legend {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 26px;
  }
  li {
    display: flex;
    align-items: center;
    gap: 6px;
    font-size: 0.95rem;
    font-variant-numeric: tabular-nums;
  }
</style>
