<script lang="ts">
  import type { Snippet } from 'svelte';
  import { enhance } from '$app/forms';
  import Notice from '../kit/Notice.svelte';

  /** A posted form whose fields stay as they were typed while it is refused, and are empty once it is done, with why above it. */
  interface Props {
    action: string;
    /** why it was refused; empty: it was not */
    refused?: string;
    children: Snippet;
  }
  let { action, refused = '', children }: Props = $props();
</script>

<form
  class="column-wide"
  method="POST"
  {action}
  use:enhance={() =>
    ({ update, result }) =>
      update({ reset: result.type === 'success' })}
>
  {#if refused !== ''}<Notice level="attention" title="Not saved" text={refused} />{/if}
  {@render children()}
</form>
