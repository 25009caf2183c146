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
    <Dialog.Backdrop class="sheet-back" />
    <Dialog.Positioner class="sheet-place">
      <Dialog.Content class="sheet-body">
        <header>
          <Dialog.Title class="sheet-title">{title}</Dialog.Title>
          <Dialog.CloseTrigger class="act small" aria-label="Close"
            ><X size={20} /></Dialog.CloseTrigger
          >
        </header>
        {@render children()}
      </Dialog.Content>
    </Dialog.Positioner>
  </Portal>
</Dialog>

<style>
  :global(.sheet-back) {
    position: fixed;
    inset: 0;
    background: rgb(15 20 24 / 0.55);
    z-index: 40;
  }
  :global(.sheet-place) {
    position: fixed;
    inset: 0;
    display: flex;
    align-items: center;
    justify-content: center;
    padding: 1rem;
    z-index: 41;
  }
  :global(.sheet-body) {
    width: min(620px, 100%);
    max-height: 90vh;
    overflow: auto;
    display: flex;
    flex-direction: column;
    gap: 0.9rem;
    padding: 1.1rem 1.3rem 1.3rem;
    border-radius: 12px;
    background: var(--panel);
    color: var(--ink);
    border: 1.5px solid var(--metal-edge);
  }
  :global(.sheet-title) {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.35rem;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
  }
</style>
