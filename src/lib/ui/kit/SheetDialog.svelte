<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { Snippet } from 'svelte';
  import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';
  import X from '@lucide/svelte/icons/x';

  /** A dialog laid over the bench. */
  interface Props {
    title: string;
    open: boolean;
    onclose: () => void;
    children: Snippet;
  }
  let { title, open, onclose, children }: Props = $props();
  /** whoever opens it goes on in its content, not at its Close */
  const FIRST = 'input:not([type=hidden]), select, textarea, button, a[href], [tabindex="0"]';
  let content = $state<HTMLElement>();
</script>

<Dialog
  {open}
  onOpenChange={(details) => !details.open && onclose()}
  initialFocusEl={() => content?.querySelector<HTMLElement>(FIRST) ?? content ?? null}
>
  <Portal>
    <Dialog.Backdrop />
    <Dialog.Positioner>
      <Dialog.Content>
        <header>
          <Dialog.Title>{title}</Dialog.Title>
          <Dialog.CloseTrigger class="act small" aria-label={COMMON.close}
            ><X size={20} /></Dialog.CloseTrigger
          >
        </header>
        <!-- a closed one costs no keystroke -->
        {#if open}<div bind:this={content} tabindex="-1">{@render children()}</div>{/if}
      </Dialog.Content>
    </Dialog.Positioner>
  </Portal>
</Dialog>

<style>
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
  }
</style>
