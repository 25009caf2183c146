<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';

  /** Something alone on the whole screen, to be read from across the bench. */
  interface Props {
    label: string;
    testid: string;
    onclose: () => void;
    onkeydown?: (event: KeyboardEvent) => void;
    children: Snippet;
  }
  let { label, testid, onclose, onkeydown, children }: Props = $props();
</script>

<Dialog open onOpenChange={(details) => !details.open && onclose()}>
  <Portal>
    <Dialog.Positioner class="whole">
      <Dialog.Content class="whole" aria-label={label} data-testid={testid} {onkeydown}>
        {@render children()}
      </Dialog.Content>
    </Dialog.Positioner>
  </Portal>
</Dialog>
