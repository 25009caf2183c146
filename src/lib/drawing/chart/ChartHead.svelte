<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Title and notes of a chart, as text above it: they wrap where a drawing would cut them off. */
  interface Props {
    title: string;
    /** one element a note */
    children: Snippet;
  }
  let { title, children }: Props = $props();
</script>

<p>
  <strong class="draw-title">{title}</strong>
  {@render children()}
</p>

<style>
  p {
    padding-left: 14px;
    font-size: 14px;
    line-height: 1.35;
  }
  p > :global(*) {
    display: block;
  }
  p > :global(span) {
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  p > :global(.warns) {
    color: var(--amber);
  }
</style>
