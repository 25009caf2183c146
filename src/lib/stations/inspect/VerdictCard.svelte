<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import type { HeadVerdict } from '$core/inspect/findings.ts';
  import VerdictMark from '../../ui/kit/VerdictMark.svelte';

  /** The verdict: a shape, a word, and why. */
  interface Props {
    verdict: HeadVerdict;
    reasons: string[];
    /** good on a condition that someone still has to look at */
    conditional?: boolean;
  }
  let { verdict, reasons, conditional = false }: Props = $props();
  const WORDS: Record<HeadVerdict, string> = {
    measure: 'Measure again',
    'not-complete': 'Not complete',
    accept: 'Accept',
    'drive-more': 'Drive further',
    replace: 'Replace',
    refer: 'Refer to engineering'
  };
</script>

<div class="card {verdict}" class:conditional data-testid="verdict" data-verdict={verdict}>
  <svg viewBox="-24 -24 48 48" width="52" height="52"
    ><VerdictMark kind={conditional ? 'on-condition' : verdict} radius={17} /></svg
  >
  <div>
    <strong>{conditional ? CHECK.goodIfStraightAndThe : WORDS[verdict]}</strong>
    {#each reasons as reason (reason)}<p>{reason}</p>{/each}
  </div>
</div>

<style>
  .card {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 8px 12px;
    border: 2px solid;
    border-radius: 10px;
    font-size: var(--small);
  }
  strong {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.5rem;
    line-height: 1.15;
  }
  svg {
    flex: none;
  }
  .accept {
    border-color: var(--olive);
    background: var(--olive-soft);
  }
  .conditional,
  .not-complete,
  .measure,
  .drive-more {
    border-color: var(--amber-line);
    background: var(--amber-soft);
  }
  .replace {
    border-color: var(--brick-line);
    background: var(--brick-soft);
  }
  .refer {
    border-color: var(--dye);
    background: var(--dye-soft);
  }
  .accept strong {
    color: var(--olive-deep);
  }
  .conditional strong,
  .not-complete strong,
  .measure strong,
  .drive-more strong {
    color: var(--amber);
  }
  .replace strong {
    color: var(--brick);
  }
  .refer strong {
    color: var(--dye);
  }
</style>
