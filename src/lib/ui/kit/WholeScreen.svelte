<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import type WholeScreenDialog from './WholeScreenDialog.svelte';
  import Later from './Later.svelte';

  /** Something alone on the whole screen. What draws it comes when it is asked for. */
  let { label, testid, onclose, onkeydown, children }: ComponentProps<typeof WholeScreenDialog> =
    $props();
</script>

<Later
  load={() => import('./WholeScreenDialog.svelte')}
  wanted
  props={{ label, testid, onclose, ...(onkeydown ? { onkeydown } : {}), children }}
/>
