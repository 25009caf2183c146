<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import Notice from '../ui/kit/Notice.svelte';
  import Sheet from '../ui/kit/Sheet.svelte';

  /** The rules of a joint beside others; what compares them comes when it is asked for. */
  interface Props {
    open: boolean;
    profileId: string;
    onclose: () => void;
  }
  let { open, profileId, onclose }: Props = $props();
</script>

<Sheet title="Rules of this joint" {open} {onclose}>
  {#await import('./RulesCompared.svelte') then { default: RulesCompared }}
    <RulesCompared {profileId} />
  {:catch}
    <Notice level="stop" title="Not compared" text={CONNECTION.offline} />
  {/await}
</Sheet>
