<script lang="ts">
  import { verdictNow, type HoleState } from '$core/check/hole-events.ts';
  import type { MarkKind } from '../marks/verdict-glyphs';
  import VerdictMark, { MARK_WORDS } from './VerdictMark.svelte';

  /** What each mark on the hole map means, with how many there are. */
  interface Props {
    states: Map<number, HoleState>;
    /** what rework makes of a hole; null where nothing */
    reworked: (hole: number) => 'out' | 'left' | null;
  }
  let { states, reworked }: Props = $props();
  const ALWAYS = ['accept', 'drive-more', 'replace', 'refer', 'to-do'] as const;
  const SOMETIMES = ['not-complete', 'measure', 'out', 'left'] as const;
  const counts = $derived.by(() => {
    const kinds = [...states.values()].map(
      (state): MarkKind => reworked(state.hole) ?? verdictNow(state) ?? 'to-do'
    );
    const count = (kind: MarkKind) => kinds.filter((other) => other === kind).length;
    return [
      ...ALWAYS.map((kind) => ({ kind, count: count(kind) })),
      ...SOMETIMES.map((kind) => ({ kind, count: count(kind) })).filter(({ count }) => count > 0)
    ];
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
