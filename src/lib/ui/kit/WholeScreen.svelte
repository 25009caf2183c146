<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import type WholeScreenDialog from './WholeScreenDialog.svelte';
  import Later from './Later.svelte';

  /** Something alone on the whole screen. What draws it comes when it is asked for. */
  let props: ComponentProps<typeof WholeScreenDialog> = $props();
</script>

<Later load={() => import('./WholeScreenDialog.svelte')} wanted {props} />
