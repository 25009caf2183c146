<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { whenIdle } from '$lib/client/when-idle';

  /** A dialog laid over the bench. What draws it comes once the page has nothing else to do. */
  interface Props {
    title: string;
    open: boolean;
    onclose: () => void;
    children: Snippet;
  }
  let { title, open, onclose, children }: Props = $props();
  const load = () => import('./SheetDialog.svelte');
  let opened = $state(false);
  $effect(() => {
    if (open) opened = true;
  });
  onMount(() => whenIdle(load));
</script>

{#if opened}
  {#await load() then { default: SheetDialog }}
    <SheetDialog {title} {open} {onclose} {children} />
  {/await}
{/if}
