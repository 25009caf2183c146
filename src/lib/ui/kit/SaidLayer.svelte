<script lang="ts">
  import { said } from './said.svelte';

  /** Where what was said once is shown. */
  const drawn = $derived(said.toaster ? import('./Toasts.svelte') : null);
</script>

{#if said.toaster && drawn}
  {#await drawn then { default: Toasts }}
    <Toasts toaster={said.toaster} />
  {/await}
{/if}
