<script lang="ts">
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
</script>

<Dialog {open} onOpenChange={(details) => !details.open && onclose()}>
  <Portal>
    <Dialog.Backdrop />
    <Dialog.Positioner>
      <Dialog.Content>
        <header>
          <Dialog.Title>{title}</Dialog.Title>
          <Dialog.CloseTrigger class="act small" aria-label="Close"
            ><X size={20} /></Dialog.CloseTrigger
          >
        </header>
        <!-- a closed one costs no keystroke -->
        {#if open}{@render children()}{/if}
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
