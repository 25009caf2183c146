<script lang="ts">
  import type { NextHead } from '$core/inspect/next-head.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import type { ReleaseCount } from '$core/releases/release-count.ts';
  import { inspectedInWords } from '$lib/words/counts.ts';
  import { nextInWords } from '$lib/words/heads';

  /** Which head is due next and why, and how many are left. */
  interface Props {
    due: NextHead;
    /** the head that is looked at */
    here: number;
    /** every count of the release */
    count: ReleaseCount | null;
    onpick: (hole: number) => void;
  }
  let { due, here, count, onpick }: Props = $props();
  let opened = $state(false);
</script>

<section class="due" data-testid="due">
  <p>
    <strong>{nextInWords(due)}</strong>
    <span class="hint"
      >{#if count}{inspectedInWords(count)}{due.required < count.holes
          ? `; ${due.required} required by shop rule`
          : ''}{count.logged ? '' : '; driving not logged, all rivets counted as driven'}{/if}</span
    >
  </p>
  {#if due.next !== null && due.next !== here}
    <button class="act small" type="button" onclick={() => onpick(due.next ?? here)}
      >Go to hole {due.next}</button
    >
  {/if}
  <button
    class="act small"
    type="button"
    aria-expanded={opened}
    aria-label="Why this many?"
    onclick={() => (opened = !opened)}>?</button
  >
</section>
{#if opened}<Arithmetic work={[...due.work]} source="shop rules at release" />{/if}

<style>
  .due {
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 6px 10px;
    border: 1.5px solid var(--line);
    border-radius: 8px;
    background: var(--bench);
  }
  p {
    flex: 1;
    line-height: 1.3;
  }
  strong,
  .hint {
    display: block;
  }
</style>
