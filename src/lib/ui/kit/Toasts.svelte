<script lang="ts">
  import { Toast } from '@skeletonlabs/skeleton-svelte';
  import type { ToastStore } from './toaster.ts';

  /** Draws what was said. */
  interface Props {
    toaster: ToastStore;
  }
  let { toaster }: Props = $props();
</script>

<Toast.Group {toaster}>
  {#snippet children(toast)}
    <Toast {toast}><Toast.Title>✓ {toast.title}</Toast.Title></Toast>
  {/snippet}
</Toast.Group>
