<script lang="ts">
  import ReasonForm from '../../ui/kit/ReasonForm.svelte';
  import { CHECK } from '$lib/words/pages/inspect';

  /** Says of one reading that it is false, with the reason: it counts no more, and stays on record. */
  interface Props {
    name: string;
    /** what the press does */
    act: string;
    onvoid: (why: string) => boolean;
  }
  let { name, act, onvoid }: Props = $props();
  let open = $state(false);
</script>

<button
  class="act small"
  type="button"
  data-testid={name}
  aria-expanded={open}
  onclick={() => (open = !open)}>{CHECK.void}</button
>
{#if open}
  <div>
    <ReasonForm
      {name}
      label={CHECK.whyItIsFalse}
      {act}
      onreason={onvoid}
      onleave={() => (open = false)}
    />
  </div>
{/if}

<style>
  div {
    width: 100%;
  }
</style>
