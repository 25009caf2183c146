<script lang="ts">
  import type { MarkCounts } from '$core/releases/release-count.ts';
  import type { JointKind } from '$core/kinds/joint.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import VerdictMark from '../kit/VerdictMark.svelte';
  import { countDriven, countInspected } from '$lib/words/counts.ts';
  import { RESULT_NAMES } from '$lib/words/results.ts';

  interface Props {
    joint: {
      id: string;
      kind: JointKind | null;
      title: string;
      headline: string;
      state: 'unreadable' | 'impossible' | 'planned' | 'checking' | 'checked' | 'signed';
      signedBy: string | null;
      holes: number;
      inspected: number;
      driven: number;
      marks: MarkCounts;
      attention: string[];
    };
    /** what needs someone is said elsewhere on the page */
    brief?: boolean;
  }
  let { joint, brief = false }: Props = $props();
  const station = $derived(
    joint.state === 'checking' || joint.state === 'checked' || joint.state === 'signed'
      ? 'inspect'
      : joint.state === 'unreadable'
        ? 'size'
        : 'layout'
  );
  const WORDS = {
    unreadable: 'incomplete',
    impossible: 'not feasible',
    planned: 'planned',
    checking: '',
    checked: 'inspected',
    signed: 'signed'
  };
  const far = $derived(
    [
      ...(joint.driven > 0 ? [countDriven(joint.driven, joint.holes)] : []),
      countInspected(joint.inspected, joint.holes)
    ].join(', ')
  );
  const seen = $derived(
    (
      [
        'accept',
        'drive-more',
        'replace',
        'refer',
        'not-complete',
        'measure',
        'out',
        'left'
      ] as const
    ).filter((mark) => joint.marks[mark] > 0)
  );
</script>

<a class="joint" href="/joints/{joint.id}/{station}">
  <span class="title"
    >{joint.title}<small
      >{joint.kind === null ? 'not readable' : kindOf({ kind: joint.kind }).name}</small
    ></span
  >
  <span class="headline">{joint.headline}</span>
  <span class="state">
    {joint.state === 'checking' ? far : WORDS[joint.state]}
    {#each seen as verdict (verdict)}
      <span class="count">
        <svg viewBox="-12 -12 24 24" width="20" height="20"
          ><VerdictMark kind={verdict} radius={8} /></svg
        >
        {joint.marks[verdict]}
        {RESULT_NAMES[verdict]}
      </span>
    {/each}
  </span>
  {#if !brief && joint.attention.length > 0}
    <span class="attention">△ {joint.attention.join(' · ')}</span>
  {/if}
</a>

<style>
  .joint {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1.6fr);
    align-items: center;
    column-gap: 1rem;
    min-height: 48px;
    padding: 6px 14px;
    border-top: 1px solid var(--line);
    color: inherit;
    text-decoration: none;
  }
  .joint:hover {
    background: var(--olive-soft);
  }
  .title {
    font-weight: 700;
  }
  .title small {
    display: block;
    font-size: 0.8rem;
    font-weight: 400;
    color: var(--ink-soft);
  }
  .headline {
    font-variant-numeric: tabular-nums;
  }
  .state {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    color: var(--ink-soft);
  }
  .count {
    display: inline-flex;
    align-items: center;
    gap: 4px;
    color: var(--ink);
    white-space: nowrap;
  }
  .attention {
    grid-column: 1 / -1;
    color: var(--amber);
    font-size: 0.9rem;
  }
  @media (max-width: 700px) {
    .joint {
      grid-template-columns: 1fr;
    }
  }
</style>
