<script lang="ts">
  import type { Snippet } from 'svelte';

  /** What is asked of a reading before it is recorded. */
  interface Props {
    label: string;
    testid: string;
    children: Snippet;
  }
  let { label, testid, children }: Props = $props();
</script>

<div class="asked" role="group" aria-label={label} data-testid={testid}>
  {@render children()}
</div>

<style>
  .asked {
    display: grid;
    gap: 6px;
    padding: 8px 12px;
    border: 2px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
</style>
