<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A guide’s page: what to do and its chart at the left, what is entered at the right. */
  interface Props {
    header: Snippet;
    left: Snippet;
    side: Snippet;
    /** of the side, for screen readers */
    label: string;
  }
  let { header, left, side, label }: Props = $props();
</script>

<div class="guide">
  <header>{@render header()}</header>
  <div class="left">{@render left()}</div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="side" role="region" aria-label={label} tabindex="0">{@render side()}</div>
</div>

<style>
  .guide {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 400px;
    grid-template-rows: auto minmax(0, 1fr);
    gap: 10px 18px;
    height: 100%;
    padding: 0.9rem 1.2rem;
  }
  header {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 2px 18px;
  }
  header :global(a) {
    display: inline-flex;
    align-items: center;
    min-height: 32px;
  }
  .left {
    display: flex;
    flex-direction: column;
    gap: 8px;
    min-height: 0;
  }
  .left > :global(.plot) {
    flex: 1;
  }
  .side {
    display: flex;
    flex-direction: column;
    gap: 12px;
    min-height: 0;
    overflow-y: auto;
    padding: 10px 14px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  @media (max-width: 900px) {
    .guide {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: none;
      height: auto;
    }
    .side {
      overflow: visible;
    }
  }
</style>
