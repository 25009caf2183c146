<script lang="ts">
  import { giveJson } from '../client/give-file';
  import Notice from '../ui/kit/Notice.svelte';

  /** Typing that lies in this browser and cannot be read: said, and given out as it is. Nothing typed is lost. */
  interface Props {
    texts: readonly string[];
    title: string;
  }
  let { texts, title }: Props = $props();
  let closed = $state(false);
  const takeOut = (): void =>
    giveJson(`${title.replace(/[^\p{L}\p{N}]+/gu, '-') || 'joint'}-kept.json`, ...texts);
</script>

{#if texts.length > 0 && !closed}
  <Notice
    level="attention"
    title="Earlier typing of this joint lies in this browser and was never saved"
    text="It does not fit this joint as it is read now (too many holes, or another version). What you see is what the server has. The typing stays here; take it out as a file before it is asked for again."
  />
  <div class="acts">
    <button class="act" type="button" onclick={takeOut}>Take it out as a file</button>
    <button class="act" type="button" onclick={() => (closed = true)}>Go on</button>
  </div>
{/if}

<style>
  .acts {
    display: flex;
    gap: 8px;
    padding: 4px 12px;
  }
</style>
