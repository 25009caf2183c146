<script lang="ts">
  import type { HoleState } from '$core/check/hole-events.ts';
  import VerdictMark, { MARK_WORDS, type MarkKind } from './VerdictMark.svelte';

  /** What each mark on the hole map means, with how many there are. */
  interface Props {
    states: Map<number, HoleState>;
  }
  let { states }: Props = $props();
  const KINDS = ['accept', 'drive-more', 'replace', 'refer', 'to-do'] as const;
  const counts = $derived.by(() => {
    const kinds = [...states.values()].map(
      (state): MarkKind => state.last?.frozen.verdict ?? 'to-do'
    );
    return KINDS.map((kind) => ({ kind, count: kinds.filter((other) => other === kind).length }));
  });
</script>

<ul class="legend" data-testid="legend">
  {#each counts as { kind, count } (kind)}
    <li>
      <svg viewBox="-14 -14 28 28" width="28" height="28"><VerdictMark {kind} radius={10} /></svg>
      {MARK_WORDS[kind]}
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
