<script lang="ts">
  import type { Snippet } from 'svelte';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import Info from '@lucide/svelte/icons/info';
  import OctagonX from '@lucide/svelte/icons/octagon-x';

  interface Props {
    /** `note`: nothing is wrong */
    level: 'note' | 'attention' | 'stop';
    title: string;
    text?: string;
    testid?: string | undefined;
    children?: Snippet;
  }
  let { level, title, text = '', testid, children }: Props = $props();
</script>

<div data-testid={testid} class="notice {level}" role={level === 'stop' ? 'alert' : 'note'}>
  <span class="sign">
    {#if level === 'stop'}<OctagonX size={20} aria-label="stop" />{:else if level === 'note'}<Info
        size={20}
        aria-hidden="true"
      />{:else}<TriangleAlert size={20} aria-label="attention" />{/if}
  </span>
  <div>
    <strong>{title}</strong>
    {#if text}<p>{text}</p>{/if}
    {@render children?.()}
  </div>
</div>

<style>
  .notice {
    display: flex;
    gap: 0.6rem;
    padding: 0.5rem 0.75rem;
    border-radius: 8px;
    border-left: 5px solid;
    font-size: var(--small);
  }
  .note {
    background: var(--bench);
    border-color: var(--line-strong);
    color: var(--ink-soft);
  }
  .attention {
    background: var(--amber-soft);
    border-color: var(--amber-line);
    color: var(--amber);
  }
  .stop {
    background: var(--brick-soft);
    border-color: var(--brick-line);
    color: var(--brick);
  }
  .sign {
    padding-top: 1px;
  }
  p {
    color: var(--ink);
  }
</style>
