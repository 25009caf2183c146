<script lang="ts" generics="P extends Record<string, unknown>">
  import { onMount, type Component } from 'svelte';
  import { whenIdle } from '$lib/client/when-idle';

  /** A part of a page that nobody needs at once: its code comes once the page has nothing else to do, or when it is wanted. */
  interface Props {
    load: () => Promise<{ default: Component<P> }>;
    /** it is wanted now */
    wanted: boolean;
    props: P;
  }
  let { load, wanted, props }: Props = $props();
  let Part = $state.raw<Component<P> | null>(null);
  let missing = $state(false);
  const fetchIt = async () => {
    Part ??= (await load()).default;
  };
  onMount(() => whenIdle(fetchIt));
  $effect(() => {
    missing = false;
    if (wanted) void fetchIt().catch(() => (missing = true));
  });
</script>

{#if Part}
  <Part {...props} />
{:else if wanted && missing}
  <p class="hint" role="alert">
    Offline, and this panel is not saved on this device. Your input is kept.
  </p>
{/if}
