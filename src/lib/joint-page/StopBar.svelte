<script lang="ts">
  import type { Block } from '$core/plan/blocks.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { blockInWords, PLANNED_AT } from '$lib/words/warnings';

  /** Below every stage after the one that stops the joint, and always in sight: what stops it, and the way there. */
  interface Props {
    jointId: string;
    /** at least one, in the order of the work */
    blocks: readonly Block[];
    /** on touch a press is fixed at the foot of this stage: it stands above that */
    lifted: boolean;
  }
  let { jointId, blocks, lifted }: Props = $props();
  const preferences = usePreferences();
  const first = $derived(blocks[0]);
</script>

{#if first}
  {@const { title, text } = blockInWords(first, preferences.inWords)}
  <aside class="stop" class:lifted aria-label="Blocking issues" data-testid="stop-bar">
    <span class="sign" aria-hidden="true">✕</span>
    <p>
      <strong>{title}.</strong>
      {text}{#if blocks.length > 1}
        <span class="quiet-text">And {blocks.length - 1} more.</span>{/if}
    </p>
    <a
      data-testid="fix-in-{first.station}"
      class="act main"
      href="/joints/{jointId}/{first.station}">Fix in {PLANNED_AT[first.station]}</a
    >
  </aside>
{/if}

<style>
  .stop {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 6px 16px;
    background: var(--brick-soft);
    border-top: 2px solid var(--brick-line);
    position: sticky;
    bottom: 0;
    z-index: 3;
  }
  .sign {
    font-size: 1.4rem;
    font-weight: 700;
    color: var(--brick);
  }
  p {
    flex: 1;
    min-width: 0;
    line-height: 1.25;
  }
  a {
    flex: none;
  }
  @media (pointer: coarse) {
    .lifted {
      bottom: 96px;
    }
  }
  /* in a low window it would cover what is typed */
  @media (max-height: 520px) {
    .stop {
      position: static;
    }
  }
</style>
