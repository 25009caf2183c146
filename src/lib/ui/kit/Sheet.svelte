<script lang="ts">
  import { onMount, type Component, type ComponentProps, type Snippet } from 'svelte';
  import { whenIdle } from '$lib/client/when-idle';
  import type Drawn from './SheetDialog.svelte';
  import Notice from './Notice.svelte';

  /** A dialog laid over the bench. What draws it comes once the page has nothing else to do. */
  interface Props {
    title: string;
    open: boolean;
    onclose: () => void;
    children: Snippet;
  }
  let { title, open, onclose, children }: Props = $props();
  let SheetDialog = $state.raw<Component<ComponentProps<typeof Drawn>> | null>(null);
  let missing = $state(false);

  const load = async () => {
    SheetDialog ??= (await import('./SheetDialog.svelte')).default;
  };
  onMount(() => whenIdle(load));
  $effect(() => {
    missing = false;
    if (open) void load().catch(() => (missing = true));
  });
</script>

{#if SheetDialog}
  <SheetDialog {title} {open} {onclose} {children} />
{:else if open && missing}
  <Notice
    level="stop"
    title="{title} cannot be opened"
    text="Offline, and this panel is not saved on this device. Your input is kept."
  />
{/if}
