<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Collapsible } from '@skeletonlabs/skeleton-svelte';

  /** More, when it is wanted. */
  interface Props {
    title: string;
    /** said only to who hears the page */
    aside?: string;
    /** open from the start, or whenever this turns true */
    open?: boolean;
    onopen?: (open: boolean) => void;
    testid?: string | undefined;
    children: Snippet;
  }
  let { title, aside = '', open = false, onopen, testid, children }: Props = $props();
  let chosen = $state<boolean | null>(null);
  const shown = $derived(chosen ?? open);
</script>

<Collapsible
  open={shown}
  onOpenChange={(details) => {
    chosen = details.open;
    onopen?.(details.open);
  }}
>
  <Collapsible.Trigger class="hint" data-testid={testid}
    >{title}{#if aside}<span class="sr-only">{aside}</span>{/if}</Collapsible.Trigger
  >
  <Collapsible.Content
    >{#if shown}{@render children()}{/if}</Collapsible.Content
  >
</Collapsible>
